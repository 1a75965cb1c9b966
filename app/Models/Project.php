<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $organisation_id
 * @property string $name
 * @property string|null $assessed_hash
 * @property string|null $assessment
 */
class Project extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return HasMany<Document, $this> */
    public function documents(): HasMany
    {
        return $this->hasMany(Document::class)->orderBy('position')->orderBy('key');
    }

    /** @return HasMany<SiteEvent, $this> */
    public function siteEvents(): HasMany
    {
        return $this->hasMany(SiteEvent::class)->orderBy('id');
    }

    /** @return HasMany<Photograph, $this> */
    public function photographs(): HasMany
    {
        return $this->hasMany(Photograph::class)->orderBy('sha256');
    }

    /** @return HasMany<Report, $this> */
    public function reports(): HasMany
    {
        return $this->hasMany(Report::class)->latest()->latest('id');
    }
}

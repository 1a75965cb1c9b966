<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * @property string $id
 * @property string $organisation_id
 * @property string $name
 * @property Organisation|null $organisation
 * @property int $version raised by whatever changes what is said of it
 */
class Project extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<Organisation, $this> */
    public function organisation(): BelongsTo
    {
        return $this->belongsTo(Organisation::class);
    }

    /** @return HasMany<Document, $this> */
    public function documents(): HasMany
    {
        return $this->hasMany(Document::class)->whereNull('removed_at')->orderBy('position')->orderBy('key');
    }

    /** Something of it changed: what is kept of its assessment is of before. */
    public function changed(): void
    {
        $this->newQuery()
            ->whereKey($this->id)
            ->update(['version' => DB::raw('version + 1'), 'updated_at' => now()]);
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

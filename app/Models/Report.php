<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A printed report and how far it has come.
 *
 * @property string $id
 * @property ReportState $state
 * @property int $percent
 * @property string $doing
 * @property string|null $path
 * @property string|null $user_id who asked for it
 * @property string $paper letter or a4
 * @property string|null $issued_revision_id what was issued is printed as it was issued
 * @property IssuedRevision|null $revision
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property string|null $cards the detail whose step cards these are; the report of the whole project where null
 */
class Report extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $attributes = ['paper' => 'letter'];

    protected $casts = ['state' => ReportState::class];

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return BelongsTo<IssuedRevision, $this> */
    public function revision(): BelongsTo
    {
        return $this->belongsTo(IssuedRevision::class, 'issued_revision_id');
    }

    /** @return array<string, mixed> */
    public function toShape(): array
    {
        return [
            'id' => $this->id,
            'state' => $this->state->value,
            'percent' => $this->percent,
            'doing' => $this->doing,
            'by' => $this->by,
            'at' => (string) $this->created_at?->toIso8601ZuluString(),
        ];
    }
}

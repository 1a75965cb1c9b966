<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What somebody did that no document, reading or photograph tells of. Only ever added to.
 *
 * @property string $by
 * @property string $what
 * @property string $of
 * @property \Illuminate\Support\Carbon $at
 */
class Act extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    public static function note(User $by, string $what, string $of, ?Project $project = null): void
    {
        self::create([
            'organisation_id' => $project->organisation_id ?? $by->organisation_id,
            'project_id' => $project?->id,
            'user_id' => $by->id,
            'by' => $by->name,
            'what' => $what,
            'of' => mb_strimwidth($of, 0, 300, '…'),
            'at' => now(),
        ]);
    }
}

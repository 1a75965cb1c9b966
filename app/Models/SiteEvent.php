<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One thing seen on site. Only ever added: the database refuses to change or remove it.
 *
 * @property string $event the id the phone gave it
 * @property string $kind
 * @property string $content JSON
 * @property string|null $user_id the account that sent it, or brought it in with a file
 * @property bool $imported
 */
class SiteEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /**
     * @param  array<string, mixed>  $event  as the file writes it
     * @param  bool  $imported  brought in with a file, and not seen by whoever brought it
     */
    public static function record(Project $project, array $event, User $by, bool $imported = false): void
    {
        self::create([
            'project_id' => $project->id,
            'event' => $event['id'],
            'kind' => $event['kind'],
            'content' => json_encode($event, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
            'received_at' => now(),
            'user_id' => $by->id,
            'imported' => $imported,
        ]);
    }
}

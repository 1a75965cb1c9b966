<?php

declare(strict_types=1);

namespace App\Models;

use Apron\Project\Compared;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A project as it was issued: the file, what was said of it, and by which rules. Never changed.
 *
 * @phpstan-import-type Said from Compared
 *
 * @property string $id
 * @property string $project_id
 * @property int $number
 * @property string $title
 * @property string $words what it is issued for, and what is new
 * @property string $by
 * @property \Illuminate\Support\Carbon $at
 * @property string $core
 * @property string $catalogue
 * @property string $file the project file, JSON
 * @property string $findings JSON
 * @property string $sha256 of the file and the findings
 * @property Project|null $project
 */
class IssuedRevision extends Model
{
    use HasUlids;

    /** All but the file and the findings, which are long. */
    public const SHORT = ['id', 'project_id', 'number', 'title', 'words', 'by', 'at', 'core', 'catalogue', 'sha256'];

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** The seal of what it says: whoever holds the number can tell whether a copy is the same. */
    public static function seal(string $file, string $findings): string
    {
        return hash('sha256', "$file\n$findings");
    }

    public function toFile(): \stdClass
    {
        return (object) json_decode($this->file, false, 512, JSON_THROW_ON_ERROR);
    }

    /** @return list<Said> */
    public function toFindings(): array
    {
        return self::decoded($this->findings);
    }

    /** @return list<Said> */
    public static function decoded(string $findings): array
    {
        /** @var list<Said> $decoded */
        $decoded = json_decode($findings, false, 512, JSON_THROW_ON_ERROR);

        return $decoded;
    }

    /** @return array<string, mixed> */
    public function toShape(): array
    {
        return [
            'id' => $this->id,
            'number' => $this->number,
            'title' => $this->title,
            'words' => $this->words,
            'by' => $this->by,
            'at' => $this->at->toIso8601ZuluString(),
            'core' => $this->core,
            'catalogue' => $this->catalogue,
            'sha256' => $this->sha256,
        ];
    }
}

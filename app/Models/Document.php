<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * The brief, a material, an assembly, a detail or an opening of the schedule, as the project file writes it.
 *
 * @property string $id
 * @property string $project_id
 * @property DocumentKind $kind
 * @property string $key
 * @property int $position
 * @property int $revision
 * @property string $content JSON, kept as written: a cast would reorder nothing but lose empty objects
 */
class Document extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => DocumentKind::class, 'revision' => 'integer', 'position' => 'integer'];
    }

    /** @return HasMany<DocumentRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(DocumentRevision::class)->orderBy('number');
    }

    /** @return array<string, mixed> */
    public function decoded(): array
    {
        return json_decode($this->content, true, 64, JSON_THROW_ON_ERROR);
    }

    /** @return array{kind: string, key: string, revision: int, content: array<string, mixed>} */
    public function toShape(): array
    {
        return ['kind' => $this->kind->value, 'key' => $this->key, 'revision' => $this->revision, 'content' => $this->decoded()];
    }
}

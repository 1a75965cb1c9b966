<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * The brief, a material, an assembly, a detail or an opening of the schedule, as the project file writes it.
 *
 * @property string $id
 * @property string $project_id
 * @property string $kind what the section calls its documents
 * @property string $key
 * @property int $position
 * @property int $revision
 * @property string $content JSON, kept as written: a cast would reorder nothing but lose empty objects
 * @property string $hash SHA-256 of the content
 * @property string|null $save the id that its last save was sent with
 * @property \Illuminate\Support\Carbon|null $removed_at
 */
class Document extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['revision' => 'integer', 'position' => 'integer', 'removed_at' => 'datetime'];
    }

    /** @return HasMany<DocumentRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(DocumentRevision::class)->orderBy('number');
    }

    /** The content as it is written, into objects: an empty one stays one. */
    public function decoded(): \stdClass
    {
        $content = json_decode($this->content, false, 64, JSON_THROW_ON_ERROR);

        return $content instanceof \stdClass
            ? $content
            : throw new \LogicException("the document {$this->id} is no object");
    }

    /**
     * @return array{kind: string, key: string, revision: int, content: \stdClass, save: string|null,
     *   broken: string|null}
     */
    public function toShape(?string $broken = null): array
    {
        return [
            'kind' => $this->kind,
            'key' => $this->key,
            'revision' => $this->revision,
            'content' => $this->decoded(),
            'save' => $this->save,
            'broken' => $broken,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Document;
use App\Models\Project;
use App\Models\User;

/** Rows of documents: each change is a new revision that stays. */
final class DocumentRows
{
    /**
     * The document of a key, removed or not, among the kinds that share keys with it.
     *
     * @param  list<string>  $kinds
     */
    public function find(Project $project, array $kinds, string $key): ?Document
    {
        return Document::where('project_id', $project->id)
            ->whereIn('kind', $kinds)
            ->where('key', $key)
            ->orderByRaw('removed_at is not null')
            ->first();
    }

    /**
     * @param  array<string, mixed>  $content
     * @param  string|null  $save  the sender's own name for this save
     */
    public function add(
        Project $project,
        string $kind,
        string $key,
        array $content,
        User $by,
        ?string $save = null,
        ?int $position = null,
    ): Document {
        $text = self::encode($content);
        $document = Document::create([
            'project_id' => $project->id,
            'kind' => $kind,
            'key' => $key,
            'position' => $position ?? $this->last($project, $kind) + 1,
            'revision' => 1,
            'content' => $text,
            'hash' => hash('sha256', $text),
            'save' => $save,
        ]);
        $this->remember($document, $by);

        return $document;
    }

    /** @param  array<string, mixed>  $content */
    public function change(Document $document, string $kind, array $content, User $by, ?string $save = null): void
    {
        $text = self::encode($content);
        $document->update([
            'kind' => $kind,
            'position' => $document->kind === $kind
                    ? $document->position
                    : 1 + $this->last($document->project_id, $kind),
            'content' => $text,
            'hash' => hash('sha256', $text),
            'revision' => $document->revision + 1,
            'save' => $save,
            'removed_at' => null,
        ]);
        $this->remember($document, $by);
    }

    public function remove(Document $document, User $by): void
    {
        $document->update(['removed_at' => now(), 'revision' => $document->revision + 1, 'save' => null]);
        $this->remember($document, $by);
    }

    /** @param  array<string, mixed>  $content */
    public static function encode(array $content): string
    {
        return json_encode($content, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    private function last(Project|string $project, string $kind): int
    {
        return (int) Document::where('project_id', $project instanceof Project ? $project->id : $project)
            ->whereNull('removed_at')
            ->where('kind', $kind)
            ->max('position');
    }

    private function remember(Document $document, User $by): void
    {
        $document->revisions()->create([
            'number' => $document->revision,
            'content' => $document->removed_at === null ? $document->content : null,
            'by' => $by->name,
            'user_id' => $by->id,
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Document;
use App\Models\DocumentRevision;
use App\Models\Project;
use App\Models\SiteEvent;
use App\Models\User;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\MaterialFormat;
use Apron\Project\DocumentSection;
use Apron\Project\Project as CoreProject;
use Apron\Project\Section\BriefSection;
use Illuminate\Support\Facades\DB;

/** Changes what is kept of projects: a save and a removal each whole or not at all, one at a time in a project. */
final class ProjectStore
{
    /** The kind of a project's own materials, into which those of the catalogue are copied when they are used. */
    private const MATERIAL = 'material';

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly StoredProject $stored,
        private readonly CanonicalContent $canonical,
        private readonly DocumentRows $rows,
    ) {
    }

    /**
     * Saves one document from the revision it was edited from (0 for a new one), if the whole project still reads. A
     * removed one is brought back by saving over its removal.
     *
     * @param  DocumentSection<mixed>  $section
     * @param  string|null  $save  the sender's own name for this save: sent again after a lost answer, it is the same
     *   save
     *
     * @throws FileRefused|StaleSave
     */
    public function save(
        Project $project,
        DocumentSection $section,
        string $key,
        int $from,
        Node $content,
        User $by,
        ?string $save = null,
    ): Document {
        return $this->locked($project, function () use (
            $project,
            $section,
            $key,
            $from,
            $content,
            $by,
            $save,
        ): Document {
            $document = $this->rows->find($project, $section->sharing(), $key);
            if ($save !== null && $document?->save === $save) {
                return $document;
            }
            $this->demandFresh($document, $section, $key, $from, $content);
            [$canonical, $read] = $this->canonical->of($project, $section, $key, $content);
            if ($document === null) {
                $document = $this->rows->add($project, $section->kind(), $key, $canonical, $by, $save);
            } else {
                $this->rows->change($document, $section->kind(), $canonical, $by, $save);
            }
            $this->copyMaterials($project, $read, $by);
            if ($section instanceof BriefSection) {
                $project->update(['name' => $read->brief->name]);
            }
            $project->changed();

            return $document;
        });
    }

    /**
     * Takes a document out, as a revision of its own: it can be brought back.
     *
     * @param  DocumentSection<mixed>  $section
     * @param  int  $from  the revision that was looked at
     *
     * @throws FileRefused|StaleSave also where something else stands on it
     */
    public function remove(Project $project, DocumentSection $section, string $key, int $from, User $by): void
    {
        $this->locked($project, function () use ($project, $section, $key, $from, $by): void {
            $document =
                $project
                    ->documents()
                    ->where(['kind' => $section->kind(), 'key' => $key])
                    ->lockForUpdate()
                    ->first() ??
                throw new FileRefused('/'.$section->section(), "“{$key}” is gone", 'a document that still exists');
            if ($document->revision !== $from) {
                throw new StaleSave($document, null);
            }
            $before = CanonicalContent::brokenNames($this->stored->withoutRecord($project));
            $this->rows->remove($document, $by);
            // A material that a wall is built of stays until the wall is built of another; so does a wall that an
            // opening could not be drawn without.
            CanonicalContent::demandNoneBroken($before, $this->stored->withoutRecord($project));
            $project->changed();
        });
    }

    /**
     * @param  DocumentSection<mixed>  $section
     * @return list<DocumentRevision> everything a document has been, newest first
     */
    public function revisions(Project $project, DocumentSection $section, string $key): array
    {
        $document =
            $this->rows->find($project, $section->sharing(), $key) ??
            abort(404, "No {$section->kind()} “{$key}” in this project.");

        return array_values($document->revisions()->reorder()->orderByDesc('number')->limit(200)->get()->all());
    }

    /**
     * Adds what was seen on site; an event that is here already is passed over, so that a phone may send twice.
     *
     * @param  list<Node>  $events
     * @return int how many were new
     *
     * @throws FileRefused|OtherContent
     */
    public function addEvents(Project $project, array $events, User $by, SiteAsked $asked): int
    {
        return $this->locked(
            $project,
            fn (): int => (new EventIntake($project, $by, $asked))->take(
                $events,
                fn (array $row) => SiteEvent::record($project, $row, $by),
            ),
        );
    }

    /**
     * One change at a time in a project: what a save has looked at must still stand when it is written.
     *
     * @template T
     *
     * @param  callable(): T  $change
     * @return T
     */
    private function locked(Project $project, callable $change): mixed
    {
        return DB::transaction(function () use ($project, $change): mixed {
            Project::whereKey($project->id)
                ->lockForUpdate()
                ->first(['id']);

            return $change();
        }, 3);
    }

    /** @param  DocumentSection<mixed>  $section */
    private function demandFresh(
        ?Document $document,
        DocumentSection $section,
        string $key,
        int $from,
        Node $content,
    ): void {
        if ($document === null || ($document->removed_at !== null && $from === 0)) {
            if ($from !== 0) {
                throw new FileRefused(
                    '/'.$section->section(),
                    "“{$key}” is gone",
                    'a document that still exists; save it as a new one',
                );
            }

            return;
        }
        if ($document->removed_at !== null && $document->revision !== $from) {
            throw new FileRefused(
                '/'.$section->section(),
                "“{$key}” was removed by somebody else",
                'a document that still exists; bring it back from the brief, or save it as a new one',
            );
        }
        if ($document->revision !== $from) {
            throw new StaleSave($document, $content->raw());
        }
    }

    /**
     * Using a material of the catalogue copies it, with the catalogue's version: a later catalogue changes no verdict.
     */
    private function copyMaterials(Project $project, CoreProject $read, User $by): void
    {
        foreach (array_diff_key($read->used(), $read->materials->own) as $id => $material) {
            $row = MaterialFormat::write($material);
            $source = array_intersect_key($row, ['source' => 1]);
            $content = array_diff_key($row, $source) + ['catalogue' => $this->catalogue->version] + $source;
            $removed = $this->rows->find($project, [self::MATERIAL], (string) $id);
            if ($removed === null) {
                $this->rows->add($project, self::MATERIAL, (string) $id, $content, $by);
            } else {
                $this->rows->change($removed, self::MATERIAL, $content, $by);
            }
        }
    }
}

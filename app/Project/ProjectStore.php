<?php

namespace App\Project;

use App\Models\Document;
use App\Models\DocumentKind;
use App\Models\DocumentRevision;
use App\Models\DrillRun;
use App\Models\Project;
use App\Models\SiteEvent;
use App\Models\User;
use Apron\Json\Broken;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Project\Project as CoreProject;
use Apron\Project\ProjectFormat;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Changes what is kept of projects: a save, a removal and an import each whole or not at all, one at a time in a project. */
final class ProjectStore
{
    public function __construct(private readonly Catalogue $catalogue, private readonly StoredProject $stored)
    {
    }

    /**
     * A whole project file becomes a project of the person's organisation.
     *
     * @throws FileRefused also where what was written could not be read again
     */
    public function import(string $json, User $by): Project
    {
        return $this->store(ProjectFormat::parse($json, $this->catalogue), $by);
    }

    /** @throws FileRefused where what was written could not be read again */
    public function store(CoreProject $core, User $by): Project
    {
        $file = ProjectFormat::document($core);

        return DB::transaction(function () use ($core, $file, $by): Project {
            $project = Project::create(['organisation_id' => $by->organisation_id, 'name' => $core->name]);
            $this->write($project, DocumentKind::Brief, 'brief', 0, array_intersect_key($file, array_flip(StoredProject::BRIEF)), $by);
            foreach (DocumentKind::listed() as $kind) {
                foreach (array_values($file[$kind->section()] ?? []) as $position => $content) {
                    $this->write($project, $kind, $content['id'], $position, $content, $by);
                }
            }
            foreach ($file['training'] ?? [] as $run) {
                DrillRun::create(['project_id' => $project->id, 'user_id' => $by->id] + $run);
            }
            foreach ($file['site']['events'] ?? [] as $event) {
                $this->writeEvent($project, $event, $by, imported: true);
            }
            $this->demandReadable($project);

            return $project;
        });
    }

    /**
     * Saves one document from the revision it was edited from (0 for a new one), if the whole project still reads. A removed one is brought
     * back by saving over its removal.
     *
     * @param  string|null  $save  the sender's own name for this save: sent again after a lost answer, it is the same save
     *
     * @throws FileRefused|StaleSave
     */
    public function save(Project $project, DocumentKind $kind, string $key, int $from, Node $content, User $by, ?string $save = null): Document
    {
        return $this->locked($project, function () use ($project, $kind, $key, $from, $content, $by, $save): Document {
            $document = $this->find($project, $kind, $key);
            if ($save !== null && $document?->save === $save) {
                return $document;
            }
            $this->demandFresh($document, $kind, $key, $from, $content);
            [$canonical, $read] = $this->canonical($project, $kind, $key, $content);
            $last = 1 + (int) $project->documents()->where('kind', $kind)->max('position');
            if ($document === null) {
                $document = $this->write($project, $kind, $key, $last, $canonical, $by, $save);
            } else {
                $text = $this->encode($canonical);
                $document->update([
                    'kind' => $kind, 'position' => $document->kind === $kind ? $document->position : $last, 'content' => $text,
                    'hash' => hash('sha256', $text), 'revision' => $document->revision + 1, 'save' => $save, 'removed_at' => null,
                ]);
                $this->remember($document, $by);
            }
            $this->copyMaterials($project, $read, $by);
            if ($kind === DocumentKind::Brief) {
                $project->update(['name' => $read->name]);
            }
            $project->changed();

            return $document;
        });
    }

    /**
     * Takes a document out, as a revision of its own: it can be brought back.
     *
     * @param  int  $from  the revision that was looked at
     *
     * @throws FileRefused|StaleSave also where something else stands on it
     */
    public function remove(Project $project, DocumentKind $kind, string $key, int $from, User $by): void
    {
        $this->locked($project, function () use ($project, $kind, $key, $from, $by): void {
            $document = $project->documents()->where(['kind' => $kind, 'key' => $key])->lockForUpdate()->first()
                ?? throw new FileRefused('/'.$kind->section(), "“{$key}” is gone", 'a document that still exists');
            if ($document->revision !== $from) {
                throw new StaleSave($document, null);
            }
            $before = $this->brokenNames($this->stored->withoutRecord($project));
            $document->update(['removed_at' => now(), 'revision' => $document->revision + 1, 'save' => null]);
            $this->remember($document, $by);
            // A material that a wall is built of stays until the wall is built of another.
            if ($kind === DocumentKind::Material) {
                $this->demandNoneBroken($before, $this->stored->withoutRecord($project));
            }
            $project->changed();
        });
    }

    /** @return list<DocumentRevision> everything a document has been, newest first */
    public function revisions(Project $project, DocumentKind $kind, string $key): array
    {
        $document = $this->find($project, $kind, $key) ?? abort(404, "No {$kind->value} “{$key}” in this project.");

        return $document->revisions()->reorder()->orderByDesc('number')->limit(200)->get()->all();
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
        return $this->locked($project, fn (): int => (new EventIntake($project, $by, $asked))->take($events, fn (array $row) => $this->writeEvent($project, $row, $by)));
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
            Project::whereKey($project->id)->lockForUpdate()->first(['id']);

            return $change();
        }, 3);
    }

    /** The document of a key, removed or not, among the kinds that share keys with this one. */
    private function find(Project $project, DocumentKind $kind, string $key): ?Document
    {
        return Document::where('project_id', $project->id)->whereIn('kind', $kind->sharing())->where('key', $key)->orderByRaw('removed_at is not null')->first();
    }

    private function demandFresh(?Document $document, DocumentKind $kind, string $key, int $from, Node $content): void
    {
        if ($document === null || ($document->removed_at !== null && $from === 0)) {
            if ($from !== 0) {
                throw new FileRefused('/'.$kind->section(), "“{$key}” is gone", 'a document that still exists; save it as a new one');
            }

            return;
        }
        if ($document->removed_at !== null && $document->revision !== $from) {
            throw new FileRefused('/'.$kind->section(), "“{$key}” was removed by somebody else", 'a document that still exists; bring it back from the brief, or save it as a new one');
        }
        if ($document->revision !== $from) {
            throw new StaleSave($document, $content->raw());
        }
    }

    /**
     * The content as the file writes it, read with no more of the project than it stands on, and the part of the project it was read in.
     *
     * @return array{array<string, mixed>, CoreProject}
     *
     * @throws FileRefused
     */
    private function canonical(Project $project, DocumentKind $kind, string $key, Node $content): array
    {
        $base = $this->stored->base($project);
        // What stands on a material, and on the brief, is read again with it: nothing else may break by a save.
        $wide = match ($kind) {
            DocumentKind::Brief => $this->standsOn($base, $content),
            DocumentKind::Material => $base->contains(fn (Document $d): bool => $d->kind === $kind && $d->key === $key),
            default => false,
        };
        $file = $this->stored->file($project, $wide ? $project->documents()->get() : $base);
        $drafted = $this->stored->withDraft($file, $kind, $key, $content);
        if ($kind !== DocumentKind::Brief && ($content->optional('id')?->raw() ?? null) !== $key) {
            throw new FileRefused('/'.$kind->section().'/0/id', json_encode($content->optional('id')?->raw(), JSON_THROW_ON_ERROR), "the id “{$key}” it is saved under");
        }
        $alone = $wide ? array_diff_key($drafted, array_flip(['assemblies', 'details', 'openings'])) : $drafted;
        $read = ProjectFormat::read($this->stored->node($alone), $this->catalogue);
        if ($wide) {
            $this->demandNoneBroken($this->brokenNames($this->stored->read($file)), $this->stored->read($drafted));
        }
        $written = ProjectFormat::document($read);

        return [$kind === DocumentKind::Brief ? array_intersect_key($written, array_flip(StoredProject::BRIEF)) : $written[$kind->section()][0], $read];
    }

    /**
     * Whether a new brief says otherwise what walls and openings stand on: not its name, its units or cases to try.
     *
     * @param  Collection<int, Document>  $base
     */
    private function standsOn(Collection $base, Node $content): bool
    {
        $told = function (mixed $brief): string {
            $brief = json_decode(json_encode($brief, JSON_THROW_ON_ERROR), true);
            unset($brief['project']['name'], $brief['project']['units'], $brief['conditions']);

            return json_encode($brief, JSON_THROW_ON_ERROR);
        };
        $stored = $base->first(fn (Document $d): bool => $d->kind === DocumentKind::Brief);

        return $stored !== null && $told($stored->decoded()) !== $told($content->raw());
    }

    /** @return array<string, true> */
    private function brokenNames(CoreProject $core): array
    {
        return array_fill_keys(array_map(fn (Broken $b): string => "$b->section/$b->id", $core->broken), true);
    }

    /**
     * @param  array<string, true>  $before  what was broken already, which no save is to be blamed for
     *
     * @throws FileRefused
     */
    private function demandNoneBroken(array $before, CoreProject $core): void
    {
        foreach ($core->broken as $broken) {
            if (! isset($before["$broken->section/$broken->id"])) {
                throw new FileRefused("/$broken->section/$broken->id", "{$broken->why->value} ({$broken->why->pointer})", $broken->why->expected);
            }
        }
    }

    /** What was imported is read as it is stored: a project that could not be opened again is not kept. */
    private function demandReadable(Project $project): void
    {
        $core = $this->stored->open($project);
        if ($core->broken !== []) {
            throw $core->broken[0]->why;
        }
        ProjectFormat::parse(ProjectFormat::write($core), $this->catalogue);
    }

    /** Using a material of the catalogue copies it, with the catalogue's version: a later catalogue changes no verdict. */
    private function copyMaterials(Project $project, CoreProject $read, User $by): void
    {
        $used = array_diff_key($read->used(), $read->materials->own);
        if ($used === []) {
            return;
        }
        $position = (int) $project->documents()->where('kind', DocumentKind::Material)->max('position');
        foreach ($used as $id => $material) {
            $row = MaterialFormat::write($material);
            $source = $row['source'] ?? null;
            unset($row['source']);
            $row['catalogue'] = $this->catalogue->version;
            $content = $source === null ? $row : $row + ['source' => $source];
            $removed = $this->find($project, DocumentKind::Material, (string) $id);
            if ($removed === null) {
                $this->write($project, DocumentKind::Material, (string) $id, ++$position, $content, $by);
            } else {
                $text = $this->encode($content);
                $removed->update(['content' => $text, 'hash' => hash('sha256', $text), 'revision' => $removed->revision + 1, 'removed_at' => null, 'save' => null]);
                $this->remember($removed, $by);
            }
        }
    }

    /** @param  array<string, mixed>  $content */
    private function write(Project $project, DocumentKind $kind, string $key, int $position, array $content, User $by, ?string $save = null): Document
    {
        $text = $this->encode($content);
        $document = Document::create([
            'project_id' => $project->id, 'kind' => $kind, 'key' => $key, 'position' => $position, 'revision' => 1,
            'content' => $text, 'hash' => hash('sha256', $text), 'save' => $save,
        ]);
        $this->remember($document, $by);

        return $document;
    }

    private function remember(Document $document, User $by): void
    {
        $document->revisions()->create([
            'number' => $document->revision, 'content' => $document->removed_at === null ? $document->content : null, 'by' => $by->name, 'user_id' => $by->id,
        ]);
    }

    /** @param  array<string, mixed>  $event */
    private function writeEvent(Project $project, array $event, User $by, bool $imported = false): void
    {
        SiteEvent::create([
            'project_id' => $project->id, 'event' => $event['id'], 'kind' => $event['kind'], 'content' => $this->encode($event),
            'received_at' => now(), 'user_id' => $by->id, 'imported' => $imported,
        ]);
    }

    /** @param  array<string, mixed>  $content */
    private function encode(array $content): string
    {
        return json_encode($content, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}

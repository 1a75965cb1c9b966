<?php

namespace App\Project;

use App\Models\Document;
use App\Models\DocumentKind;
use App\Models\DrillRun;
use App\Models\Project;
use App\Models\SiteEvent;
use App\Models\User;
use Apron\Assessment;
use Apron\File\FileRefused;
use Apron\File\MaterialFormat;
use Apron\File\Node;
use Apron\File\ProjectFormat;
use Apron\File\SiteFormat;
use Apron\Material\Catalogue;
use Apron\Project as CoreProject;
use Apron\Quantity\UnitSystem;
use Apron\Words;
use Illuminate\Support\Facades\DB;

/** Keeps projects as documents and events, and hands them to the core as one project file. */
final class ProjectStore
{
    private const BRIEF = ['project', 'climate', 'indoor', 'conditions'];

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** @return array<string, mixed> the project file, sections in the file's order */
    public function file(Project $project): array
    {
        $file = ['format' => ProjectFormat::FORMAT, 'project' => [], 'climate' => null, 'indoor' => null, 'conditions' => [], 'materials' => [], 'assemblies' => [], 'details' => [], 'openings' => []];
        foreach ($project->documents()->get() as $document) {
            if ($document->kind === DocumentKind::Brief) {
                $file = [...$file, ...$document->decoded()];
            } else {
                $file[$document->kind->section()][] = json_decode($document->content);
            }
        }
        $file['training'] = DrillRun::where('project_id', $project->id)->orderBy('id')->get()->map(fn (DrillRun $run): array => $run->toShape())->all();
        $events = $project->siteEvents()->get()->map(fn (SiteEvent $event): mixed => json_decode($event->content))->all();
        $file['site'] = $events === [] ? null : ['events' => $events];

        return array_filter($file, fn (mixed $section): bool => $section !== null && $section !== []);
    }

    public function open(Project $project): CoreProject
    {
        return ProjectFormat::read(Node::of($this->file($project)), $this->catalogue);
    }

    /** JSON as `apron-assessment/1`; without the paths of its details, as every sheet asks for it, kept until the content changes. */
    public function assessment(Project $project, ?UnitSystem $units = null, bool $paths = true): string
    {
        $core = $this->open($project);
        $units ??= $core->units;
        $told = fn (): string => json_encode((new Assessment($core))->toArray(new Words($units), $paths), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        if ($paths) {
            return $told();
        }
        $hash = hash('sha256', Assessment::FORMAT.Assessment::EDITION.$this->catalogue->version.$units->value.ProjectFormat::write($core));
        if ($project->assessed_hash === $hash && $project->assessment !== null) {
            return $project->assessment;
        }
        $assessment = $told();
        $project->forceFill(['assessed_hash' => $hash, 'assessment' => $assessment])->saveQuietly();

        return $assessment;
    }

    /** A whole project file becomes a project of the person's organisation. @throws FileRefused */
    public function import(string $json, User $by): Project
    {
        return $this->store(ProjectFormat::parse($json, $this->catalogue), $by->organisation_id, $by->name);
    }

    public function store(CoreProject $core, string $organisation, string $by): Project
    {
        $file = ProjectFormat::document($core);

        return DB::transaction(function () use ($core, $file, $organisation, $by): Project {
            $project = Project::create(['organisation_id' => $organisation, 'name' => $core->name]);
            $this->write($project, DocumentKind::Brief, 'brief', 0, array_intersect_key($file, array_flip(self::BRIEF)), $by);
            foreach ([DocumentKind::Material, DocumentKind::Assembly, DocumentKind::Detail, DocumentKind::Opening] as $kind) {
                foreach (array_values($file[$kind->section()] ?? []) as $position => $content) {
                    $this->write($project, $kind, $content['id'], $position, $content, $by);
                }
            }
            foreach ($file['training'] ?? [] as $run) {
                DrillRun::create(['project_id' => $project->id, 'created_at' => $run['at']] + array_diff_key($run, ['at' => true]));
            }
            foreach ($file['site']['events'] ?? [] as $event) {
                $this->writeEvent($project, $event);
            }

            return $project;
        });
    }

    /**
     * Saves one document from the revision it was edited from (0 for a new one), if the whole project still reads.
     *
     * @param  array<string, mixed>  $content
     *
     * @throws FileRefused|StaleSave
     */
    public function save(Project $project, DocumentKind $kind, string $key, int $from, array $content, User $by): Document
    {
        return DB::transaction(function () use ($project, $kind, $key, $from, $content, $by): Document {
            // One save at a time in a project, so that a material cannot be removed under an assembly being saved.
            Project::whereKey($project->id)->lockForUpdate()->first();
            $document = $project->documents()->whereIn('kind', $kind->sharing())->where('key', $key)->first();
            if (($document->revision ?? 0) !== $from) {
                throw $document === null
                    ? new FileRefused('/'.$kind->section(), "“{$key}” is gone", 'a document that still exists; save it as a new one')
                    : new StaleSave($document, $content);
            }
            $canonical = $this->canonical($project, $kind, $key, $content);
            $last = 1 + (int) $project->documents()->where('kind', $kind)->max('position');
            if ($document === null) {
                $document = $this->write($project, $kind, $key, $last, $canonical, $by->name);
            } else {
                $document->update(['kind' => $kind, 'position' => $document->kind === $kind ? $document->position : $last, 'content' => $this->encode($canonical), 'revision' => $from + 1]);
                $this->remember($document, $by->name);
            }
            $this->copyMaterials($project, $by->name);
            if ($kind === DocumentKind::Brief) {
                $project->update(['name' => $canonical['project']['name']]);
            }
            $project->touch();

            return $document;
        });
    }

    public function remove(Project $project, DocumentKind $kind, string $key): void
    {
        DB::transaction(function () use ($project, $kind, $key): void {
            $project->documents()->where(['kind' => $kind, 'key' => $key])->firstOrFail()->delete();
            $this->open($project);
            $project->touch();
        });
    }

    /**
     * A draft read as part of its project, with nothing else in it that would have to be assessed.
     *
     * @param  array<string, mixed>  $content
     */
    public function draft(Project $project, DocumentKind $kind, array $content): CoreProject
    {
        $file = array_diff_key($this->file($project), array_flip(['assemblies', 'details', 'openings', 'training', 'site']));
        $file = $kind === DocumentKind::Brief
            ? [...array_diff_key($file, array_flip(self::BRIEF)), ...$content]
            : [...$file, $kind->section() => [$content]];

        return ProjectFormat::read(Node::of($file), $this->catalogue);
    }

    /**
     * Adds what was seen on site; an event that is here already is passed over, so that a phone may send twice.
     *
     * @param  list<array<string, mixed>>  $events
     * @return int how many were new
     *
     * @throws FileRefused
     */
    public function addEvents(Project $project, array $events, User $by): int
    {
        return DB::transaction(function () use ($project, $events, $by): int {
            Project::whereKey($project->id)->lockForUpdate()->first();
            $known = $project->siteEvents()->pluck('event')->flip();
            $new = 0;
            foreach ($events as $i => $event) {
                $row = SiteFormat::write(SiteFormat::event(Node::of(['by' => $by->name] + $event, "/events/$i")));
                $this->demandPhotographs($project, $row['photographs'] ?? [], $i);
                if (! $known->has($row['id'])) {
                    $this->writeEvent($project, $row);
                    $known->put($row['id'], true);
                    $new++;
                }
            }
            $this->open($project);

            return $new;
        });
    }

    /** @param  list<string>  $digests */
    private function demandPhotographs(Project $project, array $digests, int $event): void
    {
        $missing = array_values(array_diff($digests, $project->photographs()->whereIn('sha256', $digests)->pluck('sha256')->all()));
        if ($missing !== []) {
            throw new FileRefused("/events/$event/photographs", $missing[0], 'a photograph sent before the event that names it');
        }
    }

    /**
     * @param  array<string, mixed>  $content
     * @return array<string, mixed> the content as the file writes it
     */
    private function canonical(Project $project, DocumentKind $kind, string $key, array $content): array
    {
        $file = $this->file($project);
        if ($kind === DocumentKind::Brief) {
            $file = [...array_diff_key($file, array_flip(self::BRIEF)), ...array_intersect_key($content, array_flip(self::BRIEF))];
            $unknown = array_diff_key($content, array_flip(self::BRIEF));
            $file += $unknown;
        } else {
            foreach ($kind->sharing() as $list) {
                $file[$list->section()] = array_values(array_filter(array_map(fn (mixed $row): array => (array) $row, $file[$list->section()] ?? []), fn (array $row): bool => $row['id'] !== $key));
            }
            // The draft goes first, so that a refusal points at place 0 of its list and not at a neighbour.
            $file[$kind->section()] = [$content, ...$file[$kind->section()]];
            if (($content['id'] ?? null) !== $key) {
                throw new FileRefused('/'.$kind->section().'/0/id', json_encode($content['id'] ?? null, JSON_THROW_ON_ERROR), "the id “{$key}” it is saved under");
            }
        }
        $written = ProjectFormat::document(ProjectFormat::read(Node::of($file), $this->catalogue));

        return $kind === DocumentKind::Brief ? array_intersect_key($written, array_flip(self::BRIEF)) : $written[$kind->section()][0];
    }

    /** Using a material of the catalogue copies it, with the catalogue's version: a later catalogue changes no verdict. */
    private function copyMaterials(Project $project, string $by): void
    {
        $core = $this->open($project);
        $used = [];
        foreach ($core->assemblies as $assembly) {
            foreach ($assembly->layers as $layer) {
                $used[$layer->material->id] = $layer->material;
                if ($layer->framing !== null) {
                    $used[$layer->framing->material->id] = $layer->framing->material;
                }
            }
        }
        foreach ($core->details as $detail) {
            foreach ($detail->pieces as $piece) {
                $used[$piece->material->id] = $piece->material;
            }
        }
        $position = (int) $project->documents()->where('kind', DocumentKind::Material)->max('position');
        foreach (array_diff_key($used, $core->materials->own) as $id => $material) {
            $row = MaterialFormat::write($material);
            $source = $row['source'] ?? null;
            unset($row['source']);
            $row['catalogue'] = $this->catalogue->version;
            $this->write($project, DocumentKind::Material, (string) $id, ++$position, $source === null ? $row : $row + ['source' => $source], $by);
        }
    }

    /** @param  array<string, mixed>  $content */
    private function write(Project $project, DocumentKind $kind, string $key, int $position, array $content, string $by): Document
    {
        $document = Document::create([
            'project_id' => $project->id, 'kind' => $kind, 'key' => $key, 'position' => $position, 'revision' => 1, 'content' => $this->encode($content),
        ]);
        $this->remember($document, $by);

        return $document;
    }

    private function remember(Document $document, string $by): void
    {
        $document->revisions()->create(['number' => $document->revision, 'content' => $document->content, 'by' => $by]);
    }

    /** @param  array<string, mixed>  $event */
    private function writeEvent(Project $project, array $event): void
    {
        SiteEvent::create(['project_id' => $project->id, 'event' => $event['id'], 'kind' => $event['kind'], 'content' => $this->encode($event), 'received_at' => now()]);
    }

    /** @param  array<string, mixed>  $content */
    private function encode(array $content): string
    {
        return json_encode($content, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}

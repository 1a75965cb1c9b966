<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Document;
use App\Models\DrillRun;
use App\Models\Project;
use Apron\Acceptance\Acceptance;
use Apron\Inspection\SiteRecord;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Project\DocumentSection;
use Apron\Project\FaultLines;
use Apron\Project\Project as CoreProject;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\AcceptancesSection;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\BuildingSection;
use Apron\Project\Section\DetailsSection;
use Apron\Project\Section\OpeningsSection;
use Apron\Project\Section\PlaneSectionsSection;
use Apron\Project\Section\TestsSection;
use Apron\Project\Section\WeatherSection;
use Apron\Project\Sections;
use Illuminate\Support\Collection;

/** What is stored of a project, as the core reads it: all of it, or no more than one document stands on. */
final class StoredProject
{
    public function __construct(private readonly Catalogue $catalogue, public readonly Sections $sections)
    {
    }

    /** All of it; what can no longer be read is named in `broken`. */
    public function open(Project $project): CoreProject
    {
        return $this->read($this->file($project, $project->documents()->get()) + $this->record($project));
    }

    /** Everything but the site and the training record, which no document stands on. */
    public function withoutRecord(Project $project): CoreProject
    {
        return $this->read($this->file($project, $project->documents()->get()));
    }

    /**
     * The brief, the project's own materials, these documents and the walls that they stand in.
     *
     * @param  iterable<Document>  $documents
     */
    public function part(Project $project, iterable $documents = []): CoreProject
    {
        $documents = array_values([...$documents]);
        $contents = array_map(fn (Document $d): array => [$d->kind, $d->decoded()], $documents);
        $there = array_map(fn (Document $d): string => "$d->kind $d->key", $documents);
        $walls = $this->walls($project, $contents)->reject(
            fn (Document $d): bool => in_array("$d->kind $d->key", $there, true),
        );

        return $this->read($this->file($project, [...$this->base($project), ...$walls, ...$documents]));
    }

    /**
     * The walls that these contents stand in, and the openings that they place.
     *
     * @param  array<int, array{string, \stdClass}>  $contents  kind and content
     * @return Collection<int, Document>
     */
    public function walls(Project $project, array $contents): Collection
    {
        /** @var list<Document> $found */
        $found = [];
        // Quantities stand on a building, that on openings, and those on walls: no deeper.
        foreach ([1, 2, 3] as $_) {
            $ids = [];
            foreach ($contents as [$kind, $content]) {
                array_push($ids, ...$this->sections->ofKind($kind)?->standsOn($content) ?? []);
            }
            /** @var list<Document> $more */
            $more = $ids === []
                ? []
                : $project
                    ->documents()
                    ->whereIn('kind', self::stoodOn())
                    ->whereIn('key', array_unique($ids))
                    ->whereNotIn('id', array_map(fn (Document $d): string => $d->id, $found))
                    ->get()
                    ->all();
            $contents = array_map(fn (Document $d): array => [$d->kind, $d->decoded()], $more);
            array_push($found, ...$more);
        }

        return new Collection($found);
    }

    /** @return list<string> kinds that others stand on */
    public static function stoodOn(): array
    {
        return [
            (new AssembliesSection)->kind(),
            (new DetailsSection)->kind(),
            (new OpeningsSection)->kind(),
            (new BuildingSection)->kind(),
            (new PlaneSectionsSection)->kind(),
            (new TestsSection)->kind(),
            (new WeatherSection)->kind(),
        ];
    }

    /**
     * A draft read as part of its project, with nothing else in it that would have to be assessed.
     *
     * @param  DocumentSection<mixed>  $section
     *
     * @throws \Apron\Json\FileRefused
     */
    public function draft(Project $project, DocumentSection $section, Node $content): CoreProject
    {
        $raw = $content->raw();
        $isObject = $raw instanceof \stdClass;
        $walls = $isObject ? $this->walls($project, [[$section->kind(), $raw]])->all() : [];
        $id = $isObject ? $raw->id ?? null : null;
        // Two tests that name each other bring along what is stored of the draft itself.
        $others = array_filter(
            [...$this->base($project), ...$walls],
            fn (Document $d): bool => $d->kind !== $section->kind() || $d->key !== $id,
        );

        return $this->refusing($section->replace($this->file($project, $others), null, $content));
    }

    /**
     * @param  iterable<Document>  $documents
     * @return array<string, mixed> the sections of the project file that they are
     */
    public function file(Project $project, iterable $documents): array
    {
        $file = [
            'format' => ProjectFormat::FORMAT,
            'project' => (object) ['name' => $project->name, 'units' => 'si'],
            'climate' => null,
            'indoor' => null,
            'conditions' => null,
        ];
        foreach ($documents as $document) {
            $section = $this->sections->ofKind($document->kind);
            // What a later release stored and this one does not know stays where it is.
            $file = $section === null ? $file : $section->place($file, $document->decoded());
        }

        return $file;
    }

    /** @return Collection<int, Document> what every document stands on */
    public function base(Project $project): Collection
    {
        $kinds = array_map(
            fn (DocumentSection $s): string => $s->kind(),
            array_filter($this->sections->documents(), fn (DocumentSection $s): bool => $s->isBase()),
        );

        return $project->documents()->whereIn('kind', $kinds)->get();
    }

    /** @return array<string, Acceptance> what was accepted in the project, by the key of the finding */
    public function acceptances(Project $project): array
    {
        $section = new AcceptancesSection;
        $documents = $project->documents()->where('kind', $section->kind())->get();

        return $documents->isEmpty()
            ? []
            : AcceptancesSection::byFinding($this->read($this->file($project, $documents)));
    }

    /** @return array<string, int> what stands behind each fault: only the details that faults are of are read */
    public function faultLines(Project $project, SiteRecord $record): array
    {
        $named = [];
        $faults = $record->faults();
        foreach ($faults as $fault) {
            // A check is named by its detail first, whose own name may have points in it.
            $parts = explode('.', $fault->raised->check ?? '');
            for ($i = 1; $i < count($parts); $i++) {
                $named[] = implode('.', array_slice($parts, 0, $i));
            }
        }
        if ($named === []) {
            return [];
        }
        $kinds = [(new DetailsSection)->kind(), (new OpeningsSection)->kind()];
        $documents = $project->documents()->whereIn('kind', $kinds)->whereIn('key', array_unique($named))->get();
        $part = $this->file($project, [...$this->base($project), ...$documents]);

        return FaultLines::of($this->read($part), $faults);
    }

    /** @param  array<string, mixed>  $file */
    public function read(array $file): CoreProject
    {
        return ProjectFormat::stored(Node::decoded((object) $file), $this->catalogue, $this->sections);
    }

    /**
     * @param  array<string, mixed>  $file
     *
     * @throws \Apron\Json\FileRefused where any part of it cannot be read
     */
    public function refusing(array $file): CoreProject
    {
        return ProjectFormat::read(Node::decoded((object) $file), $this->catalogue, $this->sections);
    }

    /** @return array{training: list<\stdClass>, site: \stdClass|null} what was seen on site and practised */
    private function record(Project $project): array
    {
        $events = array_map(
            fn (mixed $content): mixed => json_decode((string) $content),
            $project->siteEvents()->toBase()->pluck('content')->all(),
        );
        $runs = DrillRun::where('project_id', $project->id)
            ->orderBy('id')
            ->get()
            ->map(fn (DrillRun $run): \stdClass => (object) $run->toShape());

        return [
            'training' => array_values($runs->all()),
            'site' => $events === [] ? null : (object) ['events' => array_values($events)],
        ];
    }
}

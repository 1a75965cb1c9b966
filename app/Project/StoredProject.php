<?php

namespace App\Project;

use App\Models\Document;
use App\Models\DocumentKind;
use App\Models\DrillRun;
use App\Models\Project;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Project\Project as CoreProject;
use Apron\Project\ProjectFormat;
use Illuminate\Support\Collection;

/** What is stored of a project, as the core reads it: all of it, or no more than one document stands on. */
final class StoredProject
{
    /** Sections of the file that the brief is. */
    public const BRIEF = ['project', 'climate', 'indoor', 'conditions'];

    public function __construct(private readonly Catalogue $catalogue)
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
     * The brief, the project's own materials, and these documents.
     *
     * @param  iterable<Document>  $documents
     */
    public function part(Project $project, iterable $documents = []): CoreProject
    {
        return $this->read($this->file($project, [...$this->base($project), ...$documents]));
    }

    /**
     * A draft read as part of its project, with nothing else in it that would have to be assessed.
     *
     * @throws \Apron\Json\FileRefused
     */
    public function draft(Project $project, DocumentKind $kind, Node $content): CoreProject
    {
        return ProjectFormat::read($this->node($this->withDraft($this->file($project, $this->base($project)), $kind, null, $content)), $this->catalogue);
    }

    /**
     * The file with a document's new content in the place of what was stored. It goes first, so that a refusal points at place 0 of its
     * list and not at a neighbour.
     *
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     */
    public function withDraft(array $file, DocumentKind $kind, ?string $key, Node $content): array
    {
        $raw = $content->raw();
        if (! $raw instanceof \stdClass) {
            $content->refuse('an object');
        }
        if ($kind === DocumentKind::Brief) {
            $content->object(self::BRIEF, ['project']);

            return [...array_diff_key($file, array_flip(self::BRIEF)), ...get_object_vars($raw), 'format' => ProjectFormat::FORMAT];
        }
        foreach ($kind->sharing() as $list) {
            $file[$list->section()] = array_values(array_filter($file[$list->section()] ?? [], fn (\stdClass $row): bool => $row->id !== $key));
        }
        $file[$kind->section()] = [$raw, ...$file[$kind->section()]];

        return $file;
    }

    /**
     * @param  iterable<Document>  $documents
     * @return array<string, mixed> the sections of the project file that they are
     */
    public function file(Project $project, iterable $documents): array
    {
        $file = ['format' => ProjectFormat::FORMAT, 'project' => ['name' => $project->name, 'units' => 'si'], 'climate' => null, 'indoor' => null, 'conditions' => null];
        foreach ($documents as $document) {
            if ($document->kind === DocumentKind::Brief) {
                $file = [...$file, ...get_object_vars($document->decoded())];
            } else {
                $file[$document->kind->section()][] = $document->decoded();
            }
        }

        return $file;
    }

    /** @return Collection<int, Document> what every document stands on */
    public function base(Project $project): Collection
    {
        return $project->documents()->whereIn('kind', [DocumentKind::Brief, DocumentKind::Material])->get();
    }

    /** @param  array<string, mixed>  $file */
    public function read(array $file): CoreProject
    {
        return ProjectFormat::stored($this->node($file), $this->catalogue);
    }

    /** @param  array<string, mixed>  $file */
    public function node(array $file): Node
    {
        $file['project'] = (object) $file['project'];

        return Node::decoded((object) $file);
    }

    /** @return array{training: list<\stdClass>, site: \stdClass|null} what was seen on site and practised */
    private function record(Project $project): array
    {
        $events = $project->siteEvents()->toBase()->pluck('content')->map(fn (string $content): mixed => json_decode($content))->all();

        return [
            'training' => DrillRun::where('project_id', $project->id)->orderBy('id')->get()->map(fn (DrillRun $run): \stdClass => (object) $run->toShape())->all(),
            'site' => $events === [] ? null : (object) ['events' => $events],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Http\Wording;
use App\Models\Project;
use App\Project\KeptAssessment;
use App\Project\ProjectArchive;
use App\Project\ProjectImport;
use App\Project\StoredProject;
use Apron\Material\Catalogue;
use Apron\Material\MaterialFormat;
use Apron\Material\ProductFormat;
use Apron\Material\Usual;
use Apron\Project\Assessment;
use Apron\Project\LongDocument;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class ProjectController
{
    /** So many projects are listed at once; more by the next page, or by a part of their name. */
    private const PAGE = 100;

    public function __construct(
        private readonly ProjectImport $import,
        private readonly StoredProject $stored,
        private readonly KeptAssessment $kept,
    ) {
    }

    #[
        Api\Get(
            '/api/projects',
            id: 'projects',
            answers: [200 => ['the projects of one’s organisation', 'ProjectRow[]']],
        ),
    ]
    public function index(Request $request): JsonResponse
    {
        $given = $request->validate([
            'find' => 'nullable|string|max:200',
            'page' => 'nullable|integer|min:1|max:100000',
        ]);
        $person = Person::of($request);
        $asked = $person->memberships()->get()->keyBy('project_id');
        $found = Project::query()
            ->toBase()
            ->where(
                fn ($query) => $query
                    ->whereIn('id', $asked->keys())
                    ->when(! $person->guest, fn ($q) => $q->orWhere('organisation_id', $person->organisation_id)),
            )
            ->when(
                $given['find'] ?? null,
                fn ($query, string $words) => $query->whereRaw('name collate utf8mb4_general_ci like ?', [
                    '%'.addcslashes($words, '%_\\').'%',
                ]),
            )
            ->orderByDesc('updated_at')
            ->orderBy('id');
        $projects = $found->forPage((int) ($given['page'] ?? 1), self::PAGE)->get(['id', 'name', 'updated_at']);

        return new JsonResponse(
            $projects->map(
                fn (\stdClass $p): array => [
                    'id' => $p->id,
                    'name' => $p->name,
                    'updated' => str_replace(' ', 'T', $p->updated_at).'Z',
                    'role' => ($asked[$p->id]->role ?? $person->role)->value,
                ],
            ),
        );
    }

    #[Api\Post('/api/projects', id: 'createProject', answers: [201 => ['a new, empty project', 'Created']])]
    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            'name' => 'required|string|max:200',
            'units' => ['required', Rule::enum(UnitSystem::class)],
        ]);
        $file = json_encode(
            ['format' => ProjectFormat::FORMAT, 'project' => ['name' => $given['name'], 'units' => $given['units']]],
            JSON_THROW_ON_ERROR,
        );

        return new JsonResponse(['id' => $this->import->parse($file, Person::of($request))->id], 201);
    }

    #[
        Api\Post(
            '/api/projects/import',
            id: 'importProject',
            answers: [
                201 => ['the imported project', 'Created'],
                422 => 'the file cannot be used',
            ],
        ),
    ]
    public function import(Request $request, ProjectArchive $archive): JsonResponse
    {
        $request->validate(['file' => 'required|file|max:524288']);

        return new JsonResponse(
            ['id' => $archive->import($request->file('file')->getRealPath(), Person::of($request))->id],
            201,
        );
    }

    #[Api\Get('/api/projects/{project}', id: 'project', answers: [200 => ['all its documents', 'ProjectDocuments']])]
    public function show(Request $request, Project $project): JsonResponse
    {
        $broken = $this->kept->broken($project);
        $documents = [];
        foreach ($this->stored->sections->documents() as $section) {
            $documents[$section->section()] = [];
        }
        foreach ($project->documents()->get() as $document) {
            $section = $this->stored->sections->ofKind($document->kind);
            if ($section !== null) {
                $shape = $document->toShape($broken["$document->kind/$document->key"] ?? null);
                $documents[$section->section()][] = $section instanceof LongDocument
                    ? ['content' => $section->shortened($document->decoded())] + $shape
                    : $shape;
            }
        }

        return new JsonResponse([
            'id' => $project->id,
            'may_edit' => Person::of($request)->can('edit', $project),
            'role' => Person::of($request)->roleIn($project)?->value,
            ...$documents,
            'brief' => $documents['brief'][0],
        ]);
    }

    #[
        Api\Get(
            '/api/projects/{project}/assessment',
            id: 'assessment',
            answers: [
                200 => ['figures and findings', 'Assessment'],
            ],
            queries: ['units', 'paths'],
        ),
    ]
    public function assessment(Request $request, Project $project): JsonResponse
    {
        $paths = $request->validate(['paths' => 'nullable|in:all,none'])['paths'] ?? 'all';
        if ($paths === 'none') {
            $units = Wording::units($request) ?? $this->stored->part($project)->brief->units;

            return JsonResponse::fromJsonString($this->kept->of($project, $units));
        }
        $core = $this->stored->open($project);
        $said = (new Assessment($core))->toArray(Wording::of($request, $core->brief));

        return JsonResponse::fromJsonString(json_encode($said, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    #[
        Api\Get(
            '/api/projects/{project}/materials',
            id: 'materials',
            answers: [
                200 => ['the project’s own and the catalogue’s', 'Material[]'],
            ],
        ),
    ]
    public function materials(Project $project, Catalogue $catalogue): JsonResponse
    {
        $own = $this->stored->part($project)->materials->own;
        $rows = array_map(MaterialFormat::write(...), array_values($own));
        foreach ($catalogue->all() as $material) {
            if (! isset($own[$material->id])) {
                $rows[] = MaterialFormat::write($material);
            }
        }

        return new JsonResponse($rows);
    }

    #[
        Api\Get(
            '/api/projects/{project}/materials/{material}/laid',
            id: 'laid',
            answers: [
                200 => ['how it is laid, stored and cured, and which of it its own sheet says', 'LaidProduct'],
                404 => 'no such material',
            ],
        ),
    ]
    public function laid(Project $project, string $material): JsonResponse
    {
        $of = $this->stored->part($project)->materials->find($material) ?? abort(404);

        return new JsonResponse([
            'sticks' => Usual::sticker($of)?->value,
            'product' => (object) ProductFormat::write(Usual::of($of)),
            'stated' => array_keys($of->product === null ? [] : ProductFormat::write($of->product)),
        ]);
    }

    #[
        Api\Get(
            '/api/projects/{project}/export.json',
            id: 'exportFile',
            answers: [200 => ['the project file', 'ProjectFile']],
        ),
    ]
    public function exportFile(Project $project): Response
    {
        return new Response(ProjectFormat::write($this->stored->open($project)), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="project.json"',
        ]);
    }

    #[
        Api\Get(
            '/api/projects/{project}/export.zip',
            id: 'exportArchive',
            answers: [
                200 => 'the project file with its photographs',
            ],
        ),
    ]
    public function exportArchive(Project $project, ProjectArchive $archive): BinaryFileResponse
    {
        return (new BinaryFileResponse(
            $archive->export($project),
            200,
            ['Content-Type' => 'application/zip'],
            false,
        ))
            ->setContentDisposition('attachment', 'project.zip')
            ->deleteFileAfterSend();
    }
}

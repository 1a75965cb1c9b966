<?php

namespace App\Http\Controllers;

use App\Models\Document;
use App\Models\DocumentKind;
use App\Models\Project;
use App\Project\KeptAssessment;
use App\Project\ProjectArchive;
use App\Project\ProjectStore;
use App\Project\StoredProject;
use Apron\Material\Catalogue;
use Apron\Material\MaterialFormat;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class ProjectController
{
    /** So many projects are listed at once; more by the next page, or by a part of their name. */
    private const PAGE = 100;

    public function __construct(private readonly ProjectStore $store, private readonly StoredProject $stored, private readonly KeptAssessment $kept)
    {
    }

    #[OA\Get(path: '/api/projects', operationId: 'projects', responses: [new OA\Response(response: 200, description: 'the projects of one’s organisation')])]
    public function index(Request $request): JsonResponse
    {
        $given = $request->validate(['find' => 'nullable|string|max:200', 'page' => 'nullable|integer|min:1|max:100000']);
        $found = Project::query()->toBase()->where('organisation_id', $request->user()->organisation_id)
            ->when($given['find'] ?? null, fn ($query, string $words) => $query->whereRaw('name collate utf8mb4_general_ci like ?', ['%'.addcslashes($words, '%_\\').'%']))
            ->orderByDesc('updated_at')->orderBy('id');
        $projects = $found->forPage((int) ($given['page'] ?? 1), self::PAGE)->get(['id', 'name', 'updated_at']);

        return new JsonResponse($projects->map(fn (\stdClass $p): array => ['id' => $p->id, 'name' => $p->name, 'updated' => str_replace(' ', 'T', $p->updated_at).'Z']));
    }

    #[OA\Post(path: '/api/projects', operationId: 'createProject', responses: [new OA\Response(response: 201, description: 'a new, empty project')])]
    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['name' => 'required|string|max:200', 'units' => ['required', Rule::enum(UnitSystem::class)]]);
        $file = json_encode(['format' => ProjectFormat::FORMAT, 'project' => ['name' => $given['name'], 'units' => $given['units']]], JSON_THROW_ON_ERROR);

        return new JsonResponse(['id' => $this->store->import($file, $request->user())->id], 201);
    }

    #[OA\Post(path: '/api/projects/import', operationId: 'importProject', responses: [new OA\Response(response: 201, description: 'the imported project'), new OA\Response(response: 422, description: 'the file cannot be used')])]
    public function import(Request $request, ProjectArchive $archive): JsonResponse
    {
        $request->validate(['file' => 'required|file|max:524288']);

        return new JsonResponse(['id' => $archive->import($request->file('file')->getRealPath(), $request->user())->id], 201);
    }

    #[OA\Get(path: '/api/projects/{project}', operationId: 'project', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'all its documents', content: new OA\JsonContent(ref: '#/components/schemas/ProjectDocuments'))])]
    public function show(Request $request, Project $project): JsonResponse
    {
        $documents = $project->documents()->get();
        $broken = $this->kept->broken($project);
        $of = fn (DocumentKind $kind): array => $documents->filter(fn (Document $d): bool => $d->kind === $kind)
            ->map(fn (Document $d): array => $d->toShape($broken[($kind->section() ?? 'brief').'/'.($kind === DocumentKind::Brief ? '' : $d->key)] ?? null))->values()->all();

        return new JsonResponse([
            'id' => $project->id,
            'may_edit' => $request->user()->can('edit', $project),
            'brief' => $of(DocumentKind::Brief)[0],
            'assemblies' => $of(DocumentKind::Assembly),
            'details' => $of(DocumentKind::Detail),
            'openings' => $of(DocumentKind::Opening),
            'materials' => $of(DocumentKind::Material),
        ]);
    }

    #[OA\Get(path: '/api/projects/{project}/assessment', operationId: 'assessment', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['si', 'us'])), new OA\QueryParameter(name: 'paths', description: 'none leaves out the details with the paths of their strips', schema: new OA\Schema(type: 'string', enum: ['all', 'none']))], responses: [new OA\Response(response: 200, description: 'figures and findings', content: new OA\JsonContent(ref: '#/components/schemas/Assessment'))])]
    public function assessment(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['units' => 'nullable|in:si,us', 'paths' => 'nullable|in:all,none']);
        $units = isset($given['units']) ? UnitSystem::from($given['units']) : null;
        if (($given['paths'] ?? 'all') === 'none') {
            return JsonResponse::fromJsonString($this->kept->of($project, $units ?? $this->stored->part($project)->units));
        }
        $core = $this->stored->open($project);

        return JsonResponse::fromJsonString(json_encode((new Assessment($core))->toArray(new Words($units ?? $core->units)), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    #[OA\Get(path: '/api/projects/{project}/materials', operationId: 'materials', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the project’s own and the catalogue’s')])]
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

    #[OA\Get(path: '/api/projects/{project}/export.json', operationId: 'exportFile', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the project file')])]
    public function exportFile(Project $project): Response
    {
        return new Response(ProjectFormat::write($this->stored->open($project)), 200, ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="project.json"']);
    }

    #[OA\Get(path: '/api/projects/{project}/export.zip', operationId: 'exportArchive', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the project file with its photographs')])]
    public function exportArchive(Project $project, ProjectArchive $archive): BinaryFileResponse
    {
        return (new BinaryFileResponse($archive->export($project), 200, ['Content-Type' => 'application/zip'], false))
            ->setContentDisposition('attachment', 'project.zip')->deleteFileAfterSend();
    }
}

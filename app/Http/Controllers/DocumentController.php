<?php

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Document;
use App\Models\DocumentKind;
use App\Models\DocumentRevision;
use App\Models\Project;
use App\Project\ProjectStore;
use App\Project\StoredProject;
use Apron\Project\Assessment;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

class DocumentController
{
    public function __construct(private readonly ProjectStore $store, private readonly StoredProject $stored)
    {
    }

    #[OA\Put(
        path: '/api/projects/{project}/documents/{kind}/{key}', operationId: 'saveDocument',
        parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'as saved', content: new OA\JsonContent(ref: '#/components/schemas/Document')),
            new OA\Response(response: 409, description: 'saved by somebody else in the meantime; both sides'),
            new OA\Response(response: 422, description: 'cannot be used'),
        ],
    )]
    public function save(Request $request, Project $project, DocumentKind $kind, string $key): JsonResponse
    {
        $given = $request->validate(['revision' => 'required|integer|min:0', 'save' => 'nullable|string|max:40']);
        $document = $this->store->save($project, $kind, $key, (int) $given['revision'], Body::content($request), $request->user(), $given['save'] ?? null);

        return new JsonResponse($document->toShape());
    }

    #[OA\Delete(
        path: '/api/projects/{project}/documents/{kind}/{key}', operationId: 'removeDocument',
        parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 204, description: 'removed, and to be brought back by saving over it'),
            new OA\Response(response: 409, description: 'saved by somebody else in the meantime'),
            new OA\Response(response: 422, description: 'something else stands on it'),
        ],
    )]
    public function remove(Request $request, Project $project, DocumentKind $kind, string $key): JsonResponse
    {
        abort_if($kind === DocumentKind::Brief, 422, 'A project keeps its brief.');
        $given = $request->validate(['revision' => 'required|integer|min:1']);
        $this->store->remove($project, $kind, $key, (int) $given['revision'], $request->user());

        return new JsonResponse(null, 204);
    }

    #[OA\Get(
        path: '/api/projects/{project}/documents/{kind}/{key}/revisions', operationId: 'revisions',
        parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'everything it has been, newest first; without content where it was removed', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Revision')))],
    )]
    public function revisions(Project $project, DocumentKind $kind, string $key): JsonResponse
    {
        return new JsonResponse(array_map(fn (DocumentRevision $r): array => $r->toShape(), $this->store->revisions($project, $kind, $key)));
    }

    #[OA\Get(
        path: '/api/projects/{project}/removed', operationId: 'removed', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'what was taken out, the last first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/RemovedDocument')))],
    )]
    public function removed(Project $project): JsonResponse
    {
        $removed = Document::where('project_id', $project->id)->whereNotNull('removed_at')->orderByDesc('removed_at')->orderBy('key')->limit(200)->get();
        $by = DocumentRevision::whereIn('document_id', $removed->modelKeys())->whereNull('content')->orderBy('number')->pluck('by', 'document_id');

        return new JsonResponse($removed->map(fn (Document $d): array => [
            'kind' => $d->kind->value, 'key' => $d->key, 'revision' => $d->revision, 'name' => (string) ($d->decoded()->title ?? $d->decoded()->name ?? $d->key),
            'by' => (string) ($by[$d->id] ?? ''), 'at' => (string) $d->removed_at?->toIso8601ZuluString(),
        ]));
    }

    /** A draft, assessed in its project and not stored: the answer to every key typed on a drawing. */
    #[OA\Post(
        path: '/api/projects/{project}/assess', operationId: 'assessDraft', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'figures and findings of the draft', content: new OA\JsonContent(ref: '#/components/schemas/Assessment')),
            new OA\Response(response: 422, description: 'cannot be used'),
        ],
    )]
    public function assess(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['kind' => 'required|in:brief,assembly', 'units' => 'nullable|in:si,us']);
        $core = $this->stored->draft($project, DocumentKind::from($given['kind']), Body::content($request));
        $units = isset($given['units']) ? UnitSystem::from($given['units']) : $core->units;

        return JsonResponse::fromJsonString(json_encode((new Assessment($core))->toArray(new Words($units)), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }
}

<?php

namespace App\Http\Controllers;

use App\Models\DocumentKind;
use App\Models\Project;
use App\Project\ProjectStore;
use Apron\Assessment;
use Apron\Quantity\UnitSystem;
use Apron\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

class DocumentController
{
    public function __construct(private readonly ProjectStore $store)
    {
    }

    #[OA\Put(path: '/api/projects/{project}/documents/{kind}/{key}', operationId: 'saveDocument', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string', enum: ['brief', 'material', 'assembly', 'detail', 'opening'])), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'as saved', content: new OA\JsonContent(ref: '#/components/schemas/Document')), new OA\Response(response: 409, description: 'saved by somebody else in the meantime; both sides'), new OA\Response(response: 422, description: 'cannot be used')])]
    public function save(Request $request, Project $project, DocumentKind $kind, string $key): JsonResponse
    {
        $given = $request->validate(['revision' => 'required|integer|min:0', 'content' => 'required|array']);
        $document = $this->store->save($project, $kind, $key, (int) $given['revision'], $request->input('content'), $request->user());

        return new JsonResponse($document->toShape());
    }

    #[OA\Delete(path: '/api/projects/{project}/documents/{kind}/{key}', operationId: 'removeDocument', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 204, description: 'removed')])]
    public function remove(Project $project, DocumentKind $kind, string $key): JsonResponse
    {
        abort_if($kind === DocumentKind::Brief, 422, 'A project keeps its brief.');
        $this->store->remove($project, $kind, $key);

        return new JsonResponse(null, 204);
    }

    /** A draft, assessed in its project and not stored: the answer to every key typed on a drawing. */
    #[OA\Post(path: '/api/projects/{project}/assess', operationId: 'assessDraft', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'figures and findings of the draft', content: new OA\JsonContent(ref: '#/components/schemas/Assessment')), new OA\Response(response: 422, description: 'cannot be used')])]
    public function assess(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['kind' => 'required|in:brief,assembly', 'content' => 'required|array', 'units' => 'nullable|in:si,us']);
        $core = $this->store->draft($project, DocumentKind::from($given['kind']), $request->input('content'));
        $units = isset($given['units']) ? UnitSystem::from($given['units']) : $core->units;

        return JsonResponse::fromJsonString(json_encode((new Assessment($core))->toArray(new Words($units)), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }
}

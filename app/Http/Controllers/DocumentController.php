<?php

namespace App\Http\Controllers;

use App\Models\DocumentKind;
use App\Models\Project;
use App\Project\ProjectStore;
use App\Project\SequenceSheet;
use Apron\Assessment;
use Apron\File\DetailWriter;
use Apron\Material\Materials;
use Apron\Quantity\UnitSystem;
use Apron\Sequence\CannotGenerate;
use Apron\Sequence\FlangedUnitInFastenedSheet;
use Apron\Sequence\Generators;
use Apron\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

class DocumentController
{
    public function __construct(private readonly ProjectStore $store)
    {
    }

    #[OA\Put(path: '/api/projects/{project}/documents/{kind}/{key}', operationId: 'saveDocument', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string', enum: ['brief', 'material', 'assembly', 'detail'])), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'as saved', content: new OA\JsonContent(ref: '#/components/schemas/Document')), new OA\Response(response: 409, description: 'saved by somebody else in the meantime; both sides'), new OA\Response(response: 422, description: 'cannot be used')])]
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

    /** A detail made from its sizes, not stored. */
    #[OA\Post(path: '/api/projects/{project}/generate', operationId: 'generateDetail', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the sheet of the detail', content: new OA\JsonContent(ref: '#/components/schemas/SequenceSheet')), new OA\Response(response: 422, description: 'sizes that the method cannot dress')])]
    public function generate(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['id' => 'required|string|max:80', 'title' => 'required|string|max:200', 'parameters' => 'required|array', 'generator' => ['nullable', Rule::in(array_keys(Generators::all()))], 'units' => 'nullable|in:si,us']);
        $core = $this->store->open($project);
        $parameters = array_map(fn (mixed $value): float|string => is_numeric($value) ? (float) $value : (is_string($value) ? $value : throw new CannotGenerate('parameters', 'a list', 'numbers and material ids')), $given['parameters']);
        $parameters += $core->headOfWater() === null ? [] : ['head_of_water_mm' => $core->headOfWater()];
        $generator = Generators::named($given['generator'] ?? FlangedUnitInFastenedSheet::NAME) ?? throw new \LogicException;
        $detail = $generator->make($given['id'], $given['title'], $parameters, new Materials($core->materials->own, $core->materials->catalogue));
        // Through the reader as well, so that nothing is drawn that could not be saved.
        $read = $this->store->draft($project, DocumentKind::Detail, DetailWriter::write($detail))->details[0];

        return new JsonResponse(SequenceSheet::of($read, new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units)));
    }

    /** A detail as it is being drawn, traced and checked, not stored. */
    #[OA\Post(path: '/api/projects/{project}/sheet', operationId: 'sheetOfDraft', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the sheet of the detail', content: new OA\JsonContent(ref: '#/components/schemas/SequenceSheet')), new OA\Response(response: 422, description: 'cannot be used')])]
    public function sheet(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['content' => 'required|array', 'units' => 'nullable|in:si,us']);
        $core = $this->store->draft($project, DocumentKind::Detail, $request->input('content'));

        return new JsonResponse(SequenceSheet::of($core->details[0], new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units)));
    }

    #[OA\Get(path: '/api/projects/{project}/sequences/{key}', operationId: 'sequence', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['si', 'us']))], responses: [new OA\Response(response: 200, description: 'the sheet of the detail', content: new OA\JsonContent(ref: '#/components/schemas/SequenceSheet'))])]
    public function sequence(Request $request, Project $project, string $key): JsonResponse
    {
        $core = $this->store->open($project);
        $detail = $core->detail($key) ?? abort(404, "No detail “{$key}” in this project.");

        return new JsonResponse(SequenceSheet::of($detail, new Words($request->enum('units', UnitSystem::class) ?? $core->units)));
    }
}

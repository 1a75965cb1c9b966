<?php

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\DocumentKind;
use App\Models\DrillRun;
use App\Models\Project;
use App\Project\SequenceSheet;
use App\Project\StoredProject;
use Apron\Crew\Drill;
use Apron\Crew\Joinery;
use Apron\Detail\Detail;
use Apron\Detail\DetailWriter;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Generator;
use Apron\Json\Node;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Method\UnitDepths;
use Apron\Opening\FlangedUnitInFastenedSheet;
use Apron\Project\Project as CoreProject;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Schools;
use Apron\Rules\Words;
use Apron\Trace\School;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Details and the order they are built in: made from sizes, drawn, practised, and the pieces round a unit worked out. */
class SequenceController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    #[OA\Get(path: '/api/generators', operationId: 'generators', responses: [new OA\Response(response: 200, description: 'every way of making a detail, with what each takes', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Method')))])]
    public function generators(): JsonResponse
    {
        $words = new Words(UnitSystem::SI);

        return new JsonResponse(array_values(array_map(fn (Generator $g): array => [
            'name' => $g->name(),
            'title' => $words->listed('generator', $g->name()),
            'opening' => in_array($g->name(), Methods::openings(), true),
            'parameters' => array_map(fn (array $p): array => [
                'label' => $p['situation'] ?? $words->listed($p['kind'] === 'choice' ? 'choice' : 'size', $p['name']),
                'of' => array_map(fn (string $of): array => ['value' => $of, 'title' => $words->listed('choice', $of)], $p['of']),
            ] + $p, $g->parameters()),
        ], Methods::all())));
    }

    #[OA\Get(path: '/api/schools', operationId: 'schools', responses: [new OA\Response(response: 200, description: 'where practitioners disagree, the usual answer first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/School')))])]
    public function schools(): JsonResponse
    {
        return new JsonResponse(Schools::all());
    }

    /** A detail made from its sizes, not stored. */
    #[OA\Post(path: '/api/projects/{project}/generate', operationId: 'generateDetail', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the sheet of the detail', content: new OA\JsonContent(ref: '#/components/schemas/SequenceSheet')), new OA\Response(response: 422, description: 'sizes that the method cannot dress')])]
    public function generate(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['id' => 'required|string|max:80', 'title' => 'required|string|max:200', 'parameters' => 'present|array', 'generator' => ['nullable', Rule::in(array_keys(Methods::all()))], 'units' => 'nullable|in:si,us']);
        $core = $this->stored->part($project);
        $parameters = array_map(fn (mixed $value): float|string => is_numeric($value) ? (float) $value : (is_string($value) ? $value : throw new CannotGenerate('parameters', 'a list', 'numbers and material ids')), $given['parameters']);
        $generator = Methods::named($given['generator'] ?? FlangedUnitInFastenedSheet::NAME) ?? throw new \LogicException;
        $parameters += Methods::settled($generator, $core->schools, $core->headOfWater(), $parameters);
        $detail = $generator->make($given['id'], $given['title'], $parameters, new Materials($core->materials->own, $core->materials->catalogue));
        // Through the reader as well, so that nothing is drawn that could not be saved.
        $read = $this->stored->draft($project, DocumentKind::Detail, Node::of(DetailWriter::write($detail)))->details[0];

        return new JsonResponse(SequenceSheet::of($read, new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units), School::of($core->schools)));
    }

    /** A detail as it is being drawn, traced and checked, not stored. */
    #[OA\Post(path: '/api/projects/{project}/sheet', operationId: 'sheetOfDraft', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the sheet of the detail', content: new OA\JsonContent(ref: '#/components/schemas/SequenceSheet')), new OA\Response(response: 422, description: 'cannot be used')])]
    public function sheet(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['units' => 'nullable|in:si,us']);
        $core = $this->stored->draft($project, DocumentKind::Detail, Body::content($request));

        return new JsonResponse(SequenceSheet::of($core->details[0], new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units), School::of($core->schools)));
    }

    #[OA\Get(path: '/api/projects/{project}/sequences/{key}', operationId: 'sequence', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['si', 'us']))], responses: [new OA\Response(response: 200, description: 'the sheet of the detail', content: new OA\JsonContent(ref: '#/components/schemas/SequenceSheet'))])]
    public function sequence(Request $request, Project $project, string $key): JsonResponse
    {
        [$core, $detail] = $this->detail($project, $key);

        return new JsonResponse(SequenceSheet::of($detail, new Words($this->units($request) ?? $core->units), School::of($core->schools)));
    }

    /** The pieces of the joint round a unit, and what each depth of it costs and gains. */
    #[OA\Post(path: '/api/projects/{project}/joinery', operationId: 'joinery', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'pieces and depths', content: new OA\JsonContent(ref: '#/components/schemas/Joinery')), new OA\Response(response: 422, description: 'sizes that make no sense')])]
    public function joinery(Request $request, Project $project): JsonResponse
    {
        $sizes = ['width_mm', 'height_mm', 'depth_mm', 'gap_mm', 'frame_mm', 'unit_kg'];
        $given = $request->validate(array_fill_keys($sizes, 'required|numeric') + ['insulation_mm' => 'nullable|numeric|min:0', 'setback_mm' => 'nullable|numeric|min:0', 'units' => 'nullable|in:si,us']);
        $core = $this->stored->part($project);
        $words = new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units);
        $float = array_map(floatval(...), array_intersect_key($given, array_flip([...$sizes, 'setback_mm'])));
        $rows = array_map(fn (array $row): array => ['what' => $row['what'], 'title' => $words->text($row['what'], 'title'), 'text' => $words->text($words->coded($row['what'], $core->schools), 'reason', $row['figures'])], Joinery::of($float));
        $parameters = ['frame_depth_mm' => $float['frame_mm'], 'clearance_mm' => $float['gap_mm']] + array_intersect_key($float, array_flip(['width_mm', 'height_mm', 'depth_mm', 'setback_mm']));
        $depths = UnitDepths::of($parameters, (float) ($given['insulation_mm'] ?? 0), new Materials($core->materials->own, $core->materials->catalogue));

        return new JsonResponse(['joinery' => $rows, 'depths' => array_map(fn (array $row): array => $row + [
            'title' => $words->text("depth.{$row['place']}", 'title'), 'cost' => $words->text("depth.{$row['place']}", 'cost'), 'gain' => $words->text("depth.{$row['place']}", 'gain'),
        ], $depths)]);
    }

    /** The steps of a detail shuffled, to be put in order again. */
    #[OA\Get(path: '/api/projects/{project}/sequences/{key}/drill', operationId: 'shuffle', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'seed', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'numbers of the steps, shuffled', content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'integer')))])]
    public function shuffle(Request $request, Project $project, string $key): JsonResponse
    {
        return new JsonResponse(Drill::shuffled($this->detail($project, $key)[1], $request->integer('seed')));
    }

    /** An order tried: what forbids it, and what the rain does to what it makes. Kept as a training record where asked. */
    #[OA\Post(path: '/api/projects/{project}/sequences/{key}/drill', operationId: 'drill', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'key', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'what came of it', content: new OA\JsonContent(ref: '#/components/schemas/Drill')), new OA\Response(response: 422, description: 'not an order of the steps')])]
    public function drill(Request $request, Project $project, string $key): JsonResponse
    {
        $given = $request->validate(['tries' => 'nullable|integer|min:1|max:999', 'keep' => 'nullable|boolean', 'units' => 'nullable|in:si,us']);
        [$core, $detail] = $this->detail($project, $key);
        $words = new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units);
        $order = array_map(fn (Node $step): int => $step->integer(1, 999), Body::content($request, 'order')->items(1, 999));
        try {
            $drill = Drill::run($detail, $order);
        } catch (\InvalidArgumentException $wrong) {
            throw ValidationException::withMessages(['order' => $wrong->getMessage()]);
        }
        $sheet = $drill->built === null ? null : SequenceSheet::of($drill->built, $words, School::of($core->schools));
        $rain = $sheet['rain'] ?? [];
        $shape = [
            'broken' => array_map(fn (array $r): array => ['before' => $r['before'], 'after' => $r['after'], 'why' => $words->text($r['why'], 'title', ['inner' => $r['inner'], 'outer' => $r['outer']])], $drill->broken),
            'refused' => $drill->refused,
            'worst' => $rain === [] ? null : $rain[count($rain) - 1]['worst'],
            'sheet' => $sheet,
        ];
        if ($given['keep'] ?? false) {
            DrillRun::create(['project_id' => $project->id, 'detail' => $key, 'title' => $detail->title, 'by' => $request->user()->name, 'user_id' => $request->user()->id, 'at' => now()->toIso8601ZuluString(), 'order' => $order, 'tries' => $given['tries'] ?? 1, 'broken' => count($drill->broken), 'worst' => $shape['worst'] ?? 'cannot be built']);
        }

        return new JsonResponse($shape);
    }

    #[OA\Get(path: '/api/projects/{project}/drills', operationId: 'drills', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'the training record, newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/DrillRun')))])]
    public function drills(Project $project): JsonResponse
    {
        return new JsonResponse(DrillRun::where('project_id', $project->id)->latest('id')->limit(200)->get()->map(fn (DrillRun $run): array => $run->toShape()));
    }

    private function units(Request $request): ?UnitSystem
    {
        $given = $request->validate(['units' => 'nullable|in:si,us']);

        return isset($given['units']) ? UnitSystem::from($given['units']) : null;
    }

    /** @return array{CoreProject, Detail} */
    private function detail(Project $project, string $key): array
    {
        $document = $project->documents()->whereIn('kind', DocumentKind::Detail->sharing())->where('key', $key)->get();
        $core = $this->stored->part($project, $document);

        return [$core, $core->detail($key) ?? abort(404, "No detail “{$key}” in this project.")];
    }
}

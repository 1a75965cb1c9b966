<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Body;
use App\Http\Person;
use App\Http\Wording;
use App\Models\DrillRun;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Crew\Drill;
use Apron\Crew\Joinery;
use Apron\Crew\SequenceSheet;
use Apron\Detail\Detail;
use Apron\Detail\DetailWriter;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Generator;
use Apron\Json\Node;
use Apron\Method\MethodForm;
use Apron\Method\Methods;
use Apron\Method\StatedOpening;
use Apron\Method\UnitDepths;
use Apron\Method\Wall;
use Apron\Opening\Presets;
use Apron\Project\ContactSheet;
use Apron\Project\ForOthers;
use Apron\Project\Project as CoreProject;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\DetailsSection;
use Apron\Project\Section\OpeningsSection;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Schools;
use Apron\Rules\Words;
use Apron\Trace\School;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/**
 * Details and the order they are built in: made from sizes, drawn, practised, and the pieces round a unit worked out.
 */
class SequenceController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    #[
        Api\Get(
            '/api/generators',
            id: 'generators',
            answers: [
                200 => ['every way of making a detail, with what each takes', 'Method[]'],
            ],
        ),
    ]
    public function generators(): JsonResponse
    {
        $words = new Words(UnitSystem::SI);

        return new JsonResponse(
            array_values(
                array_map(
                    fn (Generator $g): array => [
                        'name' => $g->name(),
                        'title' => $words->listed('generator', $g->name()),
                        'opening' => in_array($g->name(), Methods::openings(), true),
                        'parameters' => MethodForm::of($g, $words),
                    ],
                    Methods::all(),
                ),
            ),
        );
    }

    #[
        Api\Get(
            '/api/schools',
            id: 'schools',
            answers: [
                200 => ['where practitioners disagree, the usual answer first', 'School[]'],
            ],
        ),
    ]
    public function schools(): JsonResponse
    {
        return new JsonResponse(Schools::all());
    }

    /** What the project asks of others on site: framing, and what goes through the plane for a while. */
    #[
        Api\Get(
            '/api/projects/{project}/others',
            id: 'forOthers',
            answers: [
                200 => ['what the framer makes ready, and temporary things to be closed', 'ForOthers'],
            ],
            queries: ['units'],
        ),
    ]
    public function others(Request $request, Project $project): JsonResponse
    {
        $core = $this->stored->open($project);

        return new JsonResponse(ForOthers::of($core, Wording::of($request, $core->brief)));
    }

    /** A detail made from its sizes, not stored. */
    #[
        Api\Post(
            '/api/projects/{project}/generate',
            id: 'generateDetail',
            answers: [
                200 => ['the sheet of the detail', 'SequenceSheet'],
                422 => 'sizes that the method cannot dress',
            ],
        ),
    ]
    public function generate(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate([
            'id' => 'required|string|max:80',
            'title' => 'required|string|max:200',
            'parameters' => 'present|array',
            'generator' => ['nullable', Rule::in(array_keys(Methods::all()))],
            'between' => 'nullable|array|max:2',
            'seen' => 'nullable|array',
        ]);
        $core = $this->stored->read($this->inWalls($project, $given['between'] ?? []));
        $parameters = array_map(
            fn (mixed $value): float|string => is_numeric($value)
                ? (float) $value
                : (is_string($value)
                    ? $value
                    : throw new CannotGenerate('parameters', 'a list', 'numbers and material ids')),
            $given['parameters'],
        );
        $opening = new StatedOpening(
            $given['id'],
            $given['title'],
            $given['generator'] ?? Presets::USUAL,
            $parameters,
            array_values(array_filter($given['between'] ?? [], is_string(...))),
            array_map(
                fn (mixed $value): float|string => is_numeric($value) ? (float) $value : (string) $value,
                array_filter($given['seen'] ?? [], is_scalar(...)),
            ),
        );
        $made = $opening->made($core->materials, $core->brief, $core->of(AssembliesSection::class));
        // Through the reader as well, so that nothing is drawn that could not be saved.
        $read = $this->stored->draft($project, new DetailsSection, Node::of(DetailWriter::write($made->detail)))
            ->details[0];

        return $this->sheetOf($request, $core, $read, $made->between, $made->inWall);
    }

    /**
     * @param  mixed  $between  ids of assemblies
     * @return array<string, mixed> the project file with its base and those walls
     */
    private function inWalls(Project $project, mixed $between): array
    {
        $walls = $this->stored->walls($project, [[(new OpeningsSection)->kind(), (object) ['between' => $between]]]);

        return $this->stored->file($project, [...$this->stored->base($project), ...$walls]);
    }

    /**
     * The sheet of a detail, with what its method asks as it is made now, and the wall that it stands in.
     *
     * @param  list<string>  $between
     * @param  list<Finding>  $inWall
     */
    private function sheetOf(
        Request $request,
        CoreProject $core,
        Detail $detail,
        array $between,
        array $inWall,
    ): JsonResponse {
        $words = Wording::of($request, $core->brief);
        $method = Methods::named($detail->generated->generator ?? '');
        $assembly = $core->of(AssembliesSection::class)[$between[0] ?? ''] ?? null;
        $wall = $assembly === null ? null : Wall::of($assembly);

        return new JsonResponse(
            SequenceSheet::of($detail, $words, School::of($core->brief->schools), $inWall) + [
                'asked' => $method === null
                        ? []
                        : MethodForm::of($method, $words, $detail->generated->parameters ?? []),
                'touches' => ContactSheet::marks($core, $detail, $between),
                'wall' => $wall === null
                        ? null
                        : [
                            'id' => $wall->id,
                            'name' => $wall->name,
                            'plane' => $wall->plane === null ? null : $words->answer('plane', $wall->plane),
                            'seen' => (object) $wall->seen(),
                        ],
            ],
        );
    }

    /** A detail as it is being drawn, traced and checked, not stored. */
    #[
        Api\Post(
            '/api/projects/{project}/sheet',
            id: 'sheetOfDraft',
            answers: [
                200 => ['the sheet of the detail', 'SequenceSheet'],
                422 => 'cannot be used',
            ],
        ),
    ]
    public function sheet(Request $request, Project $project): JsonResponse
    {
        $core = $this->stored->draft($project, new DetailsSection, Body::content($request));

        $detail = $core->details[0];

        return $this->sheetOf($request, $core, $detail, $detail->between, DetailsSection::inWall($core, $detail));
    }

    #[
        Api\Get(
            '/api/projects/{project}/sequences/{key}',
            id: 'sequence',
            answers: [
                200 => ['the sheet of the detail', 'SequenceSheet'],
            ],
            queries: ['units'],
        ),
    ]
    public function sequence(Request $request, Project $project, string $key): JsonResponse
    {
        [$core, $detail] = $this->detail($project, $key);

        $row = $core->of(OpeningsSection::class)[$key] ?? null;

        return $this->sheetOf(
            $request,
            $core,
            $detail,
            $row->between ?? $detail->between,
            $row->inWall ?? DetailsSection::inWall($core, $detail),
        );
    }

    /** The pieces of the joint round a unit, and what each depth of it costs and gains. */
    #[
        Api\Post(
            '/api/projects/{project}/joinery',
            id: 'joinery',
            answers: [
                200 => ['pieces and depths', 'Joinery'],
                422 => 'sizes that make no sense',
            ],
        ),
    ]
    public function joinery(Request $request, Project $project): JsonResponse
    {
        $sizes = ['width_mm', 'height_mm', 'depth_mm', 'gap_mm', 'frame_mm', 'unit_kg'];
        $given = $request->validate(
            array_fill_keys($sizes, 'required|numeric') + [
                'insulation_mm' => 'nullable|numeric|min:0',
                'setback_mm' => 'nullable|numeric|min:0',
            ],
        );
        $core = $this->stored->part($project);
        $words = Wording::of($request, $core->brief);
        $float = array_map(floatval(...), array_intersect_key($given, array_flip([...$sizes, 'setback_mm'])));
        $rows = array_map(
            fn (array $row): array => [
                'what' => $row['what'],
                'title' => $words->text($row['what'], 'title'),
                'text' => $words->text(
                    $words->coded($row['what'], $core->brief->schools),
                    'reason',
                    $row['figures'],
                ),
            ],
            Joinery::of($float),
        );
        $parameters =
            ['frame_depth_mm' => $float['frame_mm'], 'clearance_mm' => $float['gap_mm']] +
            array_intersect_key($float, array_flip(['width_mm', 'height_mm', 'depth_mm', 'setback_mm']));
        $depths = UnitDepths::of($parameters, (float) ($given['insulation_mm'] ?? 0), $core->materials);

        return new JsonResponse([
            'joinery' => $rows,
            'depths' => array_map(
                fn (array $row): array => $row + [
                    'title' => $words->text("depth.{$row['place']}", 'title'),
                    'cost' => $words->text("depth.{$row['place']}", 'cost'),
                    'gain' => $words->text("depth.{$row['place']}", 'gain'),
                ],
                $depths,
            ),
        ]);
    }

    /** The steps of a detail shuffled, to be put in order again. */
    #[
        Api\Get(
            '/api/projects/{project}/sequences/{key}/drill',
            id: 'shuffle',
            answers: [
                200 => ['numbers of the steps, shuffled', 'int[]'],
            ],
            queries: ['seed'],
        ),
    ]
    public function shuffle(Request $request, Project $project, string $key): JsonResponse
    {
        return new JsonResponse(Drill::shuffled($this->detail($project, $key)[1], $request->integer('seed')));
    }

    /**
     * An order tried: what forbids it, and what the rain does to what it makes. Kept as a training record where asked.
     */
    #[
        Api\Post(
            '/api/projects/{project}/sequences/{key}/drill',
            id: 'drill',
            answers: [
                200 => ['what came of it', 'Drill'],
                422 => 'not an order of the steps',
            ],
        ),
    ]
    public function drill(Request $request, Project $project, string $key): JsonResponse
    {
        $given = $request->validate(['tries' => 'nullable|integer|min:1|max:999', 'keep' => 'nullable|boolean']);
        [$core, $detail] = $this->detail($project, $key);
        $words = Wording::of($request, $core->brief);
        $order = array_map(
            fn (Node $step): int => $step->integer(1, 999),
            Body::content($request, 'order')->items(1, 999),
        );
        try {
            $drill = Drill::run($detail, $order);
        } catch (\InvalidArgumentException $wrong) {
            throw ValidationException::withMessages(['order' => $wrong->getMessage()]);
        }
        $sheet =
            $drill->built === null
                ? null
                : SequenceSheet::of($drill->built, $words, School::of($core->brief->schools));
        $rain = $sheet['rain'] ?? [];
        $shape = [
            'broken' => array_map(
                fn (array $r): array => [
                    'before' => $r['before'],
                    'after' => $r['after'],
                    'why' => $words->text($r['why'], 'title', ['inner' => $r['inner'], 'outer' => $r['outer']]),
                ],
                $drill->broken,
            ),
            'refused' => $drill->refused,
            'worst' => $rain === [] ? null : $rain[count($rain) - 1]['worst'],
            'sheet' => $sheet,
        ];
        if ($given['keep'] ?? false) {
            DrillRun::create([
                'project_id' => $project->id,
                'detail' => $key,
                'title' => $detail->title,
                'by' => Person::of($request)->name,
                'user_id' => Person::of($request)->id,
                'at' => now()->toIso8601ZuluString(),
                'order' => $order,
                'tries' => $given['tries'] ?? 1,
                'broken' => count($drill->broken),
                'worst' => $shape['worst'] ?? 'cannot be built',
            ]);
        }

        return new JsonResponse($shape);
    }

    #[
        Api\Get(
            '/api/projects/{project}/drills',
            id: 'drills',
            answers: [
                200 => ['the training record, newest first', 'DrillRun[]'],
            ],
        ),
    ]
    public function drills(Project $project): JsonResponse
    {
        return new JsonResponse(
            DrillRun::where('project_id', $project->id)
                ->latest('id')
                ->limit(200)
                ->get()
                ->map(fn (DrillRun $run): array => $run->toShape()),
        );
    }

    /** @return array{CoreProject, Detail} */
    private function detail(Project $project, string $key): array
    {
        $document = $project
            ->documents()
            ->whereIn('kind', (new DetailsSection)->sharing())
            ->where('key', $key)
            ->get();
        $core = $this->stored->part($project, $document);

        return [$core, $core->detail($key) ?? abort(404, "No detail “{$key}” in this project.")];
    }
}

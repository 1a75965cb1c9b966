<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Body;
use App\Http\Wording;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Climate\GenericClimates;
use Apron\Cure\CureSearch;
use Apron\Cure\Sweep;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Project\Example;
use Apron\Project\Section\AssembliesSection;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class AssemblyController
{
    public function __construct(private readonly StoredProject $stored, private readonly Catalogue $catalogue)
    {
    }

    /** What would clear one finding of a draft. */
    #[
        Api\Post(
            '/api/projects/{project}/cures',
            id: 'cures',
            answers: [
                200 => ['changes that clear the finding', 'Cures'],
                404 => 'the draft has no such finding',
                422 => 'cannot be used',
            ],
        ),
    ]
    public function cures(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['key' => 'required|string']);
        $core = $this->stored->draft($project, new AssembliesSection, Body::content($request));
        $words = Wording::of($request, $core->brief);
        $assembly = $core->assemblies[0];
        foreach ((new AssemblyAssessment($core->brief, $assembly))->findings() as $finding) {
            if ($finding->key() === $given['key']) {
                return new JsonResponse(
                    (new CureSearch($core->brief, $assembly, $finding, $core->materials))->toArray($words),
                );
            }
        }
        abort(404, 'This finding is gone.');
    }

    /** The thickness of one layer in every generic climate. */
    #[
        Api\Post(
            '/api/projects/{project}/sweep',
            id: 'sweep',
            answers: [
                200 => ['a row of points for each climate', 'SweepRow[]'],
                422 => 'cannot be used',
            ],
        ),
    ]
    public function sweep(Request $request, Project $project, GenericClimates $climates): JsonResponse
    {
        $given = $request->validate(['layer' => 'required|string']);
        $core = $this->stored->draft($project, new AssembliesSection, Body::content($request));
        $assembly = $core->assemblies[0];
        foreach ($assembly->layers as $i => $layer) {
            if ($layer->id === $given['layer']) {
                $own = $core->brief->climate === null ? [] : [$core->brief->climate];
                $names = array_map(fn ($climate): string => $climate->name, $own);
                $generic = array_values(
                    array_filter($climates->all(), fn ($climate): bool => ! in_array($climate->name, $names, true)),
                );

                return new JsonResponse(Sweep::over($core->brief, $assembly, $i, [...$own, ...$generic]));
            }
        }
        abort(422, "No layer “{$given['layer']}” in this assembly.");
    }

    #[
        Api\Get(
            '/api/examples',
            id: 'examples',
            answers: [
                200 => ['assemblies of the trade with their verdicts', 'Example[]'],
            ],
            queries: ['units'],
        ),
    ]
    public function examples(Request $request): JsonResponse
    {
        $words = new Words(Wording::units($request) ?? UnitSystem::SI);

        return new JsonResponse(
            array_map(fn (Example $example): array => $example->toArray($words), Example::all($this->catalogue)),
        );
    }
}

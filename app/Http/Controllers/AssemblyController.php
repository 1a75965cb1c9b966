<?php

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\DocumentKind;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Assembly\AssemblyFormat;
use Apron\Climate\GenericClimates;
use Apron\Cure\Cure;
use Apron\Cure\CureSearch;
use Apron\Cure\Sweep;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Project\Example;
use Apron\Project\Project as CoreProject;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

class AssemblyController
{
    public function __construct(private readonly StoredProject $stored, private readonly Catalogue $catalogue)
    {
    }

    /** What would clear one finding of a draft. */
    #[OA\Post(path: '/api/projects/{project}/cures', operationId: 'cures', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'changes that clear the finding', content: new OA\JsonContent(ref: '#/components/schemas/Cures')), new OA\Response(response: 404, description: 'the draft has no such finding'), new OA\Response(response: 422, description: 'cannot be used')])]
    public function cures(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['key' => 'required|string', 'units' => 'nullable|in:si,us']);
        $core = $this->stored->draft($project, DocumentKind::Assembly, Body::content($request));
        $words = $this->words($given, $core);
        $assembly = $core->assemblies[0];
        foreach ((new AssemblyAssessment($core, $assembly))->findings() as $finding) {
            if ($finding->key() === $given['key']) {
                return $this->answer($finding, new CureSearch($core, $assembly, $finding, $this->catalogue), $words);
            }
        }
        abort(404, 'This finding is gone.');
    }

    /** The thickness of one layer in every generic climate. */
    #[OA\Post(path: '/api/projects/{project}/sweep', operationId: 'sweep', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'a row of points for each climate', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/SweepRow'))), new OA\Response(response: 422, description: 'cannot be used')])]
    public function sweep(Request $request, Project $project, GenericClimates $climates): JsonResponse
    {
        $given = $request->validate(['layer' => 'required|string']);
        $core = $this->stored->draft($project, DocumentKind::Assembly, Body::content($request));
        $assembly = $core->assemblies[0];
        foreach ($assembly->layers as $i => $layer) {
            if ($layer->id === $given['layer']) {
                $own = $core->climate === null ? [] : [$core->climate];
                $names = array_map(fn ($climate): string => $climate->name, $own);
                $generic = array_values(array_filter($climates->all(), fn ($climate): bool => ! in_array($climate->name, $names, true)));

                return new JsonResponse(Sweep::over($core, $assembly, $i, [...$own, ...$generic]));
            }
        }
        abort(422, "No layer “{$given['layer']}” in this assembly.");
    }

    #[OA\Get(path: '/api/examples', operationId: 'examples', parameters: [new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['si', 'us']))], responses: [new OA\Response(response: 200, description: 'assemblies of the trade with their verdicts', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Example')))])]
    public function examples(Request $request): JsonResponse
    {
        $words = new Words(UnitSystem::from($request->validate(['units' => 'nullable|in:si,us'])['units'] ?? 'si'));

        return new JsonResponse(array_map(function (Example $example) use ($words): array {
            $assessed = new AssemblyAssessment($example->project, $example->project->assemblies[0]);
            // What its figures are from is true of every example and says nothing of this one.
            $findings = array_values(array_filter(Finding::worstFirst($assessed->findings()), fn (Finding $finding): bool => $finding->code !== 'material.from-memory'));

            return [
                'id' => $example->id, 'title' => $example->title, 'about' => $example->about, 'climate' => $example->project->climate?->name,
                'u_w_m2k' => $assessed->heat->overallU(), 'year' => $assessed->year?->verdict(), 'worst' => $findings[0]->severity->value,
                'says' => array_map(fn (Finding $finding): string => $words->of($finding)['title'], array_slice($findings, 0, 2)),
                'assembly' => AssemblyFormat::write($example->project->assemblies[0]),
            ];
        }, Example::all($this->catalogue)));
    }

    private function answer(Finding $finding, CureSearch $search, Words $words): JsonResponse
    {
        $measure = $search->measure();

        return new JsonResponse([
            'title' => $words->of($finding)['title'],
            'measure' => $measure === null ? null : [
                'figure' => $measure->figure, 'title' => $words->text('figure.'.$measure->figure, 'title'), 'limit' => $measure->limit,
                'limit_shown' => $words->figure($measure->figure, $measure->limit), 'above' => $measure->above,
            ],
            'cures' => array_map(fn (Cure $cure): array => [
                'kind' => $cure->kind, 'layer' => $cure->layer, 'title' => $words->text($cure->code(), 'title', $cure->figures),
                'from' => $cure->from, 'to' => $cure->to, 'curve' => $cure->curve,
                'content' => $cure->assembly === null ? null : AssemblyFormat::write($cure->assembly),
            ], $search->all()),
        ]);
    }

    /** @param  array<string, mixed>  $given */
    private function words(array $given, CoreProject $core): Words
    {
        return new Words(isset($given['units']) ? UnitSystem::from($given['units']) : $core->units);
    }
}

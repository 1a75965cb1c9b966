<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\KeptHeats;
use App\Project\StoredProject;
use Apron\Conduction\Made\Buck;
use Apron\Conduction\Made\Flashing;
use Apron\Conduction\Made\Joint;
use Apron\Conduction\Made\JointKind;
use Apron\Conduction\Made\JointSizes;
use Apron\Conduction\Made\Point;
use Apron\Conduction\Made\Stack;
use Apron\Conduction\Made\Unit;
use Apron\Conduction\PlaneSectionFormat;
use Apron\Conduction\SectionHeat;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\PlaneSectionsSection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

class PlaneSectionController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    /** Temperatures of a section on a grid that a page can draw. */
    #[
        Api\Get(
            '/api/projects/{project}/plane-sections/{key}',
            id: 'planeSection',
            answers: [200 => ['its temperatures', 'PlanePicture'], 404 => 'no such section'],
        ),
    ]
    public function show(Project $project, string $key): JsonResponse
    {
        $kind = (new PlaneSectionsSection)->kind();
        $document = $project->documents()->where(['kind' => $kind, 'key' => $key])->first();
        abort_if($document === null, 404, "No section “{$key}” in this project.");
        $section = $this->stored->part($project, [$document])->of(PlaneSectionsSection::class)[$key]
            ?? abort(422, 'This section cannot be read any more; its page says why.');

        return new JsonResponse(KeptHeats::picture($section));
    }

    /** A joint as Apron makes it of an assembly, in each of the ways that are asked for, with what each loses. */
    #[
        Api\Post(
            '/api/projects/{project}/joints',
            id: 'joints',
            answers: [200 => ['best first', 'MadeJoint[]'], 422 => 'cannot be made'],
        ),
    ]
    public function make(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate([
            'assembly' => 'required|string|max:80',
            'kind' => ['required', Rule::enum(JointKind::class)],
            'inside_c' => 'numeric|between:-40,60',
            'outside_c' => 'numeric|between:-60,50|different:inside_c',
            'frame_u' => 'numeric|between:0.2,5.5',
            'frame_wide_mm' => 'numeric|between:20,300',
            'frame_deep_mm' => 'numeric|between:20,400',
            'glass_u' => 'numeric|between:0.2,5.5',
            'glass_mm' => 'numeric|between:4,100',
            'unit_wide_mm' => 'numeric|between:200,10000',
            'unit_high_mm' => 'numeric|between:200,10000',
            'cover_mm' => 'numeric|between:0,200',
            'buck' => [Rule::enum(Buck::class)],
            'flashing' => [Rule::enum(Flashing::class)],
            'slab_mm' => 'numeric|between:20,1000',
            'gauge_mm' => 'numeric|between:0.3,10',
            'flange_mm' => 'numeric|between:0,200',
            'parapet_mm' => 'numeric|between:50,3000',
            'edge_mm' => 'numeric|between:0,3000',
            'deep_mm' => 'numeric|between:100,6000',
            'meets' => 'nullable|string|max:80',
            'diameter_mm' => 'numeric|between:1,200',
            'point_w_mk' => 'numeric|between:0.02,400',
            'embedded_mm' => 'numeric|between:0,500',
            'per_m2' => 'numeric|between:0,200',
        ]);
        $kind = JointKind::from($given['kind']);
        $wall = $this->stack($project, $given['assembly']);
        abort_if(
            $kind->meets() !== null && ! isset($given['meets']),
            422,
            "Say which {$kind->meets()?->value} the wall meets there: an assembly of this project.",
        );
        $meets = $kind->meets() === null ? null : $this->stack($project, $given['meets']);
        $number = fn (string $name, float $usual): float => (float) ($given[$name] ?? $usual);
        $usual = new Unit;
        $unit = new Unit(
            $number('frame_u', $usual->frameU),
            $number('frame_wide_mm', $usual->frameWideMm),
            $number('frame_deep_mm', $usual->frameDeepMm),
            $number('glass_u', $usual->glassU),
            $number('glass_mm', $usual->glassMm),
        );
        $usually = new Point;
        $point = new Point(
            $number('diameter_mm', $usually->diameterMm),
            $number('point_w_mk', $usually->conductivity),
            $number('embedded_mm', $usually->embeddedMm),
            $number('per_m2', $usually->perM2),
        );
        $sizes = new JointSizes(
            unit: $unit,
            buck: Buck::from($given['buck'] ?? Buck::Wood->value),
            flashing: Flashing::from($given['flashing'] ?? Flashing::Membrane->value),
            coverMm: $number('cover_mm', 40.0),
            slabMm: $number('slab_mm', 200.0),
            gaugeMm: $number('gauge_mm', 1.5),
            flangeMm: $number('flange_mm', 40.0),
            parapetMm: $number('parapet_mm', 600.0),
            edgeMm: $number('edge_mm', 600.0),
            deepMm: $number('deep_mm', 2000.0),
            point: $point,
        );
        $joint = new Joint($wall, $sizes, $meets);
        $called = $wall->assembly->name.($meets === null ? '' : ", {$meets->assembly->name}");
        $rows = [];
        foreach ($joint->ways($kind) as $way => $title) {
            $section = $joint->made($way, "$title, $called", $number('inside_c', 20), $number('outside_c', 0));
            if ($section === null) {
                continue;
            }
            $heat = SectionHeat::of($section);
            $told = [
                'psi_w_mk' => $section->isRound ? null : $heat->psi,
                'chi_w_k' => $section->isRound ? $heat->psi : null,
                'added_u_w_m2k' => $section->isRound ? ($heat->psi ?? 0.0) * $point->perM2 : null,
                'frsi' => $heat->factor,
                'halving_changes_pct' => $heat->changed === null ? null : 100 * $heat->changed,
            ];
            $isUnit = $kind === JointKind::Unit && $told['psi_w_mk'] !== null;
            $rows[] = [
                'way' => $way,
                'title' => $title,
                // A cut through an axis is no section of the project file.
                'content' => $section->isRound
                    ? null
                    : PlaneSectionFormat::write($section) + ['assembly' => $wall->assembly->id],
                'installed_u_w_m2k' => $isUnit
                    ? $unit->installedU($told['psi_w_mk'], $number('unit_wide_mm', 1230), $number('unit_high_mm', 1480))
                    : null,
            ] + $told;
        }
        usort($rows, fn (array $a, array $b): int => $a['psi_w_mk'] <=> $b['psi_w_mk']);

        return new JsonResponse($rows);
    }

    private function stack(Project $project, string $key): Stack
    {
        $kind = (new AssembliesSection)->kind();
        $document = $project->documents()->where(['kind' => $kind, 'key' => $key])->first();
        abort_if($document === null, 422, "No assembly “{$key}” in this project.");
        $assembly = $this->stored->part($project, [$document])->of(AssembliesSection::class)[$key]
            ?? abort(422, 'This assembly cannot be read any more; its page says why.');
        abort_if(
            $assembly->reckonedLayers() === [],
            422,
            "Nothing of “{$assembly->name}” lies inside of its ventilated layer.",
        );

        return new Stack($assembly);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Conduction\Made\Buck;
use Apron\Conduction\Made\Flashing;
use Apron\Conduction\Made\Joint;
use Apron\Conduction\Made\JointKind;
use Apron\Conduction\Made\Stack;
use Apron\Conduction\Made\Unit;
use Apron\Conduction\PlaneHeat;
use Apron\Conduction\PlanePicture;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\PlaneSectionFormat;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\PlaneSectionsSection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
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

        return new JsonResponse(Cache::rememberForever(
            'picture '.self::hash($section),
            fn (): array => PlanePicture::of(new PlaneHeat($section)),
        ));
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
        ]);
        $document = $project
            ->documents()
            ->where(['kind' => (new AssembliesSection)->kind(), 'key' => $given['assembly']])
            ->first();
        abort_if($document === null, 422, "No assembly “{$given['assembly']}” in this project.");
        $assembly = $this->stored->part($project, [$document])->of(AssembliesSection::class)[$given['assembly']]
            ?? abort(422, 'This assembly cannot be read any more; its page says why.');
        abort_if($assembly->reckonedLayers() === [], 422, 'Nothing of this assembly lies inside of its ventilated layer.');
        $number = fn (string $name, float $usual): float => (float) ($given[$name] ?? $usual);
        $usual = new Unit;
        $unit = new Unit(
            $number('frame_u', $usual->frameU),
            $number('frame_wide_mm', $usual->frameWideMm),
            $number('frame_deep_mm', $usual->frameDeepMm),
            $number('glass_u', $usual->glassU),
            $number('glass_mm', $usual->glassMm),
        );
        $joint = new Joint(
            new Stack($assembly),
            $unit,
            Buck::from($given['buck'] ?? Buck::Wood->value),
            Flashing::from($given['flashing'] ?? Flashing::Membrane->value),
            $number('cover_mm', 40.0),
            $number('slab_mm', 200.0),
            $number('gauge_mm', 1.5),
            $number('flange_mm', 40.0),
        );
        $rows = [];
        foreach ($joint->ways(JointKind::from($given['kind'])) as $way => $title) {
            $section = $joint->made($way, "$title, $assembly->name", $number('inside_c', 20), $number('outside_c', 0));
            if ($section === null) {
                continue;
            }
            $told = self::told($section);
            $isUnit = $given['kind'] === JointKind::Unit->value && $told['psi_w_mk'] !== null;
            $rows[] = [
                'way' => $way,
                'title' => $title,
                'content' => PlaneSectionFormat::write($section),
                'installed_u_w_m2k' => $isUnit
                    ? $unit->installedU($told['psi_w_mk'], $number('unit_wide_mm', 1230), $number('unit_high_mm', 1480))
                    : null,
            ] + $told;
        }
        usort($rows, fn (array $a, array $b): int => $a['psi_w_mk'] <=> $b['psi_w_mk']);

        return new JsonResponse($rows);
    }

    /**
     * The same joint is computed once, whoever asks.
     *
     * @return array{psi_w_mk: float|null, frsi: float|null, halving_changes_pct: float|null}
     */
    private static function told(PlaneSection $section): array
    {
        return Cache::rememberForever('joint '.self::hash($section), function () use ($section): array {
            $heat = new PlaneHeat($section);

            return [
                'psi_w_mk' => $heat->psi(),
                'frsi' => $heat->factor(),
                'halving_changes_pct' => $heat->changed === null ? null : 100 * $heat->changed,
            ];
        });
    }

    private static function hash(PlaneSection $section): string
    {
        return hash('sha256', serialize([
            PlaneHeat::ENOUGH,
            array_map(fn ($block): array => [$block->rect, $block->conductivity], $section->blocks),
            $section->airs,
            $section->points,
            $section->flanking,
        ]));
    }
}

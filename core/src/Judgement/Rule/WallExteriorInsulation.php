<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Climate\ClimateZone;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Material\Families;
use Apron\Material\VapourClass;
use Apron\Quantity\Conversion;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/**
 * Least insulation outside of a wall’s sheathing, where the zone is known and leaking air meets a cold face: the table
 * of class III retarders.
 */
final class WallExteriorInsulation implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$zone, $path] = [$assessed->climate?->zone, $assessed->airPath];
        $plane = $path->interface;
        if ($zone === null || $plane === null || $assessed->assembly->kind !== AssemblyKind::Wall) {
            return [];
        }
        $rules = RuleFigures::of('practice');
        $asked = $rules->cell(
            'wall_exterior_r',
            ClimateZone::row($zone),
            $path->cavityMm > $rules->figure('deep_cavity_mm') ? 'deep' : 'shallow',
        );
        $tightest = Layer::tightest(array_slice($assessed->assembly->layers, 0, $plane));
        if ($asked === null || $tightest === null) {
            return [];
        }
        $source = $rules->source('wall_exterior_r');
        $class = $tightest->vapourClass();
        $figures = [
            'zone' => $zone,
            'inner' => $tightest->material->name,
            'class' => $class->value,
            'permeance_ng_pa_s_m2' => $tightest->permeance(),
        ];
        if ($class === VapourClass::I || $class === VapourClass::II) {
            return [new Finding('practice.retarder-inside', Severity::Pass, $assessed->subject(), $figures, $source)];
        }
        $least = $asked * Conversion::RSI_PER_R;
        $figures += ['exterior_m2k_w' => $path->exteriorR, 'least_m2k_w' => $least];
        $vented =
            $rules->lists('wall_vented_zones', $zone) &&
            $assessed->assembly->ventilatedAt() !== null &&
            $assessed->assembly->layers[$plane]->material->family?->ventedSheathing === true;
        if ($vented && $path->exteriorR < $least) {
            return [
                new Finding(
                    'practice.vented-cladding-instead',
                    Severity::Note,
                    $assessed->subject(),
                    $figures,
                    Families::source('vented_sheathing'),
                ),
            ];
        }
        $enough = $path->exteriorR >= $least - 1e-9;

        return [
            match (true) {
                $class === VapourClass::Open && ! $enough => new Finding(
                    'practice.no-retarder-inside',
                    Severity::Caution,
                    $assessed->subject(),
                    $figures,
                    $source,
                ),
                ! $enough => new Finding(
                    'practice.exterior-r-short',
                    Severity::Caution,
                    $assessed->subject(),
                    $figures,
                    $source,
                ),
                default => new Finding(
                    'practice.exterior-r-enough',
                    Severity::Pass,
                    $assessed->subject(),
                    $figures,
                    $source,
                ),
            },
        ];
    }
}

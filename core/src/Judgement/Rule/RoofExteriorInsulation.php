<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Climate\ClimateZone;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Quantity\Conversion;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** Least insulation above the deck of an unvented roof, where the zone is known and leaking air meets a cold face. */
final class RoofExteriorInsulation implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$zone, $path] = [$assessed->climate?->zone, $assessed->airPath];
        if ($zone === null || $path->interface === null || $assessed->assembly->kind !== AssemblyKind::Roof) {
            return [];
        }
        $rules = RuleFigures::of('practice');
        $asked =
            $rules->cell('roof_exterior_r', ClimateZone::row($zone), 'r') ??
            $rules->cell('roof_exterior_r', $zone[0], 'r');
        if ($asked === null || $assessed->assembly->ventilatedAt() !== null) {
            return [];
        }
        $share =
            $rules->cell('roof_exterior_share', ClimateZone::row($zone), 'share') ??
            $rules->cell('roof_exterior_share', $zone[0], 'share');
        $least = $asked * Conversion::RSI_PER_R;
        $figures = [
            'zone' => $zone,
            'exterior_m2k_w' => $path->exteriorR,
            'least_m2k_w' => $least,
            'share_pct' => 100 * $path->share(),
            'least_share_pct' => 100 * (float) $share,
        ];
        $enough = $path->exteriorR >= $least - 1e-9;

        return [
            new Finding(
                $enough ? 'practice.roof-r-enough' : 'practice.roof-r-short',
                $enough ? Severity::Pass : Severity::Caution,
                $assessed->subject(),
                $figures,
                $rules->source('roof_exterior_r'),
            ),
        ];
    }
}

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

/**
 * Least insulation above the deck of an unvented roof, where the zone is known and leaking air meets a cold face: by
 * the table’s R, and by its share where more lies inside than the table reckons with.
 */
final class RoofExteriorInsulation implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$zone, $path] = [$assessed->climate?->zone, $assessed->airPath];
        if (
            $zone === null ||
            $path->interface === null ||
            $assessed->assembly->kind !== AssemblyKind::Roof ||
            $assessed->assembly->ventilatedAt() !== null
        ) {
            return [];
        }
        $rules = RuleFigures::of('practice');
        $cell = fn (string $table, string $column): ?float => $rules->cell($table, ClimateZone::row($zone), $column) ??
            $rules->cell($table, $zone[0], $column);
        $asked = $cell('roof_exterior_r', 'r');
        $leastShare = (float) $cell('roof_exterior_share', 'share');
        if ($asked === null) {
            return [];
        }
        $least = $asked * Conversion::RSI_PER_R;
        $share = $path->labelR > 0 ? $path->exteriorLabelR / $path->labelR : 0.0;
        $figures = [
            'zone' => $zone,
            'exterior_m2k_w' => $path->exteriorLabelR,
            'least_m2k_w' => $least,
            'share_pct' => 100 * $share,
            'least_share_pct' => 100 * $leastShare,
        ];
        $rounding = 1 - $rules->figure('label_rounding');
        $thick = $path->labelR > $rules->figure('roof_table_r') * Conversion::RSI_PER_R;
        $enough = $path->exteriorLabelR >= $least * $rounding && (! $thick || $share >= $leastShare * $rounding);

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

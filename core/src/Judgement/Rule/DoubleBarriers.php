<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** Something that water harms between two layers that let little vapour through: it can dry neither way. */
final class DoubleBarriers implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('practice');
        [$retarder, $barrier] = [$rules->permeance('retarder'), $rules->permeance('barrier')];
        $layers = $assessed->assembly->reckonedLayers();
        $findings = [];
        foreach ($layers as $i => $layer) {
            if (! $layer->material->harmedByWater() || $assessed->assembly->soil !== null) {
                continue;
            }
            [$inner, $outer] = [
                Layer::tightest(array_slice($layers, 0, $i)),
                Layer::tightest(array_slice($layers, $i + 1)),
            ];
            if ($inner === null || $outer === null || max($inner->permeance(), $outer->permeance()) > $retarder) {
                continue;
            }
            $figures = [
                'layer' => $layer->material->name,
                'inner' => $inner->material->name,
                'outer' => $outer->material->name,
                'inner_ng_pa_s_m2' => $inner->permeance(),
                'outer_ng_pa_s_m2' => $outer->permeance(),
            ];
            $subject = $assessed->subject($layer);
            $drying = $assessed->dryingOf($layer);
            if (max($inner->permeance(), $outer->permeance()) <= $barrier) {
                // Every compact roof is one by nature: it lives by being built dry and staying tight.
                $roof = $assessed->assembly->kind === AssemblyKind::Roof;
                $findings[] = new Finding(
                    $roof ? 'practice.double-barrier-roof' : 'practice.double-barrier',
                    $roof ? Severity::Caution : Severity::Fail,
                    $subject,
                    $figures,
                    $rules->source('barrier'),
                );
            } elseif ($drying !== null) {
                $limit =
                    $drying->leak === null ? $rules->figure('hardly_dries_g_m2_year') / 1000 : array_sum($drying->leak);
                $dries = $drying->year() >= $limit;
                $findings[] = new Finding(
                    $dries ? 'practice.double-retarder-dries' : 'practice.double-retarder',
                    $dries ? Severity::Note : Severity::Caution,
                    $subject,
                    $figures + [
                        'dries_g_m2' => 1000 * $drying->year(),
                        'gets_in_g_m2' => 1000 * $limit,
                    ],
                    $rules->source('retarder'),
                );
            }
        }

        return $findings;
    }
}

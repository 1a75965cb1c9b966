<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** Metal studs, girts, brackets and screws that eat the insulation: what they take of the heat that it was to keep. */
final class HeatBridges implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $heat = $assessed->heat;
        $overall = $heat->overallU();
        if ($overall === null) {
            return [];
        }
        $metal = array_map(
            fn (Layer $layer): bool => $layer->framing?->material->isMetal() === true,
            array_column($assessed->assembly->reckonedLayers(), null, 'id'),
        );
        [$taken, $most] = [0.0, null];
        foreach ($heat->costs() as $cost) {
            $eats = $cost['what'] === 'bridge' || $cost['what'] === 'fasteners' || ($metal[$cost['layer']] ?? false);
            if ($eats && $cost['what'] !== 'rain') {
                $taken += $cost['add_u_w_m2k'];
                $most = $most === null || $cost['add_u_w_m2k'] > $most['add_u_w_m2k'] ? $cost : $most;
            }
        }
        $rules = RuleFigures::of('practice');
        $share = (100 * $taken) / $overall;
        if ($most === null || $share <= $rules->figure('bridges_take_pct')) {
            return [];
        }
        $heavy = $share > $rules->figure('bridges_take_most_pct');

        return [
            new Finding(
                $heavy ? 'heat.bridges-take-most' : 'heat.bridges-take',
                Severity::Caution,
                $assessed->subject(),
                [
                    'share_pct' => $share,
                    'worst' => $most['name'],
                    'u_w_m2k' => $overall,
                    'without_w_m2k' => $overall - $taken,
                ],
                $rules->source('bridges_take_pct'),
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** How much of the rain that may get past the cladding the thing it comes to rest on can dry. */
final class DryingLayers implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('practice');
        $findings = [];
        foreach ($assessed->assembly->soil === null ? $assessed->drying : [] as $drying) {
            $subject = $assessed->subject($drying->run->layer);
            $figures = [
                'layer' => $drying->run->material()->name,
                'year_g_m2' => 1000 * $drying->year(),
                'inward_ng_pa_s_m2' => $drying->inwardPermeance,
                'outward_ng_pa_s_m2' => $drying->outwardPermeance,
            ];
            if ($drying->leak !== null) {
                $held = $drying->mostHeld() ?? 0.0;
                $figures += [
                    'allowance_ml' => $drying->allowance(),
                    'rain_g_m2' => 1000 * array_sum($drying->leak),
                    'held_g_m2' => 1000 * $held,
                    'store_g_m2' => 1000 * ($drying->store ?? 0.0),
                ];
                $soaks = $assessed->cladding?->soaks() === true;
                $hopeless =
                    $soaks && array_sum($drying->leak) > $rules->figure('leak_hopeless') * max(0.0, $drying->year());
                $findings[] = new Finding(
                    $drying->drowns() ? 'drying.leak-too-much' : 'drying.leak-bearable',
                    match (true) {
                        $hopeless => Severity::Fail,
                        $drying->drowns() => Severity::Caution,
                        default => Severity::Note,
                    },
                    $subject,
                    $figures,
                    $rules->source('rain_leak_share'),
                );
            }
        }

        return $findings;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\DryingWay;

/** Which layers that water harms hardly dry once they are wet, and how much rain may leak in to each. */
final class DryingLayers implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('practice');
        $barriers = (new DoubleBarriers)->findings($assessed);
        $findings = [];
        $said = array_map(
            fn (Finding $finding): string => $finding->severity === Severity::Note ? '' : $finding->subject,
            $barriers,
        );
        foreach ($assessed->drying as $drying) {
            $subject = $assessed->subject($drying->layer);
            $figures = [
                'layer' => $drying->layer->material->name,
                'year_g_m2' => 1000 * $drying->year(),
                'inward_ng_pa_s_m2' => $drying->inwardPermeance,
                'outward_ng_pa_s_m2' => $drying->outwardPermeance,
            ];
            $source = Source::computed('diffusion from saturation at its middle, month by month');
            if (
                $drying->way() === DryingWay::Hardly &&
                ! in_array($subject, $said, true) &&
                $drying->layer->material->harmedByWater()
            ) {
                $findings[] = new Finding('drying.hardly', Severity::Caution, $subject, $figures, $source);
            }
            if ($drying->leak !== null) {
                $held = $drying->mostHeld() ?? 0.0;
                $figures += [
                    'allowance_ml' => $drying->allowance(),
                    'rain_g_m2' => 1000 * array_sum($drying->leak),
                    'held_g_m2' => 1000 * $held,
                    'store_g_m2' => 1000 * ($drying->store ?? 0.0),
                ];
                $findings[] = new Finding(
                    $drying->drowns() ? 'drying.leak-too-much' : 'drying.leak-bearable',
                    $drying->drowns() ? Severity::Caution : Severity::Note,
                    $subject,
                    $figures,
                    $rules->source('rain_leak_share'),
                );
            }
        }

        return $findings;
    }
}

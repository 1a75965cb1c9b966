<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Climate\Air;
use Apron\Climate\Month;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\AirLeak;

/** The face that leaking air meets against the indoor dew point, and what a leak could leave there. */
final class ColdPlane implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('practice');
        $interface = $assessed->airPath->interface;
        [$climate, $indoors] = [$assessed->climate, $assessed->indoors];
        if ($interface === null || $climate === null || $indoors === null || $assessed->assembly->soil !== null) {
            return [];
        }
        $coldest = $climate->coldest();
        $profile = $assessed->profiles[0];
        $outdoors = $climate->months[$coldest];
        $plane = $profile->temperatures[$profile->at($interface)];
        $dew = Air::dewPoint($profile->indoorPressure);
        $path = $assessed->airPath;
        $figures = [
            'place' => $assessed->assembly->layers[$interface]->material->name,
            'plane_c' => $plane,
            'dew_point_c' => $dew,
            'outdoor_c' => $outdoors->celsius,
            'share_pct' => 100 * $path->share(),
            'needed_pct' => 100 * max(0.0, ($dew - $outdoors->celsius) / ($profile->indoors - $outdoors->celsius)),
        ];
        $source = Source::commonPractice(
            'common practice: a sheathing above the indoor dew point in the mean of the coldest month',
        );
        if ($plane >= $dew) {
            return [new Finding('practice.plane-warm', Severity::Pass, $assessed->subject(), $figures, $source)];
        }
        $leakage = $assessed->assembly->airLeakage ?? $rules->figure('air_leakage_l_s_m2');
        $air = ['celsius' => $profile->indoors, 'pressure' => $profile->indoorPressure];
        $leak = new AirLeak($leakage, $air, $outdoors, $plane);
        $behind = $assessed->assembly->layers[$interface];
        $outward = null;
        foreach ($assessed->drying as $drying) {
            $outward =
                $drying->layer->id === $behind->id
                    ? ($drying->months[$coldest]['outward'] / Month::DAYS[$coldest]) * 1000
                    : $outward;
        }
        $gathers = $outward === null || $leak->bound > $outward;

        return [
            new Finding('practice.plane-below-dew-point', Severity::Note, $assessed->subject(), $figures, $source),
            new Finding(
                'practice.leak-condenses',
                $gathers ? Severity::Caution : Severity::Note,
                $assessed->subject(),
                [
                    'place' => $behind->material->name,
                    'month' => $coldest + 1,
                    'bound_g_m2' => $leak->bound,
                    'leakage_l_s_m2' => $leakage,
                    'at_pa' => $leak->pressure,
                    'plane_c' => $plane,
                    'outward_g_m2' => $outward ?? 0.0,
                ],
                Source::computed(
                    'upper bound: all of the leak flows outward past the plane, cools to its temperature and does not warm it; stack over 2.5 m, mean wind',
                ),
            ),
        ];
    }
}

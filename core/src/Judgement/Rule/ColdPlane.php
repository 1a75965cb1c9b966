<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Control;
use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
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
        $interface = $assessed->airPath->interface;
        [$climate, $indoors] = [$assessed->climate, $assessed->indoors];
        if ($interface === null || $climate === null || $indoors === null || $assessed->assembly->soil !== null) {
            return [];
        }
        $coldest = $climate->coldest();
        // A room that is colder than its coldest month outside lets air in, and not out: that is said elsewhere.
        if ($climate->months[$coldest]->celsius >= $assessed->profiles[0]->indoors) {
            return [];
        }
        $profile = $assessed->profiles[0];
        $outdoors = $climate->months[$coldest];
        $plane = $profile->temperatures[$profile->at($interface)];
        $dew = Air::dewPoint($profile->indoorPressure);
        $path = $assessed->airPath;
        $across = max(0.1, $profile->indoors - $outdoors->celsius);
        $figures = [
            'place' => $assessed->assembly->layers[$interface]->material->name,
            'plane_c' => $plane,
            'dew_point_c' => $dew,
            'outdoor_c' => $outdoors->celsius,
            'share_pct' => 100 * $path->share(),
            'needed_pct' => 100 * max(0.0, ($dew - $outdoors->celsius) / $across),
        ];
        $source = Source::commonPractice(
            'common practice: a sheathing above the indoor dew point in the mean of the coldest month',
        );
        if ($plane >= $dew) {
            return [new Finding('practice.plane-warm', Severity::Pass, $assessed->subject(), $figures, $source)];
        }

        return [
            new Finding('practice.plane-below-dew-point', Severity::Note, $assessed->subject(), $figures, $source),
            self::leak($assessed, $interface, $climate, $indoors),
        ];
    }

    /** What a usual leak could leave there over the winter beyond what dries outward, against what the place bears. */
    private static function leak(
        AssemblyAssessment $assessed,
        int $interface,
        Climate $climate,
        IndoorAir $indoors,
    ): Finding {
        [$rules, $physics] = [RuleFigures::of('practice'), RuleFigures::of('physics')];
        $leakage = $assessed->assembly->airLeakage ?? $rules->figure('air_leakage_l_s_m2');
        $behind = $assessed->assembly->layers[$interface];
        $drying = $assessed->dryingOf($interface);
        $node = $assessed->profiles[0]->at($interface);
        $share = $assessed->path->resistance[$node] / $assessed->path->total;
        [$season, $worst, $month, $coldest] = [0.0, null, 0, $climate->coldest()];
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            $plane = $air['celsius'] - $share * ($air['celsius'] - $outdoors->celsius);
            $leak = new AirLeak($leakage, $air, $outdoors, $plane);
            $outward = $drying === null ? 0.0 : (1000 * $drying->months[$m]['outward']) / Month::DAYS[$m];
            $season += max(0.0, $leak->bound - $outward) * Month::DAYS[$m];
            [$worst, $month] =
                $m === $coldest ? [['leak' => $leak, 'at' => $plane, 'out' => $outward], $m] : [$worst, $month];
        }
        if ($worst === null) {
            throw new \LogicException('a year without its coldest month');
        }
        $bears =
            $drying?->run->bears() === null
                ? $physics->figure('gathers_most_on_tight_g_m2')
                : 1000 * (float) $drying->run->bears();
        // Only a wall whose inside nobody made tight is taken to leak so much all winter.
        $gathers = $season > $bears * $rules->figure('leak_bound_over') && ! self::tight($assessed);

        return new Finding(
            $drying === null ? 'practice.leak-condenses-alone' : 'practice.leak-condenses',
            $gathers ? Severity::Caution : Severity::Note,
            $assessed->subject(),
            [
                'place' => $behind->material->name,
                'month' => $month + 1,
                'bound_g_m2' => $worst['leak']->bound,
                'season_g_m2' => $season,
                'leakage_l_s_m2' => $leakage,
                'at_pa' => $worst['leak']->pressure,
                'plane_c' => $worst['at'],
            ] + ($drying === null ? [] : ['outward_g_m2' => $worst['out']]),
            Source::computed(
                'upper bound: all of the leak flows outward past the plane, cools to its temperature and does not warm it; stack over 2.5 m, mean wind',
            ),
        );
    }

    /** A film or board inside that stops air, or a layer named for it. */
    private static function tight(AssemblyAssessment $assessed): bool
    {
        foreach (array_slice($assessed->assembly->layers, 0, (int) $assessed->airPath->interface) as $layer) {
            $most = RuleFigures::of('controls')->figure('air_permeance_most_l_s_m2');
            $film =
                $layer->material->shedsWater === true &&
                $layer->thicknessMm < RuleFigures::of('physics')->figure('sheet_mm');
            if (
                in_array(Control::Air, $layer->controls, true) ||
                ($film && $layer->material->airPermeance !== null && $layer->material->airPermeance <= $most)
            ) {
                return true;
            }
        }

        return false;
    }
}

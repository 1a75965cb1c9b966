<?php

declare(strict_types=1);

namespace Apron\Climate;

use Apron\Rules\RuleFigures;

/**
 * The face of a roof under sun and night sky: what it takes up and gives off over a month, as so much warmer or colder
 * air.
 */
enum SunlitFace: string
{
    case Dark = 'dark';
    case Light = 'light';

    /**
     * The twelve months as the face meets them, ΔT = (a·I − q)·Rse with a the absorptance, I the mean sun on the flat
     * and q what is lost to the sky, W/m² (sol-air temperature; figures from memory). The vapour in the air stays what
     * it is. A month whose sun nobody has said is left as it is.
     *
     * @param  float  $rse  m²K/W
     */
    public function over(Climate $climate, float $rse): Climate
    {
        $physics = RuleFigures::of('physics');
        $absorbs = $physics->cell('roof_absorptance', $this->value, 'share') ?? 0.0;
        $lost = $physics->figure('roof_sky_loss_w_m2');
        $months = array_map(function (Month $month) use ($absorbs, $lost, $rse): Month {
            if ($month->sun === null) {
                return $month;
            }
            $celsius = $month->celsius + ($absorbs * $month->sun - $lost) * $rse;

            return new Month(
                $celsius,
                min(100.0, (100 * $month->vapourPressure()) / Air::saturation($celsius)),
                $month->rain,
                $month->wind,
                $month->sun,
                $month->dailySwing,
                $month->worstFacing,
            );
        }, $climate->months);

        return new Climate($climate->name, $months, $climate->zone, $climate->designWinter);
    }
}

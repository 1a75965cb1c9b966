<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Climate\Month;
use Apron\Rules\RuleFigures;

/**
 * Rain on an upright wall and the small share of it that gets past the cladding, by ASHRAE 160-2016, 4.6 (from memory).
 */
final class RainLoad
{
    /** Mean of the cosine over a wind from anywhere, where it is above zero: 1/π. */
    private const ANY_DIRECTION = 0.3183;

    /**
     * kg/m² of wall in the month, on the facing that gets most: 0.2 · exposure · deposition · wind · rain, on a wind
     * from anywhere twice what is usual. Null where the month does not say rain and wind.
     */
    public static function onWall(Month $month, Exposure $exposure): ?float
    {
        $rules = RuleFigures::of('practice');

        return $month->rain === null || $month->wind === null
            ? null
            : $rules->figure('rain_on_wall') *
                    self::share($exposure) *
                    $month->wind *
                    $month->rain *
                    self::ANY_DIRECTION *
                    ($month->worstFacing ?? $rules->figure('worst_facing'));
    }

    /** kg/m² behind the cladding */
    public static function pastCladding(Month $month, Exposure $exposure): ?float
    {
        $on = self::onWall($month, $exposure);

        return $on === null ? null : $on * RuleFigures::of('practice')->figure('rain_leak_share');
    }

    /** What a wall gets of the rain that would pass there, as a share: by its height and what is over it. */
    public static function share(Exposure $exposure): float
    {
        return self::height($exposure) *
            (float) RuleFigures::of('practice')->cell('rain_deposition', $exposure->over->value, 'factor');
    }

    private static function height(Exposure $exposure): float
    {
        $rules = RuleFigures::of('practice');
        foreach (['10', '15', '20', '30', '40'] as $to) {
            if ($exposure->height <= (float) $to) {
                return (float) $rules->cell('rain_exposure', $to, $exposure->terrain->value);
            }
        }

        return (float) $rules->cell('rain_exposure', '50', $exposure->terrain->value);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Moist air. Temperatures in °C, pressures in Pa. */
final class Air
{
    /** δ₀, kg/(m·s·Pa): ISO 13788:2012, 5.2 (still air, taken as constant). */
    public const VAPOUR_PERMEABILITY = 2e-10;

    /**
     * °C: the coldest and the warmest air that weather files hold (EnergyPlus weather format, dry-bulb field), and no
     * surface of a wall is beyond the second.
     */
    public const COLDEST = -70.0;

    public const WARMEST = 70.0;

    /**
     * Saturation vapour pressure over water at and above 0 °C, over ice below, Pa.
     * ISO 13788:2012, formulae (E.7) and (E.8).
     *
     * @throws \RangeException outside of COLDEST to WARMEST
     */
    public static function saturation(float $celsius): float
    {
        if (! ($celsius >= self::COLDEST - 1e-6 && $celsius <= self::WARMEST + 1e-6)) {
            throw new \RangeException(
                sprintf(
                    'air of %g °C: saturation is known from %g to %g °C',
                    $celsius,
                    self::COLDEST,
                    self::WARMEST,
                ),
            );
        }

        return $celsius >= 0
            ? 610.5 * exp((17.269 * $celsius) / (237.3 + $celsius))
            : 610.5 * exp((21.875 * $celsius) / (265.5 + $celsius));
    }

    /**
     * Dew point of a vapour pressure in Pa, °C; below 610.5 Pa it is a frost point and the ice formula holds.
     * ISO 13788:2012, formulae (E.9) and (E.10).
     *
     * @throws \RangeException where there is no vapour
     */
    public static function dewPoint(float $pressure): float
    {
        if (! ($pressure > 0)) {
            throw new \RangeException(sprintf('a vapour pressure of %g Pa has no dew point', $pressure));
        }
        $ln = log($pressure / 610.5);

        return $pressure >= 610.5 ? (237.3 * $ln) / (17.269 - $ln) : (265.5 * $ln) / (21.875 - $ln);
    }
}

<?php

namespace Apron\Climate;

/** Moist air. Temperatures in °C, pressures in Pa. */
final class Air
{
    /** δ₀, kg/(m·s·Pa): ISO 13788:2012, 5.2 (still air, taken as constant). */
    public const VAPOUR_PERMEABILITY = 2e-10;

    /**
     * Saturation vapour pressure over water at and above 0 °C, over ice below, Pa.
     * ISO 13788:2012, formulae (E.7) and (E.8). Valid from −60 to 60 °C here.
     */
    public static function saturation(float $celsius): float
    {
        return $celsius >= 0
            ? 610.5 * exp(17.269 * $celsius / (237.3 + $celsius))
            : 610.5 * exp(21.875 * $celsius / (265.5 + $celsius));
    }

    /**
     * Dew point of a vapour pressure in Pa, °C; below 610.5 Pa it is a frost point and the ice formula holds.
     * ISO 13788:2012, formulae (E.9) and (E.10).
     */
    public static function dewPoint(float $pressure): float
    {
        $ln = log($pressure / 610.5);

        return $pressure >= 610.5 ? 237.3 * $ln / (17.269 - $ln) : 265.5 * $ln / (21.875 - $ln);
    }
}

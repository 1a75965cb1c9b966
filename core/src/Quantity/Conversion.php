<?php

declare(strict_types=1);

namespace Apron\Quantity;

/** Exact factors, NIST SP 811 (2008) appendix B, but for the permeance, which ASTM E96 rounds to 57.2. */
final class Conversion
{
    public const MM_PER_INCH = 25.4;

    public const MM_PER_FOOT = 304.8;

    /** m²K/W in one ft²·h·°F/Btu (international table): 0.3048² · (1/1.8) / (1055.05585262 / 3600). */
    public const RSI_PER_R = 0.17611018368230585;

    /** g/m² in 1 oz/ft²: 28.349523125 g over 0.09290304 m² */
    public const G_M2_PER_OZ_FT2 = 305.152;

    /** ng/(Pa·s·m²) in one US perm (0 °C), NIST SP 811: 5.721 35 E-11 kg/(Pa·s·m²). */
    public const NG_PER_PERM = 57.2135;

    /** Pa in one lbf/ft², NIST SP 811. */
    public const PA_PER_PSF = 47.88026;

    public const FT2_PER_M2 = 10.763910416709722;

    public static function celsius(float $fahrenheit): float
    {
        return ($fahrenheit - 32) / 1.8;
    }

    public static function fahrenheit(float $celsius): float
    {
        return $celsius * 1.8 + 32;
    }
}

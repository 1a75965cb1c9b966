<?php

declare(strict_types=1);

namespace Apron\Quantity;

/** Shows a stored SI figure in the units a reader works in. The end of a figure's key says what it is. */
final readonly class Display
{
    /** key ending => [SI digits, SI unit, US factor, US digits, US unit] */
    private const KINDS = [
        '_g_m2_h' => [3, 'g/m²h', 1.4337, 3, 'gr/ft²h'],
        '_g_m2' => [0, 'g/m²', 1 / Conversion::G_M2_PER_OZ_FT2, 3, 'oz/ft²'],
        '_w_m2k' => [3, 'W/m²K', Conversion::RSI_PER_R, 3, 'Btu/h·ft²·°F'],
        '_m2k_w' => [2, 'm²K/W', 1 / Conversion::RSI_PER_R, 1, 'R'],
        '_ng_pa_s_m2' => [0, 'ng/Pa·s·m²', 1 / Conversion::NG_PER_PERM, 2, 'perm'],
        '_l_s_m2' => [3, 'L/s·m²', 0.19685, 4, 'cfm/ft²'],
        '_l_s' => [0, 'L/s', 2.11888, 0, 'cfm'],
        '_area_m2' => [2, 'm²', 10.7639, 1, 'ft²'],
        '_litres' => [2, 'L', 0.264172, 2, 'gal'],
        '_mm' => [0, 'mm', 1.0, 0, 'mm'],
        '_m' => [2, 'm', 1 / 0.3048, 2, 'ft'],
        '_days' => [0, 'days', 1.0, 0, 'days'],
        '_deg' => [0, '°', 1.0, 0, '°'],
        '_pct' => [0, '%', 1.0, 0, '%'],
        '_ml' => [0, 'mL', 1 / 29.5735, 2, 'fl oz'],
        '_pa' => [0, 'Pa', 1 / Conversion::PA_PER_PSF, 1, 'psf'],
    ];

    public function __construct(private UnitSystem $units)
    {
    }

    /** `figure('peak_g_m2', 127.3)` is `127 g/m²`, or `0.417 oz/ft²` for a reader of the other system. */
    public function figure(string $key, float|int|string $value): string
    {
        if (is_string($value)) {
            return $value;
        }
        if (str_ends_with($key, '_c')) {
            return $this->units === UnitSystem::SI
                ? self::plain($value, 1).' °C'
                : self::plain(Conversion::fahrenheit($value), 0).' °F';
        }
        if ($this->units === UnitSystem::US && str_ends_with($key, '_mm')) {
            return self::inches($value / Conversion::MM_PER_INCH);
        }
        foreach (self::KINDS as $end => [$siDigits, $siUnit, $factor, $usDigits, $usUnit]) {
            if (str_ends_with($key, $end)) {
                return $this->units === UnitSystem::SI
                    ? self::plain($value, $value != 0 && abs($value) < 10 && $siDigits === 0 ? 1 : $siDigits).
                            " $siUnit"
                    : self::plain($value * $factor, $usDigits)." $usUnit";
            }
        }

        return is_int($value) ? (string) $value : self::plain($value, 2);
    }

    /**
     * Inches as they are read off a tape: to the nearest sixteenth where that is true to a hundredth, decimals
     * otherwise; the interface has the same.
     */
    private static function inches(float $value): string
    {
        if ($value < 0) {
            return '−'.self::inches(-$value);
        }
        if ($value > 0 && $value < 0.1) {
            return self::plain($value * 1000, 0).' mil';
        }
        $sixteenths = (int) round($value * 16);
        if (abs($sixteenths / 16 - $value) > 0.012) {
            return self::plain($value, 2).' in';
        }
        [$whole, $top, $bottom] = [intdiv($sixteenths, 16), $sixteenths % 16, 16];
        while ($top > 0 && $top % 2 === 0) {
            [$top, $bottom] = [intdiv($top, 2), intdiv($bottom, 2)];
        }

        return $top === 0 ? "$whole in" : ($whole > 0 ? "$whole-" : '')."$top/$bottom in";
    }

    private static function plain(float|int $value, int $digits): string
    {
        $text = number_format($value, $digits, '.', '');

        return str_replace('-', '−', $text === '-0' ? '0' : $text);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Quantity;

/**
 * Reads what a practitioner types into a quantity field: `2 in`, `3/8"`, `1-1/2 in`, `50mm`, `48 mil`, `R-10`.
 *
 * The same rules stand in resources/js/quantity/read.ts, because a field must answer while it is being typed;
 * tests/shared/quantities.json holds both to one table.
 */
final readonly class QuantityReader
{
    private const UNITS = [
        'length' => [
            'mm' => 1.0,
            'cm' => 10.0,
            'm' => 1000.0,
            'in' => Conversion::MM_PER_INCH,
            'inch' => Conversion::MM_PER_INCH,
            'inches' => Conversion::MM_PER_INCH,
            '"' => Conversion::MM_PER_INCH,
            'ft' => Conversion::MM_PER_FOOT,
            "'" => Conversion::MM_PER_FOOT,
            'mil' => 0.0254,
            'mils' => 0.0254,
            'um' => 0.001,
        ],
        'temperature' => ['c' => 1.0, 'f' => 1.0],
        'percent' => ['%' => 1.0],
        'permeance' => [
            'perm' => Conversion::NG_PER_PERM,
            'perms' => Conversion::NG_PER_PERM,
            'ng' => 1.0,
            'ng/(pa·s·m²)' => 1.0,
        ],
        'resistance' => ['r' => Conversion::RSI_PER_R, 'rsi' => 1.0, 'm2k/w' => 1.0],
        'per-area' => ['/m2' => 1.0, '/ft2' => Conversion::FT2_PER_M2],
        'pressure' => ['pa' => 1.0, 'psf' => Conversion::PA_PER_PSF],
        'area' => [
            'm2' => 1.0,
            'm²' => 1.0,
            'ft2' => 1 / Conversion::FT2_PER_M2,
            'ft²' => 1 / Conversion::FT2_PER_M2,
            'sf' => 1 / Conversion::FT2_PER_M2,
        ],
        'run' => ['m' => 1.0, 'cm' => 0.01, 'mm' => 0.001, 'ft' => 0.3048, "'" => 0.3048, 'in' => 0.0254],
    ];

    private const EXPECTED = [
        'length' => '50 mm, 2 in, 1-1/2 in, 3/8", 4 ft or 48 mil',
        'thickness' => '50 mm, 2 in, 1-1/2 in, 3/8", 48 mil, R-10 or RSI 1.8',
        'temperature' => '-12 C or 10 F',
        'percent' => '45 %',
        'permeance' => '0.8 perm or 46 ng',
        'resistance' => 'R-10 or RSI 1.8',
        'per-area' => '6 /m2 or 0.5 /ft2',
        'pressure' => '300 Pa or 6 psf',
        'area' => '90 m2 or 970 ft2',
        'run' => '30 m or 100 ft',
    ];

    public function __construct(private UnitSystem $units)
    {
    }

    /**
     * @param  float|null  $conductivity  W/(m·K) of the material the thickness is of; needed for `R-10` in a thickness
     *
     * @throws Unreadable where the text is no quantity of this dimension
     */
    public function read(string $typed, Dimension $dimension, ?float $conductivity = null): Typed
    {
        $text = $this->plain($typed);
        if ($dimension === Dimension::Thickness && preg_match('/^(rsi|r)[ -]?(.+)$/', $text, $m)) {
            return new Typed($typed, $dimension, $this->thicknessOfResistance($typed, $m[1], $m[2], $conductivity));
        }
        if ($dimension === Dimension::Resistance && preg_match('/^(rsi|r)[ -]?(.+)$/', $text, $m)) {
            $text = $m[2].' '.$m[1];
        }
        $value =
            $dimension === Dimension::Thickness || $dimension === Dimension::Length
                ? $this->length($typed, $text, $dimension)
                : $this->scaled($typed, $text, $dimension);

        return new Typed($typed, $dimension, $value);
    }

    private function plain(string $typed): string
    {
        $text = mb_strtolower(trim($typed));
        $text = strtr($text, [
            '“' => '"',
            '”' => '"',
            '″' => '"',
            "''" => '"',
            '’' => "'",
            '′' => "'",
            '−' => '-',
            '–' => '-',
            '°' => '',
            'µ' => 'u',
            'μ' => 'u',
            '½' => ' 1/2',
            '¼' => ' 1/4',
            '¾' => ' 3/4',
            '⅛' => ' 1/8',
            '⅜' => ' 3/8',
            '⅝' => ' 5/8',
            '⅞' => ' 7/8',
        ]);

        return trim((string) preg_replace('/\s+/', ' ', $text));
    }

    /** Feet and inches together, or one number with one unit. */
    private function length(string $typed, string $text, Dimension $dimension): float
    {
        if (preg_match('/^([\d.]+) ?(?:ft|\')[ -]?(.+?) ?(?:in|"|inch|inches)$/', $text, $m)) {
            return $this->number($typed, $m[1], $dimension) * Conversion::MM_PER_FOOT +
                $this->number($typed, $m[2], $dimension) * Conversion::MM_PER_INCH;
        }

        return $this->scaled($typed, $text, $dimension);
    }

    private function scaled(string $typed, string $text, Dimension $dimension): float
    {
        if (! preg_match('/^([-+]?(?:\d+[ -])?\d+\/\d+|[-+]?\d+(?:[.,]\d*)?|[-+]?\.\d+) ?(.*)$/', $text, $m)) {
            throw Unreadable::because($typed, self::EXPECTED[$dimension->value]);
        }
        $number = $this->number($typed, $m[1], $dimension);
        $unit = trim($m[2]);
        if ($unit === '') {
            $unit = $this->usual($dimension);
        }
        if ($dimension === Dimension::Temperature && $unit === 'f') {
            return Conversion::celsius($number);
        }
        $factor = self::UNITS[$dimension === Dimension::Thickness ? 'length' : $dimension->value][$unit] ?? null;
        if ($factor === null) {
            throw Unreadable::because($typed, self::EXPECTED[$dimension->value]);
        }

        return $number * $factor;
    }

    /** What a bare number means in the project's units. */
    private function usual(Dimension $dimension): string
    {
        $us = $this->units === UnitSystem::US;

        return match ($dimension) {
            Dimension::Length, Dimension::Thickness => $us ? 'in' : 'mm',
            Dimension::Temperature => $us ? 'f' : 'c',
            Dimension::Percent => '%',
            Dimension::Permeance => $us ? 'perm' : 'ng',
            Dimension::Resistance => $us ? 'r' : 'rsi',
            Dimension::PerArea => $us ? '/ft2' : '/m2',
            Dimension::Pressure => $us ? 'psf' : 'pa',
            Dimension::Area => $us ? 'ft2' : 'm2',
            Dimension::Run => $us ? 'ft' : 'm',
        };
    }

    /** `12`, `12.5`, `12,5`, `3/8`, `1 1/2`, `1-1/2`, with a sign. */
    private function number(string $typed, string $text, Dimension $dimension): float
    {
        if (preg_match('/^([-+]?)(?:(\d+)[ -])?(\d+)\/(\d+)$/', $text, $m) && (int) $m[4] > 0) {
            $value = (int) $m[2] + (int) $m[3] / (int) $m[4];

            return $m[1] === '-' ? -$value : $value;
        }
        if (preg_match('/^[-+]?\d+,\d{3}$/', $text)) {
            // 1,000 is a thousand to one reader and one to another: a factor of a thousand is not guessed.
            throw Unreadable::because($typed, 'the number without a comma');
        }
        if (preg_match('/^[-+]?(\d+([.,]\d*)?|\.\d+)$/', $text)) {
            return (float) str_replace(',', '.', $text);
        }
        throw Unreadable::because($typed, self::EXPECTED[$dimension->value]);
    }

    private function thicknessOfResistance(string $typed, string $kind, string $number, ?float $conductivity): float
    {
        if ($conductivity === null) {
            throw Unreadable::because($typed, 'a thickness: this material has no conductivity to reckon one from');
        }
        $resistance =
            $this->number($typed, trim($number), Dimension::Thickness) * ($kind === 'r' ? Conversion::RSI_PER_R : 1.0);

        return $resistance * $conductivity * 1000;
    }
}

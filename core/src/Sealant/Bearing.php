<?php

declare(strict_types=1);

namespace Apron\Sealant;

use Apron\Rules\RuleFigures;
use Apron\Rules\Source;

/** What carries a unit on its sill, and cladding on long screws through insulation. */
final class Bearing
{
    /** One square inch for every 40 lb of the unit (common practice), as mm² for a kilogram. */
    public const SHIM_MM2_KG = 645.16 / (40 * 0.45359237);

    /** mm² of shim under a unit. */
    public static function shims(float $kilograms): float
    {
        return $kilograms * self::SHIM_MM2_KG;
    }

    /** Setting blocks take up half of the difference between opening and unit, mm. */
    public static function settingBlock(float $openingMm, float $unitMm): float
    {
        return max(0.0, ($openingMm - $unitMm) / 2);
    }

    /**
     * Thickest insulation that cladding may be fastened through with nails into wood studs at 16 in, in mm: a look-up
     * within the stated limits and nothing between its rows. Null is an answer: this goes to an engineer.
     *
     * @param  float  $shankMm  diameter
     * @param  float  $spacingMm  along the stud
     * @param  float  $kgM2  of the cladding
     */
    public static function thickestInsulation(float $shankMm, float $spacingMm, float $kgM2): ?float
    {
        $rules = RuleFigures::of('cladding-screws');
        $shank = self::rowAtMost($rules->list('shanks_in'), $shankMm / 25.4);
        $spacing = self::rowAtLeast($rules->list('spacings_in'), $spacingMm / 25.4);
        $weight = self::rowAtLeast($rules->list('weights_psf'), $kgM2 * 0.204816);
        $inches =
            $shank === null || $spacing === null || $weight === null
                ? null
                : $rules->cell('thickest_in', "$shank at $spacing", $weight);

        return $inches === null ? null : $inches * 25.4;
    }

    public static function source(): Source
    {
        return RuleFigures::of('cladding-screws')->source('thickest_in');
    }

    /** @param  list<string>  $rows */
    private static function rowAtMost(array $rows, float $value): ?string
    {
        $found = null;
        foreach ($rows as $row) {
            $found = (float) $row <= $value + 1e-6 ? $row : $found;
        }

        return $found;
    }

    /** @param  list<string>  $rows */
    private static function rowAtLeast(array $rows, float $value): ?string
    {
        foreach ($rows as $row) {
            if ((float) $row >= $value - 1e-6) {
                return $row;
            }
        }

        return null;
    }
}

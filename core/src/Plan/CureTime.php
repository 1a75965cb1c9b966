<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Material\Material;
use Apron\Material\Product;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;

/**
 * How long a product takes in the air there is: by the table of its data sheet, else its time at 23 °C and 50 %, twice
 * as long for each 10 K colder; in dry air what cures by moisture, and in damp air what dries, takes longer still
 * (common practice).
 */
final class CureTime
{
    private const SHEET_C = 23.0;

    private const SHEET_RH = 50.0;

    private const DOUBLES_K = 10.0;

    /** @return float hours; 0 where there is nothing to wait for */
    public static function hours(Material $product, Cures $of, float $celsius, float $humidity): float
    {
        $sheet = Usual::of($product);
        $table = $of === Cures::Cure ? $sheet->cureAt : [];
        if ($table !== []) {
            return self::byTable($table, $celsius);
        }
        $figures = RuleFigures::of('plan');
        $slower = 2 ** ((self::SHEET_C - $celsius) / self::DOUBLES_K);
        $family = Usual::sticker($product)->value ?? $product->family->id ?? '';
        $air = match (true) {
            $figures->lists('cures_by_moisture', $family) => max(1.0, self::SHEET_RH / max(5.0, $humidity)),
            $figures->lists('dries', $family) => max(1.0, (100 - self::SHEET_RH) / max(5.0, 100 - $humidity)),
            default => 1.0,
        };

        return self::base($sheet, $of) *
            max($figures->figure('cure_least_share'), min($figures->figure('cure_most_share'), $slower)) * $air;
    }

    private static function base(Product $sheet, Cures $of): float
    {
        return match ($of) {
            Cures::Cure => $sheet->cureH ?? 0.0,
            Cures::Recoat => $sheet->recoatH ?? 0.0,
            Cures::Tack => ($sheet->tackFreeMin ?? 0.0) / 60,
        };
    }

    /** @param  non-empty-list<array{float, float}>  $table  hours by °C, the coldest first */
    private static function byTable(array $table, float $celsius): float
    {
        [$coldest, $longest] = $table[0];
        if ($celsius < $coldest) {
            return $longest * 2 ** (($coldest - $celsius) / self::DOUBLES_K);
        }
        foreach ($table as $i => [$c, $hours]) {
            [$next, $then] = $table[$i + 1] ?? [INF, $hours];
            if ($celsius <= $next) {
                return $next === INF ? $hours : $hours + (($then - $hours) * ($celsius - $c)) / ($next - $c);
            }
        }

        return $longest;
    }

    /** Whether it is laid wet and hardens: what is stuck by an adhesive of its own only grows stronger. */
    public static function isLaidWet(Material $product): bool
    {
        return $product->adhesive === null && Usual::sticker($product) !== null;
    }
}

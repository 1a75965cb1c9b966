<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Quantity\Conversion;

/** How the resistance of a layer between steel studs is had, where the combined method must not be used. */
enum MetalFraming: string
{
    /** A published table of what is left of the cavity insulation, by stud depth and spacing. */
    case CorrectionFactor = 'correction-factor';
    /** A weighted mean of the combined method's limits, the weight from flange, spacing and depth. */
    case WeightedLimits = 'weighted-limits';

    public const SOURCES = [
        'correction-factor' => 'ASHRAE 90.1-2010, table A9.2-2: effective resistance between steel studs (from memory)',
        'weighted-limits' => 'Gorgolewski, Building and Environment 42 (2007), and BRE Digest 465: U of light steel framing (from memory)',
    ];

    /**
     * Effective resistance of the framed layer by the table, m²K/W, or null outside its range: studs of 89, 152 or 203
     * mm at 400 or 600 mm centres, steel to 1.37 mm, cavity resistance within the table's rows; between rows in a line.
     */
    public static function correctionFactor(Framing $framing, float $depthMm, float $cavity): ?float
    {
        /**
         * @var list<array{depth_mm: float, spacing_mm: float, cavity: list<float>, effective: list<float>}>|null  $rows
         */
        static $rows = null;
        $rows ??= self::table();
        if (($framing->gaugeMm ?? 0.0) > 1.37) {
            return null;
        }
        foreach ($rows as $row) {
            if (abs($depthMm - $row['depth_mm']) <= 7 && abs(($framing->spacingMm ?? 0.0) - $row['spacing_mm']) <= 10) {
                return self::between($row['cavity'], $row['effective'], $cavity);
            }
        }

        return null;
    }

    /**
     * Total resistance from the limits of the combined method, m²K/W, or null outside its range: flange to 50 mm,
     * spacing from 300 to 600 mm, depth to 200 mm. R = p · upper + (1 − p) · lower,
     * p = 0.8 · lower/upper + 0.44 − 0.1 · flange/40 − 0.2 · 600/spacing − 0.04 · depth/100.
     */
    public static function weightedLimits(Framing $framing, float $depthMm, float $upper, float $lower): ?float
    {
        $spacing = $framing->spacingMm;
        $flange = $framing->flangeMm ?? 41.0;
        if ($spacing === null || $spacing < 300 || $spacing > 610 || $flange > 50 || $depthMm > 205) {
            return null;
        }
        $p = (0.8 * $lower) / $upper + 0.44 - (0.1 * $flange) / 40 - (0.2 * 600) / $spacing - (0.04 * $depthMm) / 100;
        $p = max(0.0, min(1.0, $p));

        return $p * $upper + (1 - $p) * $lower;
    }

    /** @return list<array{depth_mm: float, spacing_mm: float, cavity: list<float>, effective: list<float>}> */
    private static function table(): array
    {
        $file = CoreData::read('figures/steel-studs');

        return array_map(
            fn (Node $row): array => [
                'depth_mm' => $row->get('depth_mm')->number(),
                'spacing_mm' => $row->get('spacing_mm')->number(),
                'cavity' => array_map(
                    fn (Node $pair): float => $pair->numbers(2)[0] * Conversion::RSI_PER_R,
                    $row->get('rows')->items(2),
                ),
                'effective' => array_map(
                    fn (Node $pair): float => $pair->numbers(2)[1] * Conversion::RSI_PER_R,
                    $row->get('rows')->items(2),
                ),
            ],
            $file->get('studs')->items(1),
        );
    }

    /**
     * @param  list<float>  $at
     * @param  list<float>  $values
     */
    private static function between(array $at, array $values, float $x): ?float
    {
        for ($i = 1; $i < count($at); $i++) {
            // The last row reaches a tenth further: boards are sold a little above and below the round figure.
            if ($x <= $at[$i] || ($i === count($at) - 1 && $x <= $at[$i] * 1.1)) {
                return $values[$i - 1] +
                    (($values[$i] - $values[$i - 1]) * ($x - $at[$i - 1])) / ($at[$i] - $at[$i - 1]);
            }
        }

        return null;
    }
}

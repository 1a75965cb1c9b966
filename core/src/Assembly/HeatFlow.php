<?php

namespace Apron\Assembly;

/** Surface resistances and air layers by direction of heat flow, ISO 6946:2017 tables 7 and 8. */
enum HeatFlow: string
{
    case Horizontal = 'horizontal';
    case Up = 'up';
    case Down = 'down';

    /** External surface resistance, m²K/W. */
    public const OUTSIDE = 0.04;

    /** Unventilated air layer: thickness in mm => m²K/W, up · horizontal · down. */
    private const AIR_LAYER = [
        [0, 0.0, 0.0, 0.0], [5, 0.11, 0.11, 0.11], [7, 0.13, 0.13, 0.13], [10, 0.15, 0.15, 0.15], [15, 0.16, 0.17, 0.17],
        [25, 0.16, 0.18, 0.19], [50, 0.16, 0.18, 0.21], [100, 0.16, 0.18, 0.22], [300, 0.16, 0.18, 0.23],
    ];

    /** Internal surface resistance, m²K/W. */
    public function inside(): float
    {
        return match ($this) {
            self::Horizontal => 0.13,
            self::Up => 0.10,
            self::Down => 0.17,
        };
    }

    /** Resistance of an unventilated air layer, m²K/W; intermediate thicknesses in a line, as the table's note says. */
    public function airLayer(float $thicknessMm): float
    {
        $column = match ($this) {
            self::Up => 1,
            self::Horizontal => 2,
            self::Down => 3,
        };
        $last = count(self::AIR_LAYER) - 1;
        for ($i = 1; $i <= $last; $i++) {
            [$from, $to] = [self::AIR_LAYER[$i - 1], self::AIR_LAYER[$i]];
            if ($thicknessMm <= $to[0]) {
                return $from[$column] + ($to[$column] - $from[$column]) * ($thicknessMm - $from[0]) / ($to[0] - $from[0]);
            }
        }

        return (float) self::AIR_LAYER[$last][$column];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** Surface resistances and air layers by direction of heat flow, ISO 6946:2017 tables 7 and 8 (from memory). */
enum HeatFlow: string
{
    case Horizontal = 'horizontal';
    case Up = 'up';
    case Down = 'down';

    /** External surface resistance, m²K/W. */
    public const OUTSIDE = 0.04;

    /** Thickness of an unventilated air layer, mm, and its resistance by direction, m²K/W. */
    private const AIR_MM = [0.0, 5.0, 7.0, 10.0, 15.0, 25.0, 50.0, 100.0, 300.0];

    private const AIR_UP = [0.0, 0.11, 0.13, 0.15, 0.16, 0.16, 0.16, 0.16, 0.16];

    private const AIR_HORIZONTAL = [0.0, 0.11, 0.13, 0.15, 0.17, 0.18, 0.18, 0.18, 0.18];

    private const AIR_DOWN = [0.0, 0.11, 0.13, 0.15, 0.17, 0.19, 0.21, 0.22, 0.23];

    /** Internal surface resistance, m²K/W. */
    public function inside(): float
    {
        return match ($this) {
            self::Horizontal => 0.13,
            self::Up => 0.1,
            self::Down => 0.17,
        };
    }

    /** Resistance of an unventilated air layer, m²K/W; intermediate thicknesses in a line, as the table's note says. */
    public function airLayer(float $thicknessMm): float
    {
        $resistances = match ($this) {
            self::Up => self::AIR_UP,
            self::Horizontal => self::AIR_HORIZONTAL,
            self::Down => self::AIR_DOWN,
        };
        $mmBefore = 0.0;
        $before = 0.0;
        foreach (self::AIR_MM as $i => $mm) {
            if ($mm > 0 && $thicknessMm <= $mm) {
                return self::between($thicknessMm, $mmBefore, $before, $mm, $resistances[$i]);
            }
            $mmBefore = $mm;
            $before = $resistances[$i];
        }

        return $before;
    }

    private static function between(float $x, float $x0, float $y0, float $x1, float $y1): float
    {
        return $y0 + (($y1 - $y0) * ($x - $x0)) / ($x1 - $x0);
    }
}

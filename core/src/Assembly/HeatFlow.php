<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Rules\RuleFigures;

/** The direction of heat flow, by which films and air layers resist it: ISO 6946:2017, tables 7 and 8. */
enum HeatFlow: string
{
    case Horizontal = 'horizontal';
    case Up = 'up';
    case Down = 'down';

    /** Resistance of an unventilated air layer, m²K/W; intermediate thicknesses in a line, as the table's note says. */
    public function airLayer(float $thicknessMm): float
    {
        [$mmBefore, $before] = [0.0, 0.0];
        foreach (RuleFigures::of('physics')->table('air_layer_m2k_w') as $mm => $row) {
            [$mm, $resistance] = [(float) $mm, $row[$this->value]];
            if ($thicknessMm <= $mm) {
                return self::between($thicknessMm, $mmBefore, $before, $mm, $resistance);
            }
            [$mmBefore, $before] = [$mm, $resistance];
        }

        return $before;
    }

    private static function between(float $x, float $x0, float $y0, float $x1, float $y1): float
    {
        return $y0 + (($y1 - $y0) * ($x - $x0)) / ($x1 - $x0);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Sizes;

/**
 * A triangular unit with a flange, level at its foot and pointed at the top: a sill strip under it, flashing over both
 * slopes.
 */
final class TriangularOutline implements Outline
{
    public function name(): string
    {
        return 'triangular-unit';
    }

    public function extents(): array
    {
        return ['width_mm' => [300.0, 6000.0], 'height_mm' => [300.0, 6000.0]];
    }

    public function size(Sizes $s): array
    {
        return [$s->mm('width'), $s->mm('height'), 0.0];
    }

    public function half(Sizes $s, float $v, float $out): float
    {
        [$w, $h] = [$s->mm('width'), $s->mm('height')];
        // A line beside the slope: out across it is farther out along the level.
        $along = ($out * hypot($w / 2, $h)) / $h;
        if ($v < 0) {
            // Below its level foot there is only the band under it.
            return $out >= -$v ? round($w / 2 + $along, 1) : 0.0;
        }

        return max(0.0, round(($w / 2) * (1 - $v / $h) + $along, 1));
    }
}

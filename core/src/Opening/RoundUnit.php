<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Sizes;

/** A round unit with a flange: ring flashing under its lower half, over its upper half. */
final class RoundUnit extends ShapedUnit
{
    public const NAME = 'round-unit';

    protected const EXTENTS = ['diameter_mm' => [300.0, 3000.0]];

    protected function outline(Sizes $s): array
    {
        return [$s->mm('diameter'), $s->mm('diameter'), $s->mm('diameter') / 2];
    }

    protected function half(Sizes $s, float $v, float $out): float
    {
        $r = $s->mm('diameter') / 2;
        $square = ($r + $out) ** 2 - ($v - $r) ** 2;

        return $square > 0 ? round(sqrt($square), 1) : 0.0;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Sizes;

/** A round unit with a flange: ring flashing under its lower half, over its upper half. */
final class RoundOutline implements Outline
{
    public function name(): string
    {
        return 'round-unit';
    }

    public function extents(): array
    {
        return ['diameter_mm' => [300.0, 3000.0]];
    }

    public function size(Sizes $s): array
    {
        return [$s->mm('diameter'), $s->mm('diameter'), $s->mm('diameter') / 2];
    }

    public function half(Sizes $s, float $v, float $out): float
    {
        $r = $s->mm('diameter') / 2;
        $square = ($r + $out) ** 2 - ($v - $r) ** 2;

        return $square > 0 ? round(sqrt($square), 1) : 0.0;
    }
}

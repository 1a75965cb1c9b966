<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Vapour\Path;

/** Where in an assembly something gathers, as words speak of it: between two layers or facers, or so deep in one. */
final class Place
{
    /** @return array{'interface'|'within', array<string, float|int|string>} */
    public static function of(Path $path, int $node): array
    {
        [$inside, $outside] = [$path->inside($node), $path->outside($node)];
        if ($inside !== null && $outside !== null && $inside !== $outside) {
            return ['interface', ['inner' => $inside->name(), 'outer' => $outside->name()]];
        }
        $ply = $inside ?? $outside;

        return ['within', ['layer' => $ply?->name() ?? '', 'depth_mm' => $path->depthMm[$node]]];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Assembly;
use Apron\Vapour\Path;

/** Where in an assembly something gathers, as words speak of it: between two layers, or so deep in one. */
final class Place
{
    /** @return array{'interface'|'within', array<string, float|int|string>} */
    public static function of(Assembly $assembly, Path $path, int $node): array
    {
        $interface = $path->interface[$node];
        if ($interface < 0) {
            return [
                'within',
                [
                    'layer' => $assembly->layers[$path->layer[$node]]->material->name,
                    'depth_mm' => $path->depthMm[$node],
                ],
            ];
        }

        return [
            'interface',
            [
                'inner' => $assembly->layers[$interface - 1]->material->name,
                'outer' => $assembly->layers[$interface]->material->name,
            ],
        ];
    }
}

<?php

declare(strict_types=1);

use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;

/** A material of a family, or what sticks so: `tape:acrylic`, `sealant:silyl`. */
function materialOf(string $said, string $id): Material
{
    [$form, $of] = str_contains($said, ':') ? explode(':', $said) : ['', $said];
    $row = ['id' => $id, 'name' => $said, 'conductivity_w_mk' => 0.2, 'sd_m' => 1];

    return MaterialFormat::read(
        Node::of(
            match ($form) {
                'tape', 'membrane' => $row + ['family' => $of, 'sticks' => $of],
                'foam', 'primer', 'mastic' => $row + ['sticks' => $of],
                default => $row + ['family' => $of],
            },
        ),
    );
}

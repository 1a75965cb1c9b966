<?php

declare(strict_types=1);

use Apron\Contact\Conditions;
use Apron\Contact\How;
use Apron\Contact\Touch;
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

/** @param  array<string, mixed>  $case  a row of cases.json */
function touchOf(array $case): Touch
{
    return new Touch(
        materialOf($case['a'], 'a'),
        materialOf($case['b'], 'b'),
        How::from($case['how']),
        new Conditions(
            surfaceC: isset($case['surface_c']) ? (float) $case['surface_c'] : null,
            damp: $case['damp'] ?? false,
            dusty: $case['dusty'] ?? false,
            frost: $case['frost'] ?? false,
            wetPlace: $case['wet_place'] ?? null,
            serviceC: isset($case['service_c']) ? (float) $case['service_c'] : null,
        ),
    );
}

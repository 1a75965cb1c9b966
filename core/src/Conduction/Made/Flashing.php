<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Rules\RuleFigures;

/** What goes from behind the unit to the face of the wall under or over it. */
enum Flashing: string
{
    case Membrane = 'membrane';
    case Metal = 'metal';

    /** @return array{float, float} mm, W/(m·K) */
    public function sheet(): array
    {
        $figures = RuleFigures::of('joints');
        [$thick, $conductivity] = $this === self::Metal
            ? ['flashing_mm', 'steel_w_mk']
            : ['membrane_mm', 'membrane_w_mk'];

        return [$figures->figure($thick), $figures->figure($conductivity)];
    }
}

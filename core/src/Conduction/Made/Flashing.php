<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** What goes from behind the unit to the face of the wall under or over it. */
enum Flashing: string
{
    case Membrane = 'membrane';
    case Metal = 'metal';

    /** @return array{float, float} mm, W/(m·K): galvanised sheet of 0.6 mm; a strip of asphalt */
    public function sheet(): array
    {
        return $this === self::Metal ? [0.6, 50.0] : [1.0, 0.17];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** What lines the rough opening and carries the unit. */
enum Buck: string
{
    case None = 'none';
    case Wood = 'wood';
    case Insulating = 'insulating';

    /** W/(m·K): softwood by ISO 10456 (from memory); structural foam is common practice */
    public function conductivity(): ?float
    {
        return match ($this) {
            self::None => null,
            self::Wood => 0.13,
            self::Insulating => 0.04,
        };
    }
}

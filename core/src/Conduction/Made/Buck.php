<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Rules\RuleFigures;

/** What lines the rough opening and carries the unit. */
enum Buck: string
{
    case None = 'none';
    case Wood = 'wood';
    case Insulating = 'insulating';

    /** W/(m·K) */
    public function conductivity(): ?float
    {
        return match ($this) {
            self::None => null,
            self::Wood => RuleFigures::of('joints')->figure('wood_w_mk'),
            self::Insulating => RuleFigures::of('joints')->figure('insulating_buck_w_mk'),
        };
    }
}

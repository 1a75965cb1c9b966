<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Rules\RuleFigures;

/** Two schools of surface resistance: that of ISO 6946, and the winter films of North American practice. */
enum SurfaceFilms: string
{
    case Iso = 'iso';
    case NorthAmerican = 'north-american';

    /** m²K/W */
    public function inside(HeatFlow $flow): float
    {
        return RuleFigures::of('physics')->table('films_m2k_w')[$this->value][$flow->value];
    }

    /** m²K/W */
    public function outside(): float
    {
        return RuleFigures::of('physics')->table('films_m2k_w')[$this->value]['outside'];
    }
}

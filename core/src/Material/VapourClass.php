<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Rules\RuleFigures;

/**
 * Vapour retarder classes of the North American model codes, by dry-cup permeance
 * (International Residential Code 2021, R202 "vapor retarder class"; from memory).
 */
enum VapourClass: string
{
    case I = 'I';
    case II = 'II';
    case III = 'III';
    case Open = 'open';

    /** @param  float  $permeance ng/(Pa·s·m²) */
    public static function ofPermeance(float $permeance): self
    {
        $physics = RuleFigures::of('physics');

        return match (true) {
            $permeance <= $physics->permeance('class_i') => self::I,
            $permeance <= $physics->permeance('class_ii') => self::II,
            $permeance <= $physics->permeance('class_iii') => self::III,
            default => self::Open,
        };
    }
}

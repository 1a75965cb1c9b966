<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/**
 * Leakage at 75 Pa that is asked of a material, an assembly and a building: three limits, an order of magnitude apart,
 * never mixed.
 */
enum Limits: string
{
    case Material = 'material';
    case Assembly = 'assembly';
    case Building = 'building';

    /** Air changes at 50 Pa that are aimed at (common practice). */
    public const TARGETS_50 = [5.0, 3.0, 1.5, 0.6];

    /**
     * L/(s·m²) at 75 Pa; 0.004, 0.04 and 0.40 cfm/ft² (International Energy Conservation Code 2021, C402.5, from
     * memory).
     */
    public function most(): float
    {
        return match ($this) {
            self::Material => 0.02,
            self::Assembly => 0.2,
            self::Building => 2.0,
        };
    }
}

<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Quantity\Conversion;

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
        $perms = $permeance / Conversion::NG_PER_PERM;

        return match (true) {
            $perms <= 0.1 => self::I,
            $perms <= 1.0 => self::II,
            $perms <= 10.0 => self::III,
            default => self::Open,
        };
    }

    /** @param  float  $sd m */
    public static function ofSd(float $sd): self
    {
        return self::ofPermeance(200 / $sd);
    }
}

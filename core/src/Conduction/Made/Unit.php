<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Rules\RuleFigures;

/** A unit as its data sheet states it: frame and glass as blocks that lose what they are stated to lose. */
final readonly class Unit
{
    public function __construct(
        /** W/(m²K) */
        public float $frameU = 1.4,
        public float $frameWideMm = 110.0,
        public float $frameDeepMm = 80.0,
        /** W/(m²K) */
        public float $glassU = 0.8,
        public float $glassMm = 44.0,
    ) {
    }

    /** W/(m·K) of a block as deep as the frame that loses as much */
    public function frameConductivity(): float
    {
        return self::block($this->frameDeepMm, $this->frameU);
    }

    public function glassConductivity(): float
    {
        return self::block($this->glassMm, $this->glassU);
    }

    /**
     * W/(m²K) of the whole unit as it is built in: frame, glass, and what its edge loses all round (ISO 10077-1; the
     * edge of the glass is in the frame’s U, or is not counted).
     *
     * @param  float  $psi  of the installation, W/(m·K)
     */
    public function installedU(float $psi, float $wideMm, float $highMm): float
    {
        $area = ($wideMm * $highMm) / 1e6;
        $glass = (max(0.0, $wideMm - 2 * $this->frameWideMm) * max(0.0, $highMm - 2 * $this->frameWideMm)) / 1e6;
        $round = (2 * ($wideMm + $highMm)) / 1000;

        return ($this->glassU * $glass + $this->frameU * ($area - $glass) + $psi * $round) / $area;
    }

    private static function block(float $deepMm, float $u): float
    {
        $figures = RuleFigures::of('joints');
        $airs = $figures->figure('unit_rsi_m2k_w') + $figures->figure('unit_rse_m2k_w');

        return $deepMm / 1000 / max(1e-3, 1 / $u - $airs);
    }
}

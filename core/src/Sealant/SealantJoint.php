<?php

declare(strict_types=1);

namespace Apron\Sealant;

use Apron\Rules\RuleFigures;

/**
 * A sealant joint that moves with temperature. Width = movement / what the sealant bears, and the tolerance of the gap
 * (ASTM C1472, from memory); depth half the width within 6 and 13 mm; backer rod a quarter to a third larger than the
 * joint (common practice).
 */
final readonly class SealantJoint
{
    /**
     * @param  float  $expansion  1/K
     * @param  float  $lengthMm  of what moves towards the joint
     * @param  float  $swing  K between the coldest and the hottest it gets
     * @param  float  $movementClass  share of its width that the sealant bears either way: 0.25 for class 25
     */
    public function __construct(
        public float $expansion,
        public float $lengthMm,
        public float $swing,
        public float $movementClass,
        public float $toleranceMm,
    ) {
        if ($lengthMm <= 0 || $swing <= 0 || $movementClass <= 0 || $movementClass > 1 || $toleranceMm < 0) {
            throw new \InvalidArgumentException(
                'a length and a swing above 0, a movement class above 0 and up to 1, and no tolerance below 0',
            );
        }
    }

    public function movementMm(): float
    {
        return $this->expansion * $this->lengthMm * $this->swing;
    }

    public function widthMm(): float
    {
        return max(
            RuleFigures::of('sealant')->figure('depth_least_mm'),
            $this->movementMm() / $this->movementClass + $this->toleranceMm,
        );
    }

    public function depthMm(): float
    {
        return self::depthOf($this->widthMm());
    }

    /** Depth of the sealant in a joint of a width, mm. */
    public static function depthOf(float $widthMm): float
    {
        $figures = RuleFigures::of('sealant');

        return max($figures->figure('depth_least_mm'), min($figures->figure('depth_most_mm'), $widthMm / 2));
    }

    /** @return array{float, float} diameters of the backer rod that hold in a joint of a width, mm */
    public static function backerRod(float $widthMm): array
    {
        $figures = RuleFigures::of('sealant');

        return [$figures->figure('rod_least') * $widthMm, $figures->figure('rod_most') * $widthMm];
    }
}

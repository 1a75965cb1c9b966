<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** What somebody says of a joint that is made for them. */
final readonly class JointSizes
{
    public function __construct(
        public Unit $unit,
        public Buck $buck,
        public Flashing $flashing,
        /** mm of insulation over a frame, or round a parapet */
        public float $coverMm,
        public float $slabMm,
        public float $gaugeMm,
        public float $flangeMm,
        /** mm that a parapet stands over the roof */
        public float $parapetMm,
        /** mm that the insulation goes on below the ground */
        public float $edgeMm,
        /** mm of ground over the floor of a cellar */
        public float $deepMm = 2000.0,
        public Point $point = new Point,
    ) {
    }
}

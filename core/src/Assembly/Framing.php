<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Material\Material;

/** Members that pass through a layer: studs, rafters, battens. */
final readonly class Framing
{
    /** @throws \InvalidArgumentException where it takes none of the area, or all */
    public function __construct(
        public Material $material,
        /** share of the area, 0 to 1 */
        public float $fraction,
        public ?float $spacingMm,
        public ?float $depthMm,
        public ?float $gaugeMm,
        public ?float $flangeMm = null,
        /** chosen for steel studs; null leaves it to the combined method where that holds */
        public ?MetalFraming $method = null,
        /** null where nobody has said */
        public ?Runs $runs = null,
    ) {
        if ($fraction <= 0 || $fraction >= 1) {
            throw new \InvalidArgumentException("framing takes $fraction of the area");
        }
    }

    /**
     * Whether the members of two touching layers are the same members going on: then their paths are one path, not
     * two that cross. Without a spacing nothing says so.
     */
    public function goesOnIn(?self $other): bool
    {
        return $other !== null &&
            $this->spacingMm !== null &&
            $this->spacingMm === $other->spacingMm &&
            $this->fraction === $other->fraction &&
            $this->material->id === $other->material->id;
    }

    public function by(MetalFraming $method): self
    {
        return new self(
            $this->material,
            $this->fraction,
            $this->spacingMm,
            $this->depthMm,
            $this->gaugeMm,
            $this->flangeMm,
            $method,
            $this->runs,
        );
    }
}

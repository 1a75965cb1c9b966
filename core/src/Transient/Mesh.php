<?php

declare(strict_types=1);

namespace Apron\Transient;

/** How finely layers are cut. */
final readonly class Mesh
{
    private function __construct(
        /** m, of the first cell beside each face of a layer */
        public float $finest,
        /** by how much each cell from a face on is thicker than the one before */
        public float $grows,
        /** of a layer: no cell of it is thicker */
        public float $widest,
    ) {
    }

    /** For years of hours: the error of a cell is small beside what is known of the weather. */
    public static function wall(): self
    {
        return new self(0.001, 1.5, 1 / 6);
    }

    /** For exercises with an answer. */
    public static function lab(): self
    {
        return new self(0.0003, 1.08, 0.01);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Transient;

/** Layers between two airs that stay as they are: the exercises of the standards, a sample in a climate chamber. */
final readonly class LabRun
{
    /**
     * @param  non-empty-list<Part>  $layers  from the left
     * @param  list<float>  $depths  mm from the left, at which its state is asked
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $layers,
        /** °C */
        public float $celsius,
        /** share of saturation at the beginning */
        public float $humidity,
        public float $hours,
        public Beyond $left,
        public Beyond $right,
        public array $depths = [],
        public bool $isIsothermal = false,
        public bool $latent = true,
    ) {
    }
}

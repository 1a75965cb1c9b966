<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Rules\Severity;

/** Where one piece laps another. */
final readonly class Lap
{
    public function __construct(
        public string $outer,
        public string $inner,
        public string $facet,
        /** along the fall of the water, rather than end to end */
        public bool $horizontal,
        public float $size,
        /** the lower one lies outside */
        public bool $reversed,
        /** the edge of the outer one that the water meets there holds by a bond or a seal all along */
        public bool $bonded,
        public ?float $least,
        public Severity $verdict,
        /** when both have come to rest */
        public int $step,
        /**
         * the piece that comes to rest last, and so is laid to the lap: the outer one, unless the inner is tucked under
         * it
         */
        public string $last,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'outer' => $this->outer,
            'inner' => $this->inner,
            'facet' => $this->facet,
            'direction' => $this->horizontal ? 'horizontal' : 'end',
            'lap_mm' => $this->size,
            'reversed' => $this->reversed,
            'least_mm' => $this->least,
            'verdict' => $this->verdict->value,
        ];
    }
}

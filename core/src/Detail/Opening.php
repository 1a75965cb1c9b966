<?php

namespace Apron\Detail;

/** A rough opening, mm: its five facets, folded at their arrises, seen from outside. */
final readonly class Opening
{
    public function __construct(
        public float $width,
        public float $height,
        public float $depth,
        /** how much of the face round the opening belongs to the detail */
        public float $margin,
        public SillPitch $sillPitch,
        /** fall of the sill over its depth */
        public float $sillFall,
        public float $backDam,
        /** the wind's push as a height of water: Pa / 9.81 */
        public float $headOfWater,
    ) {
    }

    /** @return array<string, Facet> by name */
    public function facets(): array
    {
        return [
            'face' => new Facet('face', new Rect(-$this->margin, -$this->margin, $this->width + $this->margin, $this->height + $this->margin)),
            'sill' => new Facet('sill', new Rect(0, 0, $this->width, $this->depth)),
            'jamb-left' => new Facet('jamb-left', new Rect(0, 0, $this->depth, $this->height)),
            'jamb-right' => new Facet('jamb-right', new Rect(0, 0, $this->depth, $this->height)),
            'head' => new Facet('head', new Rect(0, 0, $this->width, $this->depth)),
        ];
    }
}

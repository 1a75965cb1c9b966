<?php

declare(strict_types=1);

namespace Apron\Building;

/** How a block ends at the top: flat, or rising from its top at a pitch. */
final readonly class RoofForm
{
    /**
     * @param  float|null  $pitchDeg  null where it is flat
     * @param  int|null  $lowEdge  a mono-pitch rises from this edge
     * @param  int|null  $ridgeAlong  a gable’s ridge runs along this edge, over a rectangle
     */
    public function __construct(
        public bool $parapet = true,
        public float $parapetMm = 0.0,
        public ?float $pitchDeg = null,
        public ?int $lowEdge = null,
        public ?int $ridgeAlong = null,
    ) {
    }

    public function isFlat(): bool
    {
        return $this->pitchDeg === null;
    }

    private function slope(): float
    {
        return tan(deg2rad($this->pitchDeg ?? 0.0));
    }

    /** How far it stands above the top of the block over a place, mm. */
    public function rise(Outline $outline, float $x, float $y): float
    {
        $low = $outline->edge($this->lowEdge ?? $this->ridgeAlong ?? 0);
        if ($this->isFlat() || $low === null) {
            return 0.0;
        }
        $off = $low->off($x, $y);

        return $this->slope() * ($this->ridgeAlong === null ? $off : min($off, $this->width($outline) - $off));
    }

    /** From eaves to eaves of a gable, mm. */
    public function width(Outline $outline): float
    {
        return $outline->edges[0]->length === $this->along($outline)
            ? $outline->edges[1]->length
            : $outline->edges[0]->length;
    }

    private function along(Outline $outline): float
    {
        return $outline->edge($this->ridgeAlong ?? 0)->length ?? 0.0;
    }

    /** mm³ between the top of the block and the roof */
    public function volume(Outline $outline): float
    {
        if ($this->isFlat()) {
            return 0.0;
        }
        [$x, $y] = $outline->centre();

        return $this->ridgeAlong === null
            ? $outline->area() * $this->rise($outline, $x, $y)
            : ($outline->area() * $this->slope() * $this->width($outline)) / 4;
    }

    /** How much larger it is than what it covers. */
    public function stretch(): float
    {
        return 1 / cos(deg2rad($this->pitchDeg ?? 0.0));
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** One side of an outline, walked with the block on the left: its left end seen from outside is where it begins. */
final readonly class Edge
{
    public float $length;

    /** @param  int  $index  as the outline was given, either way round; all in mm */
    public function __construct(
        public int $index,
        public float $x0,
        public float $y0,
        public float $x1,
        public float $y1,
    ) {
        $this->length = hypot($x1 - $x0, $y1 - $y0);
    }

    /** Whether an outline may come by it: by the boxes round both. */
    public function isNear(Outline $outline): bool
    {
        [$west, $east, $south, $north] = $outline->bounds;
        $hair = Surfaces::HAIR;

        return min($this->x0, $this->x1) <= $east + $hair &&
            max($this->x0, $this->x1) >= $west - $hair &&
            min($this->y0, $this->y1) <= $north + $hair &&
            max($this->y0, $this->y1) >= $south - $hair;
    }

    /** @return array{float, float} unit vector along it */
    public function along(): array
    {
        return [($this->x1 - $this->x0) / $this->length, ($this->y1 - $this->y0) / $this->length];
    }

    /** How far along it a place lies, mm from its left end. */
    public function u(float $x, float $y): float
    {
        [$dx, $dy] = $this->along();

        return ($x - $this->x0) * $dx + ($y - $this->y0) * $dy;
    }

    /** How far off its line a place lies, mm, to the left of it, which is inward. */
    public function off(float $x, float $y): float
    {
        [$dx, $dy] = $this->along();

        return ($y - $this->y0) * $dx - ($x - $this->x0) * $dy;
    }

    /**
     * Where along it those of these places are that lie on it.
     *
     * @param  array<array{float, float}>  $points
     * @return list<float> mm from its left end
     */
    public function passing(array $points): array
    {
        $hair = Surfaces::HAIR;
        [$west, $east] = [min($this->x0, $this->x1) - $hair, max($this->x0, $this->x1) + $hair];
        [$south, $north] = [min($this->y0, $this->y1) - $hair, max($this->y0, $this->y1) + $hair];
        $along = [];
        foreach ($points as [$x, $y]) {
            $near = $x >= $west && $x <= $east && $y >= $south && $y <= $north;
            if ($near && abs($this->off($x, $y)) < $hair) {
                $along[] = $this->u($x, $y);
            }
        }

        return $along;
    }

    /** @return array{float, float} */
    public function at(float $u): array
    {
        [$dx, $dy] = $this->along();

        return [$this->x0 + $u * $dx, $this->y0 + $u * $dy];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** An upright prism; levels in mm. */
final readonly class Block
{
    /**
     * @param  array<int, float>  $ground  by edge, where it is not that of the building
     * @param  array<int, string>  $walls  ids of assemblies by edge
     * @param  list<Stretch>  $stretches
     */
    public function __construct(
        public string $id,
        public Outline $outline,
        public float $base,
        public float $top,
        public Inside $inside = Inside::Conditioned,
        public array $ground = [],
        public ?string $wall = null,
        public array $walls = [],
        public array $stretches = [],
        public ?string $foundation = null,
        public ?string $roof = null,
        public ?string $slab = null,
        public ?string $soffit = null,
        public ?string $floor = null,
        public RoofForm $roofForm = new RoofForm,
    ) {
    }

    public function isConditioned(): bool
    {
        return $this->inside === Inside::Conditioned;
    }

    /** How high it stands over a place, mm. */
    public function topAt(float $x, float $y): float
    {
        return $this->top + $this->roofForm->rise($this->outline, $x, $y);
    }

    public function holds(float $x, float $y, float $z): bool
    {
        return $z > $this->base && $this->outline->contains($x, $y) && $z < $this->topAt($x, $y);
    }

    public function stretchAt(int $edge, float $u, float $z): ?Stretch
    {
        foreach ($this->stretches as $stretch) {
            if ($stretch->covers($edge, $u, $z)) {
                return $stretch;
            }
        }

        return null;
    }

    public function wallAt(int $edge, float $u, float $z): ?string
    {
        return $this->stretchAt($edge, $u, $z)->assembly ?? $this->walls[$edge] ?? $this->wall;
    }
}

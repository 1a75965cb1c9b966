<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** A joint cut through, the same along its length: what heat flows through in two dimensions. */
final readonly class PlaneSection
{
    /**
     * @param  non-empty-list<Block>  $blocks  later over earlier
     * @param  non-empty-list<AirBeside>  $airs  material lies over them; every other edge lets nothing through
     * @param  list<array{float, float}>  $points  mm, of which the temperature is asked
     * @param  list<Flanking>  $flanking
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $blocks,
        public array $airs,
        public array $points = [],
        public array $flanking = [],
        /** the assembly that it is a joint of; null where nobody has said */
        public ?string $assembly = null,
        /** the same all round an axis at x = 0 and not along a length: x is the radius, and what flows is W */
        public bool $isRound = false,
    ) {
    }

    /** @return array{inside: float, outside: float}|null °C; null where the airs have not exactly two temperatures */
    public function airs(): ?array
    {
        $of = fn (bool $inside): array => array_values(array_unique(array_map(
            fn (AirBeside $air): float => $air->temperature,
            array_filter($this->airs, fn (AirBeside $air): bool => $this->isInside($air) === $inside),
        )));
        [$inside, $outside] = [$of(true), $of(false)];

        return count($inside) === 1 && count($outside) === 1 && $inside !== $outside
            ? ['inside' => $inside[0], 'outside' => $outside[0]]
            : null;
    }

    /** As it is said; where it is said of none, the warmest air is inside. */
    public function isInside(AirBeside $air): bool
    {
        foreach ($this->airs as $each) {
            if ($each->isInside) {
                return $air->isInside;
            }
        }

        return $air->temperature === max(array_map(fn (AirBeside $each): float => $each->temperature, $this->airs));
    }
}

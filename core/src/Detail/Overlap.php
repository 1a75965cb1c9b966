<?php

declare(strict_types=1);

namespace Apron\Detail;

/** Two patches of different pieces that lie over each other on a facet. */
final readonly class Overlap
{
    /** @param  list<Laid>  $between  patches over the inner one whose order lies between theirs */
    private function __construct(
        public string $facet,
        public Laid $inner,
        public Laid $outer,
        /** the stretch that both cover */
        public Rect $rect,
        private array $between,
    ) {
    }

    /**
     * @param  list<Laid>  $patches  of one facet, innermost first
     * @return list<self> by the inner one, then by the outer
     */
    public static function among(string $facet, array $patches): array
    {
        $overlaps = [];
        foreach ($patches as $i => $inner) {
            $over = [];
            foreach (array_slice($patches, $i + 1) as $outer) {
                $rect = $inner->rect()->overlap($outer->rect());
                if ($rect === null) {
                    continue;
                }
                if ($inner->piece !== $outer->piece) {
                    $overlaps[] = new self($facet, $inner, $outer, $rect, $over);
                }
                $over[] = $outer;
            }
        }

        return $overlaps;
    }

    /** Whether one patch lies between them all over: they do not touch, whatever they are. */
    public function isApart(): bool
    {
        foreach ($this->between as $third) {
            if ($third->rect()->contains($this->rect)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Rect> the stretches on which the two touch, with nothing between them */
    public function touching(): array
    {
        return $this->rect->without(array_map(fn (Laid $l): Rect => $l->rect(), $this->between));
    }
}

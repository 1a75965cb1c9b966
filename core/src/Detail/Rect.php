<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A rectangle on a facet, mm. On every facet the bottom edge is v0, the top v1, the left u0, the right u1. */
final readonly class Rect
{
    public function __construct(public float $u0, public float $v0, public float $u1, public float $v1)
    {
    }

    public function width(): float
    {
        return $this->u1 - $this->u0;
    }

    public function height(): float
    {
        return $this->v1 - $this->v0;
    }

    /** The stretch both cover, or null where they at most touch. */
    public function overlap(self $other): ?self
    {
        // Asked of every pair of patches: those apart, nearly all, are let go before anything is made.
        if (
            $this->u1 <= $other->u0 ||
            $other->u1 <= $this->u0 ||
            $this->v1 <= $other->v0 ||
            $other->v1 <= $this->v0
        ) {
            return null;
        }
        $common = new self(
            max($this->u0, $other->u0),
            max($this->v0, $other->v0),
            min($this->u1, $other->u1),
            min($this->v1, $other->v1),
        );

        return $common->u0 < $common->u1 && $common->v0 < $common->v1 ? $common : null;
    }

    public function contains(self $other): bool
    {
        return $other->u0 >= $this->u0 &&
            $other->v0 >= $this->v0 &&
            $other->u1 <= $this->u1 &&
            $other->v1 <= $this->v1;
    }

    /**
     * Whether others together lie over all of it.
     *
     * @param  list<self>  $others
     */
    public function coveredBy(array $others): bool
    {
        $over = array_values(array_filter(array_map(fn (self $o): ?self => $this->overlap($o), $others)));
        $cuts = [$this->u0, $this->u1];
        foreach ($over as $o) {
            array_push($cuts, $o->u0, $o->u1);
        }
        $cuts = array_values(array_unique($cuts, SORT_REGULAR));
        sort($cuts);
        for ($i = 0; $i < count($cuts) - 1; $i++) {
            // Within a column nothing begins or ends across: it is covered from below upward, or has a hole.
            $column = array_values(
                array_filter($over, fn (self $o): bool => $o->u0 <= $cuts[$i] && $o->u1 >= $cuts[$i + 1]),
            );
            usort($column, fn (self $a, self $b): int => $a->v0 <=> $b->v0);
            $up = $this->v0;
            foreach ($column as $o) {
                $up = $o->v0 <= $up ? max($up, $o->v1) : $up;
            }
            if ($up < $this->v1) {
                return false;
            }
        }

        return true;
    }

    /**
     * What is left of it where others are taken out, in rectangles that do not overlap.
     *
     * @param  list<self>  $others
     * @return list<self>
     */
    public function without(array $others): array
    {
        $left = [$this];
        foreach ($others as $other) {
            $next = [];
            foreach ($left as $rect) {
                $hole = $rect->overlap($other);
                array_push($next, ...$hole === null ? [$rect] : $rect->round($hole));
            }
            $left = $next;
        }

        return $left;
    }

    /** @return list<self> what is round a hole in it: beside it on the left and right, then below and above */
    private function round(self $hole): array
    {
        return array_values(
            array_filter(
                [
                    new self($this->u0, $this->v0, $hole->u0, $this->v1),
                    new self($hole->u1, $this->v0, $this->u1, $this->v1),
                    new self($hole->u0, $this->v0, $hole->u1, $hole->v0),
                    new self($hole->u0, $hole->v1, $hole->u1, $this->v1),
                ],
                fn (self $r): bool => $r->width() > 0 && $r->height() > 0,
            ),
        );
    }

    /** @return array{float, float, float, float} */
    public function toArray(): array
    {
        return [$this->u0, $this->v0, $this->u1, $this->v1];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** One side of a block, cut wherever something beside it or of it begins or ends. */
final readonly class Side
{
    public function __construct(private Surfaces $surfaces, private Block $block, private Edge $edge)
    {
    }

    /**
     * @param  list<array{float, float}>  $corners  of all outlines
     * @return list<Cell> those that are of the envelope
     */
    public function cells(array $corners): array
    {
        [$us, $zs] = [$this->along($corners), $this->levels()];
        $last = count($zs) - 1;
        $cells = [];
        for ($i = 1; $i < count($us); $i++) {
            [$u0, $u1] = [$us[$i - 1], $us[$i]];
            for ($j = 1; $j <= $last; $j++) {
                $z = ($zs[$j - 1] + $zs[$j]) / 2;
                $part = $this->surfaces->upright($this->block, $this->edge, ($u0 + $u1) / 2, $z);
                if ($part !== null) {
                    // Walls go up to the roof.
                    $top = fn (float $u): float => $j === $last ? $this->topAt($u) : $zs[$j];
                    $cells[] = new Cell($part, $u0, $u1, $zs[$j - 1], $top($u0), $top($u1));
                }
            }
        }

        return $cells;
    }

    private function topAt(float $u): float
    {
        return $this->block->topAt(...$this->edge->at($u));
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<float> mm from the left end
     */
    public function along(array $corners): array
    {
        $cuts = [0.0, $this->edge->length, ...$this->edge->passing($corners)];
        foreach ($this->block->stretches as $stretch) {
            if ($stretch->edge === $this->edge->index) {
                array_push($cuts, $stretch->from, $stretch->to);
            }
        }
        if ($this->block->roofForm->ridgeAlong !== null) {
            $cuts[] = $this->edge->length / 2;
        }

        return Areas::sorted($cuts, 0.0, $this->edge->length);
    }

    /** @return list<float> mm */
    public function levels(): array
    {
        [$block, $building] = [$this->block, $this->surfaces->building];
        $cuts = [$block->base, $block->top, $building->groundAt($block, $this->edge->index)];
        foreach ($building->blocks as $other) {
            if ($this->edge->isNear($other->outline)) {
                array_push($cuts, $other->base, $other->top);
            }
        }
        foreach ($block->stretches as $stretch) {
            array_push($cuts, $stretch->base ?? $block->base, $stretch->top ?? $block->top);
        }

        return Areas::sorted($cuts, $block->base, $block->top);
    }
}

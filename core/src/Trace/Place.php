<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\Edge;
use Apron\Detail\Laid;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\Side;

/**
 * Where water is: the end of one interval of a strip, the patch it is on, and what lies over, under and beyond it
 * there.
 */
abstract class Place
{
    protected readonly string $facet;

    protected readonly int $strip;

    protected readonly int $interval;

    protected readonly float $u;

    protected readonly float $s;

    /** @var list<Laid> */
    protected readonly array $column;

    /** @var array<int, array{int, int}> by order: the first and the last break of each patch of the column */
    protected readonly array $span;

    /** the break that is crossed */
    protected readonly int $break;

    protected readonly ?Laid $carrier;

    /** @var list<Laid>|null */
    private ?array $outboard = null;

    /** @param  array{string, int, int, int}  $place */
    public function __construct(protected readonly Rain $rain, array $place)
    {
        [$this->facet, $this->strip, $this->interval] = $place;
        $this->carrier = $rain->laid($place[0], $place[3]);
        $strips = $rain->strips;
        [$u0, $u1] = $strips->of[$this->facet][$this->strip];
        $this->u = ($u0 + $u1) / 2;
        $this->s = $strips->breaks[$this->facet][$this->strip][$this->interval + 1];
        $this->column = $strips->column[$this->facet][$this->strip];
        $this->span = $strips->span[$this->facet][$this->strip];
        $this->break = $this->interval + 1;
    }

    /**
     * @return array{string, int, int, list<Laid>}|null the facet beyond the fold, where on it, and the patches that
     *   begin just there
     */
    protected function target(): ?array
    {
        $detail = $this->rain->layout->detail;
        $strips = $this->rain->strips;
        $place = null;
        if ($detail->opening !== null) {
            $place = $this->arris($detail->opening);
        }
        foreach ($detail->folds as $fold) {
            $place = $fold->from === $this->facet ? [$fold->to, $strips->at($fold->to, $this->u), -$fold->atV] : $place;
        }
        if ($place === null) {
            return null;
        }
        [$facet, $strip, $s] = $place;
        $interval = $strips->interval($facet, $strip, $s);
        $begins = array_values(
            array_filter(
                $strips->column[$facet][$strip],
                fn (Laid $l): bool => $this->rain->covers($l, $facet, $strip, $interval) && $this->touchesFold($l, $s),
            ),
        );

        return [$facet, $strip, $interval, $begins];
    }

    /**
     * @return array{string, int, float}|null the facet of an opening that water passes on to, the strip of it and where
     *   along it
     */
    private function arris(OpeningGeometry $opening): ?array
    {
        $strips = $this->rain->strips;
        [$facet, $s] = match ($this->facet) {
            'sill' => match (true) {
                $strips->runsIn('sill') => [null, 0.0],
                $this->overBoard() => ['reveal-sill', -$opening->outerBoard],
                default => ['face', 0.0],
            },
            'jamb-left', 'jamb-right' => ['sill', $strips->runsIn('sill') ? $this->u : -$this->u],
            'reveal-jamb-left', 'reveal-jamb-right' => ['reveal-sill', -$this->u],
            'reveal-sill' => ['outer-face', 0.0],
            'reveal-head' => ['outer-face', -$opening->height],
            default => [null, 0.0],
        };
        if ($facet === null) {
            return null;
        }
        $u = match (true) {
            str_ends_with($this->facet, 'jamb-left') => 0.001,
            str_ends_with($this->facet, 'jamb-right') => $opening->width - 0.001,
            default => $this->u,
        };

        return [$facet, $strips->at($facet, $u), $s];
    }

    /**
     * Whether the water on a sill goes out over the edge of the board: on what folds out there, or off the end of its
     * carrier onto what does. Where the carrier folds down it stays behind the board, and so it does where nothing
     * leads it out.
     */
    private function overBoard(): bool
    {
        $onto = fn (Laid $l, string $facet): bool => array_filter(
            $l->joined,
            fn (Laid $other): bool => $other->patch->facet === $facet,
        ) !== [];
        for ($order = $this->carrier->order ?? -1; $order >= 0; $order--) {
            $l = $this->rain->laid('sill', $order);
            if ($l !== null && $this->rain->covers($l, 'sill', $this->strip, $this->interval)) {
                if ($onto($l, 'reveal-sill')) {
                    return true;
                }
                if ($onto($l, 'face')) {
                    return false;
                }
            }
        }

        return false;
    }

    /** Whether a patch of the facet beyond begins at the fold itself; a jamb comes down onto a side of its sill. */
    protected function touchesFold(Laid $l, float $s): bool
    {
        return match ($this->facet) {
            'jamb-left', 'reveal-jamb-left' => $l->rect()->u0 === 0.0,
            'jamb-right', 'reveal-jamb-right' => $l->rect()->u1 === $this->rain->layout->detail->opening?->width,
            default => $this->rain->strips->start($l) === $s,
        };
    }

    /** The edge with which a patch beyond the fold begins there. */
    protected function touchingSide(Laid $l): Side
    {
        return match (true) {
            str_ends_with($this->facet, 'jamb-left') => Side::Left,
            str_ends_with($this->facet, 'jamb-right') => Side::Right,
            default => $this->rain->strips->startSide($l->patch->facet),
        };
    }

    protected function touchesSealed(Laid $c, Laid $b): bool
    {
        return $c->edge($this->rain->strips->endSide($this->facet), $this->u) === Edge::Sealed ||
            $b->edge($this->touchingSide($b), $this->u) === Edge::Sealed;
    }

    protected function joinedOn(Laid $l, string $facet, int $strip, int $interval): ?Laid
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $facet && $this->rain->covers($other, $facet, $strip, $interval)) {
                return $other;
            }
        }

        return null;
    }

    /** Whether a patch beyond the fold goes on from one of this column rather than beginning. */
    protected function joinedFromHere(Laid $p): bool
    {
        foreach ($p->joined as $other) {
            if ($other->patch->facet === $this->facet && isset($this->span[$other->order])) {
                return true;
            }
        }

        return false;
    }

    protected function wetAlready(string $facet): bool
    {
        return $this->carrier === null && $this->rain->wet($this->facet) === $this->rain->wet($facet);
    }

    protected function atHead(): bool
    {
        $opening = $this->rain->layout->detail->opening;

        return $opening !== null &&
            OpeningGeometry::returnsOf($this->facet) !== null &&
            $this->s === -$opening->height &&
            $this->rain->inHole($this->facet, $this->strip, $this->interval + 1);
    }

    /** Whether the carrier itself goes on over the hole. */
    protected function carried(): bool
    {
        return $this->carrier !== null &&
            ($this->span[$this->carrier->order][1] !== $this->break || $this->joinedBelow($this->carrier) !== null);
    }

    protected function foldsIntoHead(Laid $l): bool
    {
        return $this->foldsInto($l, OpeningGeometry::returnsOf($this->facet).'head');
    }

    /** Whether it leaves the sheathing here, out over the board. */
    protected function foldsOut(Laid $l): bool
    {
        return match ($this->facet) {
            'face' => $this->atHead() && $this->foldsInto($l, 'reveal-head'),
            'sill' => $this->break === count($this->rain->strips->breaks['sill'][$this->strip]) - 1 &&
                $this->foldsInto($l, 'reveal-sill'),
            default => false,
        };
    }

    private function foldsInto(Laid $l, string $facet): bool
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $facet) {
                return true;
            }
        }

        return false;
    }

    protected function sealedTogether(?Laid $c, Laid $b): bool
    {
        return $c !== null &&
            ($c->edge(Side::Bottom, $this->u) === Edge::Sealed || $b->edge(Side::Top, $this->u) === Edge::Sealed);
    }

    /** @return list<Laid> patches over this interval outboard of the carrier, nearest first */
    protected function outboard(): array
    {
        if ($this->outboard === null) {
            $this->outboard = [];
            foreach ($this->column as $l) {
                [$first, $last] = $this->span[$l->order];
                if ($l->order > ($this->carrier->order ?? -1) && $first <= $this->interval && $last > $this->interval) {
                    $this->outboard[] = $l;
                }
            }
        }

        return $this->outboard;
    }

    /** Whether a patch over this interval covers what is below as well, itself or by one it is joined to. */
    protected function goesOn(Laid $l): bool
    {
        if ($this->span[$l->order][1] !== $this->break) {
            return true;
        }
        $breaks = $this->rain->strips->breaks[$this->facet][$this->strip];
        if ($this->interval + 2 < count($breaks)) {
            return $this->joinedBelow($l) !== null;
        }
        $target = $this->target();

        return $target !== null && $this->joinedOn($l, $target[0], $target[1], $target[2]) !== null;
    }

    /** The patch of its piece, joined to it, that goes on where it ends. */
    protected function joinedBelow(Laid $l): ?Laid
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $this->facet && ($this->span[$other->order][0] ?? -1) === $this->break) {
                return $other;
            }
        }

        return null;
    }

    protected function joinedAbove(Laid $l): bool
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $this->facet && ($this->span[$other->order][1] ?? -1) === $this->break) {
                return true;
            }
        }

        return false;
    }

    /** The nearest patch inboard that goes on below: itself, or the one it is joined to there. */
    protected function inboardGoingOn(Laid $c): ?Laid
    {
        $found = null;
        foreach ($this->column as $l) {
            if (
                $l->order < $c->order &&
                ($this->span[$l->order][0] <= $this->interval && $this->span[$l->order][1] > $this->interval) &&
                $this->goesOn($l)
            ) {
                $found = $this->span[$l->order][1] === $this->break ? $this->joinedBelow($l) : $l;
            }
        }

        return $found;
    }

    protected function nextInboardBelow(Laid $c): ?Laid
    {
        $found = null;
        foreach ($this->column as $l) {
            $found =
                $l->order < $c->order &&
                ($this->span[$l->order][0] <= $this->break && $this->span[$l->order][1] > $this->break)
                    ? $l
                    : $found;
        }

        return $found;
    }

    /** A patch that begins just where the carrier ends, with nothing that goes on between the two. */
    protected function buttedAt(Laid $c): ?Laid
    {
        $found = null;
        foreach ($this->column as $l) {
            if (
                $this->span[$l->order][0] === $this->break &&
                $l !== $c &&
                ! $this->joinedAbove($l) &&
                ! $this->shielded($c, $l)
            ) {
                $found = $found === null || $this->firstMet($c, $l) < $this->firstMet($c, $found) ? $l : $found;
            }
        }

        return $found;
    }

    /**
     * Of several that begin where a patch ends: one sealed to it before one that is not, outside before inside, the
     * nearest first.
     *
     * @return array{bool, bool, int}
     */
    private function firstMet(Laid $c, Laid $l): array
    {
        return [! $this->sealedTogether($c, $l), $l->order < $c->order, abs($l->order - $c->order)];
    }

    /** Whether a patch that goes on past here lies between the carrier and another. */
    protected function shielded(?Laid $carrier, Laid $p): bool
    {
        $near = $carrier->order ?? -1;
        $outward = $p->order > $near;
        $ends = $carrier !== null && $this->span[$near][1] === $this->break;
        foreach ($this->column as $l) {
            [$first, $last] = $this->span[$l->order];
            if ($first > $this->interval || $last <= $this->interval) {
                continue;
            }
            // Where it goes on in a patch it is joined to, that one lies over or under what begins here.
            $below = $last === $this->break ? $this->joinedBelow($l) : $l;
            if ($below === null || $below === $carrier) {
                continue;
            }
            $from = $ends ? $l->order : $below->order;
            if ($outward ? $from > $near && $below->order < $p->order : $from < $near && $below->order > $p->order) {
                return true;
            }
        }

        return false;
    }
}

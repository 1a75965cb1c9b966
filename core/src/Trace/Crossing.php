<?php

namespace Apron\Trace;

use Apron\Detail\Edge;
use Apron\Detail\Side;
use Apron\Detail\SillPitch;

/**
 * What water can do where an interval of a strip ends: the rules of the trace in their order. A drain edge, then the ends of
 * patches outboard, the end of the carrier, the beginnings outboard, a penetration, the end of the facet.
 */
final class Crossing
{
    private readonly string $facet;

    private readonly int $strip;

    private readonly int $interval;

    private readonly float $u;

    private readonly float $s;

    /** @var list<Laid> */
    private readonly array $column;

    /** @var array<int, array{int, int}> by order: the first and the last break of each patch of the column */
    private readonly array $span;

    /** the break that is crossed */
    private readonly int $break;

    private readonly ?Laid $carrier;

    /** @var list<array{Outcome, string, string}> what has happened at this crossing so far */
    private array $events = [];

    /** @var list<Way> */
    private array $ways = [];

    /** @var list<Laid>|null */
    private ?array $outboard = null;

    /** @param  array{string, int, int, int}  $place */
    public function __construct(private readonly Rain $rain, array $place)
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

    /** @return non-empty-list<Way> */
    public function ways(): array
    {
        $last = $this->interval + 2 === count($this->rain->strips->breaks[$this->facet][$this->strip]);
        if (! $this->drains()) {
            $last ? $this->foot() : $this->inPlane();
        }

        return $this->ways ?: throw new \LogicException('water that goes nowhere');
    }

    /** Rule 0. */
    private function drains(): bool
    {
        $c = $this->carrier;
        if ($c === null || ! $c->patch->drain || $this->span[$c->order][1] !== $this->break) {
            return false;
        }
        foreach ($this->outboard() as $over) {
            if ($this->goesOn($over)) {
                return false;
            }
        }
        $this->ways[] = new Way(0, [[Outcome::Shed, 'trace.drains', $c->piece->id]], []);

        return true;
    }

    private function inPlane(): void
    {
        if (! $this->outboardEnds()) {
            return;
        }
        if ($this->atHead() && ! $this->carried()) {
            $this->head();

            return;
        }
        $this->carrierEnds();
    }

    /** Rule 1; false where the path ends here. */
    private function outboardEnds(): bool
    {
        $strips = $this->rain->strips;
        $let = null;
        foreach ($this->outboard() as $over) {
            if ($this->goesOn($over)) {
                return true;
            }
            if ($this->atHead() && $this->foldsIntoHead($over)) {
                $this->ways[] = new Way(0, [...$this->events, [Outcome::Trapped, 'trace.behind-folded-head', $over->piece->id]], []);

                return false;
            }
            $side = $strips->endSide($this->facet);
            if ($over->edge($side, $this->u) !== Edge::Open && ! $this->rain->opensNear($over, $side, $this->u)) {
                $this->ways[] = new Way(0, [...$this->events, [Outcome::Trapped, 'trace.trapped', $over->piece->id]], []);

                return false;
            }
            $let = $over;
        }
        if ($let !== null) {
            $this->events[] = [Outcome::Recovered, 'trace.recovered', $let->piece->id];
        }

        return true;
    }

    /** Rule 2, then 3 and 4. */
    private function carrierEnds(): void
    {
        $c = $this->carrier;
        if ($c === null) {
            // On bare substrate already: what begins here begins over it.
            $this->begin(null, $this->events, 0, []);

            return;
        }
        if ($this->span[$c->order][1] !== $this->break) {
            $this->begin($c, $this->events, 0, []);

            return;
        }
        $on = $this->joinedBelow($c);
        if ($on !== null) {
            $this->begin($on, $this->events, 0, []);

            return;
        }
        $butt = $this->buttedAt($c);
        if ($butt !== null) {
            $sealed = $c->edge($this->rain->strips->endSide($this->facet), $this->u) === Edge::Sealed || $butt->edge($this->rain->strips->startSide($this->facet), $this->u) === Edge::Sealed;
            if ($sealed) {
                $this->begin($butt, [...$this->events, [Outcome::ReliesOnSeal, 'trace.sealed-joint', $butt->piece->id]], 0, []);
                $this->drop($c, $butt, 1);

                return;
            }
        }
        $this->drop($c, $butt, 0);
    }

    /** Onto the next patch inboard that goes on, or onto the substrate; a patch that was butted against lets the water past. */
    private function drop(Laid $c, ?Laid $butt, int $cost): void
    {
        $inboard = $this->inboardGoingOn($c);
        if ($inboard !== null) {
            $this->begin($inboard, [...$this->events, [Outcome::Shed, 'trace.drops', $inboard->piece->id]], $cost, []);

            return;
        }
        $code = $butt === null ? 'trace.nothing-below' : 'trace.open-joint';
        $this->begin(null, [...$this->events, $this->rain->wetEvent($this->facet, $code, $c->piece->id)], $cost, $butt === null ? [] : [$butt]);
    }

    /**
     * Rule 3: patches that begin outboard of the carrier, nearest first. Each edge that holds has a way on which it fails.
     *
     * @param  list<array{Outcome, string, string}>  $events
     * @param  list<Laid>  $past  patches whose joint the water went through: they hold nothing
     */
    private function begin(?Laid $carrier, array $events, int $cost, array $past): void
    {
        $failing = [];
        foreach ($this->column as $p) {
            if ($this->span[$p->order][0] !== $this->break || $p->order <= ($carrier->order ?? -1) || $this->joinedAbove($p) || in_array($p, $past, true) || $this->shielded($carrier, $p)) {
                continue;
            }
            $edge = $p->edge($this->rain->strips->startSide($this->facet), $this->u);
            if ($edge === Edge::Open) {
                $events[] = [Outcome::Shed, 'trace.behind', $p->piece->id];
                break;
            }
            // If this edge lets go the water is behind the patch, on what it was on.
            $failing[] = [$carrier, [...$events, [Outcome::Shed, 'trace.edge-fails', $p->piece->id]], $cost + 1];
            $events[] = $edge === Edge::Adhered ? [Outcome::ReliesOnBond, 'trace.bond', $p->piece->id] : [Outcome::ReliesOnSeal, 'trace.seal', $p->piece->id];
            $carrier = $p;
        }
        $this->pipe($carrier, $events, $cost);
        foreach ($failing as [$on, $told, $price]) {
            $this->pipe($on, $told, $price);
        }
    }

    /**
     * Rule 4.
     *
     * @param  list<array{Outcome, string, string}>  $events
     */
    private function pipe(?Laid $carrier, array $events, int $cost): void
    {
        foreach ($this->rain->layout->detail->penetrations as $pipe) {
            $top = $this->rain->strips->runsIn($this->facet) ? $pipe->rect->v0 : -$pipe->rect->v1;
            if ($pipe->facet !== $this->facet || $top !== $this->s || $pipe->rect->u0 >= $this->u || $pipe->rect->u1 <= $this->u) {
                continue;
            }
            while ($carrier !== null) {
                if (in_array($carrier->piece->id, $pipe->sealedTo, true)) {
                    $this->on($carrier, [...$events, [Outcome::ReliesOnSeal, 'trace.round-pipe', $carrier->piece->id]], $cost);
                    $cost++;
                } else {
                    $events[] = [Outcome::Shed, 'trace.along-pipe', $pipe->id];
                }
                $carrier = $this->nextInboardBelow($carrier);
            }
            $this->on(null, [...$events, $this->rain->wetEvent($this->facet, 'trace.past-pipe', $pipe->id)], $cost);

            return;
        }
        $this->on($carrier, $events, $cost);
    }

    /** @param  list<array{Outcome, string, string}>  $events */
    private function on(?Laid $carrier, array $events, int $cost): void
    {
        $this->ways[] = new Way($cost, $events, [[$this->facet, $this->strip, $this->interval + 1, $carrier->order ?? -1]]);
    }

    /** Rule 5 at the top of the opening, where nothing carries the water over the hole. */
    private function head(): void
    {
        $c = $this->carrier;
        $inboard = $c === null ? null : $this->inboardGoingOn($c);
        $butt = $c === null ? null : $this->buttedAt($c);
        if ($inboard !== null || ($butt !== null && $this->sealedTogether($c, $butt))) {
            $this->carrierEnds();

            return;
        }
        $covers = $this->rain->inHole($this->facet, $this->strip, $this->interval + 1) ? array_filter($this->outboard(), $this->goesOn(...)) : [];
        if ($covers === [] && $butt === null) {
            $sill = $this->rain->strips->at('sill', $this->u);
            $outer = $this->rain->strips->interval('sill', $sill, $this->rain->strips->runsIn('sill') ? 0.0 : -0.001);
            $this->ways[] = new Way(0, [...$this->events, [Outcome::Shed, 'trace.drips-to-sill', 'sill']], [['sill', $sill, $outer, $this->rain->outermost('sill', $sill, $outer)]]);

            return;
        }
        $events = $this->events;
        if ($c === null || ! $this->foldsIntoHead($c)) {
            $events[] = $this->rain->wetEvent('face', 'trace.head-joint', $c->piece->id ?? 'face');
        }
        $this->ways[] = new Way(0, $events, $this->jambTops());
    }

    /** @return list<array{string, int, int, int}> the tops of both jamb joints, over the depth of the unit */
    private function jambTops(): array
    {
        $unit = $this->rain->layout->detail->unit;
        $places = [];
        foreach (['jamb-left', 'jamb-right'] as $facet) {
            foreach ($this->rain->strips->of[$facet] as $k => [$z0, $z1]) {
                if ($unit === null || ($z0 >= $unit->outerZ && $z1 <= $unit->innerZ)) {
                    $places[] = [$facet, $k, 0, $this->rain->outermost($facet, $k, 0)];
                }
            }
        }

        return $places;
    }

    /** Rules 5 and 6 at the foot of a facet. */
    private function foot(): void
    {
        $target = $this->target();
        if ($this->facet === 'sill' && ($this->rain->layout->detail->opening->sillPitch ?? SillPitch::Out) !== SillPitch::Out) {
            $this->events[] = [Outcome::Ponds, 'trace.ponds', 'sill'];
            if (! $this->rain->damHolds()) {
                $this->events[] = [Outcome::Enters, 'trace.enters', 'sill'];
            }
        }
        if ($target === null) {
            $this->leave();

            return;
        }
        if (! $this->outboardEnds()) {
            return;
        }
        [$facet, $strip, $interval, $begins] = $target;
        $c = $this->carrier;
        $over = $c === null ? null : $this->joinedOn($c, $facet, $strip, $interval);
        if ($c !== null && $over === null) {
            $butt = null;
            foreach ($begins as $b) {
                $butt = $butt === null || $this->touchesSealed($c, $b) ? $b : $butt;
            }
            $sealed = $butt !== null && $this->touchesSealed($c, $butt);
            if ($sealed) {
                $this->land($facet, $strip, $interval, $butt, [...$this->events, [Outcome::ReliesOnSeal, 'trace.sealed-joint', $butt->piece->id]], 0, $begins);
            }
            $inboard = null;
            foreach ($this->column as $below) {
                $inboard = $below->order < $c->order && ($this->span[$below->order][0] <= $this->interval && $this->span[$below->order][1] > $this->interval) ? ($this->joinedOn($below, $facet, $strip, $interval) ?? $inboard) : $inboard;
            }
            $events = $inboard === null ? [...$this->events, $this->rain->wetEvent($facet, $butt === null ? 'trace.nothing-below' : 'trace.open-joint', $c->piece->id)] : $this->events;
            // Through an open joint the water is behind whatever began there.
            $this->land($facet, $strip, $interval, $inboard, $events, $sealed ? 1 : 0, $inboard === null ? [] : $begins);

            return;
        }
        $events = $c === null && ! $this->wetAlready($facet) ? [...$this->events, $this->rain->wetEvent($facet, 'trace.on-bare', $facet)] : $this->events;
        $this->land($facet, $strip, $interval, $over, $events, 0, $begins);
    }

    /** At the foot of a facet with nothing to go on to. */
    private function leave(): void
    {
        $c = $this->carrier;
        if ($this->facet === 'sill') {
            // Pitched in, it stands against the dam or has gone over it.
            $this->ways[] = new Way(0, $this->events, []);

            return;
        }
        $side = $this->rain->strips->endSide($this->facet);
        foreach ($this->outboard() as $over) {
            if ($over->edge($side, $this->u) !== Edge::Open) {
                $this->ways[] = new Way(0, [...$this->events, [Outcome::Trapped, 'trace.trapped', $over->piece->id]], []);

                return;
            }
        }
        $this->events[] = match (true) {
            $c === null => $this->rain->wetEvent($this->facet, 'trace.foot-bare', $this->facet),
            $this->outboard() !== [] => [Outcome::Recovered, 'trace.recovered', $this->outboard()[0]->piece->id],
            default => [Outcome::Shed, 'trace.foot', $c->piece->id],
        };
        $this->ways[] = new Way(0, $this->events, []);
    }

    /**
     * On the facet beyond a fold: rule 3 for what begins there.
     *
     * @param  list<array{Outcome, string, string}>  $events
     * @param  list<Laid>  $begins
     */
    private function land(string $facet, int $strip, int $interval, ?Laid $carrier, array $events, int $cost, array $begins): void
    {
        foreach ($begins as $p) {
            if (($carrier !== null && $p->order <= $carrier->order) || $this->joinedFromHere($p)) {
                continue;
            }
            $edge = $p->edge($this->touchingSide($p), $this->along($p));
            if ($edge === Edge::Open) {
                $events[] = [Outcome::Shed, 'trace.behind', $p->piece->id];
                break;
            }
            $this->ways[] = new Way($cost + 1, [...$events, [Outcome::Shed, 'trace.edge-fails', $p->piece->id]], [[$facet, $strip, $interval, $carrier->order ?? -1]]);
            $events[] = $edge === Edge::Adhered ? [Outcome::ReliesOnBond, 'trace.bond', $p->piece->id] : [Outcome::ReliesOnSeal, 'trace.seal', $p->piece->id];
            $carrier = $p;
        }
        $way = new Way($cost, $events, [[$facet, $strip, $interval, $carrier->order ?? -1]]);
        $cost === 0 ? array_unshift($this->ways, $way) : $this->ways[] = $way;
    }

    /** @return array{string, int, int, list<Laid>}|null the facet beyond the fold, where on it, and the patches that begin just there */
    private function target(): ?array
    {
        $detail = $this->rain->layout->detail;
        $strips = $this->rain->strips;
        $place = null;
        if ($detail->opening !== null) {
            if ($this->facet === 'sill' && ! $strips->runsIn('sill')) {
                $place = ['face', $strips->at('face', $this->u), 0.0];
            } elseif ($this->facet === 'jamb-left' || $this->facet === 'jamb-right') {
                $x = $this->facet === 'jamb-left' ? 0.001 : $detail->opening->width - 0.001;
                $place = ['sill', $strips->at('sill', $x), $strips->runsIn('sill') ? $this->u : -$this->u];
            }
        }
        foreach ($detail->folds as $fold) {
            $place = $fold->from === $this->facet ? [$fold->to, $strips->at($fold->to, $this->u), -$fold->atV] : $place;
        }
        if ($place === null) {
            return null;
        }
        [$facet, $strip, $s] = $place;
        $interval = $strips->interval($facet, $strip, $s);
        $begins = array_values(array_filter($strips->column[$facet][$strip], fn (Laid $l): bool => $this->rain->covers($l, $facet, $strip, $interval) && $this->touchesFold($l, $s)));

        return [$facet, $strip, $interval, $begins];
    }

    /** Whether a patch of the facet beyond begins at the fold itself. */
    private function touchesFold(Laid $l, float $s): bool
    {
        return match ($this->facet) {
            'jamb-left' => $l->patch->facet === 'sill' && $l->rect()->u0 === 0.0,
            'jamb-right' => $l->patch->facet === 'sill' && $l->rect()->u1 === $this->rain->layout->detail->opening?->width,
            default => $this->rain->strips->start($l) === $s,
        };
    }

    private function touchingSide(Laid $l): Side
    {
        return match (true) {
            $l->patch->facet !== 'sill' => $this->rain->strips->startSide($l->patch->facet),
            $this->facet === 'jamb-left' => Side::Left,
            $this->facet === 'jamb-right' => Side::Right,
            default => $this->rain->strips->startSide('sill'),
        };
    }

    /** Along that side, the place where this strip meets it: on the sill a jamb's strip is a depth. */
    private function along(Laid $l): float
    {
        return $this->u;
    }

    private function touchesSealed(Laid $c, Laid $b): bool
    {
        return $c->edge($this->rain->strips->endSide($this->facet), $this->u) === Edge::Sealed || $b->edge($this->touchingSide($b), $this->along($b)) === Edge::Sealed;
    }

    private function joinedOn(Laid $l, string $facet, int $strip, int $interval): ?Laid
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $facet && $this->rain->covers($other, $facet, $strip, $interval)) {
                return $other;
            }
        }

        return null;
    }

    /** Whether a patch beyond the fold goes on from one of this column rather than beginning. */
    private function joinedFromHere(Laid $p): bool
    {
        foreach ($p->joined as $other) {
            if ($other->patch->facet === $this->facet && isset($this->span[$other->order])) {
                return true;
            }
        }

        return false;
    }

    private function wetAlready(string $facet): bool
    {
        return $this->carrier === null && in_array($this->facet, $this->rain->layout->detail->tolerant, true) === in_array($facet, $this->rain->layout->detail->tolerant, true);
    }

    private function atHead(): bool
    {
        $opening = $this->rain->layout->detail->opening;

        return $opening !== null && $this->facet === 'face' && $this->s === -$opening->height && $this->rain->inHole($this->facet, $this->strip, $this->interval + 1);
    }

    /** Whether the carrier itself goes on over the hole. */
    private function carried(): bool
    {
        return $this->carrier !== null && ($this->span[$this->carrier->order][1] !== $this->break || $this->joinedBelow($this->carrier) !== null);
    }

    private function foldsIntoHead(Laid $l): bool
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === 'head') {
                return true;
            }
        }

        return false;
    }

    private function sealedTogether(?Laid $c, Laid $b): bool
    {
        return $c !== null && ($c->edge(Side::Bottom, $this->u) === Edge::Sealed || $b->edge(Side::Top, $this->u) === Edge::Sealed);
    }

    /** @return list<Laid> patches over this interval outboard of the carrier, nearest first */
    private function outboard(): array
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
    private function goesOn(Laid $l): bool
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
    private function joinedBelow(Laid $l): ?Laid
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $this->facet && ($this->span[$other->order][0] ?? -1) === $this->break) {
                return $other;
            }
        }

        return null;
    }

    private function joinedAbove(Laid $l): bool
    {
        foreach ($l->joined as $other) {
            if ($other->patch->facet === $this->facet && ($this->span[$other->order][1] ?? -1) === $this->break) {
                return true;
            }
        }

        return false;
    }

    /** The nearest patch inboard that goes on below: itself, or the one it is joined to there. */
    private function inboardGoingOn(Laid $c): ?Laid
    {
        $found = null;
        foreach ($this->column as $l) {
            if ($l->order < $c->order && ($this->span[$l->order][0] <= $this->interval && $this->span[$l->order][1] > $this->interval) && $this->goesOn($l)) {
                $found = $this->span[$l->order][1] === $this->break ? $this->joinedBelow($l) : $l;
            }
        }

        return $found;
    }

    private function nextInboardBelow(Laid $c): ?Laid
    {
        $found = null;
        foreach ($this->column as $l) {
            $found = $l->order < $c->order && ($this->span[$l->order][0] <= $this->break && $this->span[$l->order][1] > $this->break) ? $l : $found;
        }

        return $found;
    }

    /** A patch that begins just where the carrier ends, with nothing that goes on between the two. */
    private function buttedAt(Laid $c): ?Laid
    {
        $found = null;
        foreach ($this->column as $l) {
            if ($this->span[$l->order][0] === $this->break && $l !== $c && ! $this->joinedAbove($l) && ! $this->shielded($c, $l)) {
                $nearer = $found === null || abs($l->order - $c->order) < abs($found->order - $c->order);
                $found = $nearer ? $l : $found;
            }
        }

        return $found;
    }

    /** Whether a patch that goes on past here lies between the carrier and another. */
    private function shielded(?Laid $carrier, Laid $p): bool
    {
        [$low, $high] = $carrier === null ? [-1, $p->order] : [min($carrier->order, $p->order), max($carrier->order, $p->order)];
        foreach ($this->column as $l) {
            if ($l->order > $low && $l->order < $high && ($this->span[$l->order][0] <= $this->interval && $this->span[$l->order][1] > $this->interval) && $this->goesOn($l)) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\Edge;
use Apron\Detail\Laid;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\PieceKind;
use Apron\Detail\SillPitch;

/**
 * What water can do where an interval of a strip ends: the rules of the trace in their order. A drain edge, then the
 * ends of patches outboard, the end of the carrier, the beginnings outboard, a penetration, the end of the facet.
 */
final class Crossing extends Place
{
    /** @var list<array{Outcome, string, string}> what has happened at this crossing so far */
    private array $events = [];

    /** @var list<Way> */
    private array $ways = [];

    /** @return non-empty-list<Way> */
    public function ways(): array
    {
        $last = $this->interval + 2 === count($this->rain->strips->breaks[$this->facet][$this->strip]);
        if (! $this->heldBySill() && ! $this->drains()) {
            $last ? $this->foot() : $this->inPlane();
        }

        return $this->ways ?: throw new \LogicException('water that goes nowhere');
    }

    /** A sealed outer joint at the sill makes a bath of what lies behind it. */
    private function heldBySill(): bool
    {
        if ($this->facet !== 'sill' || $this->s !== -1.0 * ($this->rain->bath() ?? INF)) {
            return false;
        }
        $this->ways[] = new Way(0, [[Outcome::Trapped, 'trace.sill-sealed', 'unit']], []);

        return true;
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
                $this->ways[] = new Way(
                    0,
                    [...$this->events, [Outcome::Trapped, 'trace.behind-folded-head', $over->piece->id]],
                    [],
                );

                return false;
            }
            if ($this->foldsOut($over)) {
                // It goes out over the board with all that lies on it, and has no edge here; what is behind it stays at
                // the sheathing.
                break;
            }
            $side = $strips->endSide($this->facet);
            if ($over->edge($side, $this->u) !== Edge::Open && ! $this->rain->opensNear($over, $side, $this->u)) {
                $this->ways[] = new Way(
                    0,
                    [...$this->events, [Outcome::Trapped, 'trace.trapped', $over->piece->id]],
                    [],
                );

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
            $sealed =
                $c->edge($this->rain->strips->endSide($this->facet), $this->u) === Edge::Sealed ||
                $butt->edge($this->rain->strips->startSide($this->facet), $this->u) === Edge::Sealed;
            if ($sealed) {
                $this->begin(
                    $butt,
                    [...$this->events, [Outcome::ReliesOnSeal, 'trace.sealed-joint', $butt->piece->id]],
                    0,
                    [],
                );
                $this->drop($c, $butt, 1);

                return;
            }
        }
        $this->drop($c, $butt, 0);
    }

    /**
     * Onto the next patch inboard that goes on, or onto the substrate; a patch that was butted against lets the water
     * past.
     */
    private function drop(Laid $c, ?Laid $butt, int $cost): void
    {
        $inboard = $this->inboardGoingOn($c);
        if ($inboard !== null) {
            $this->begin($inboard, [...$this->events, [Outcome::Shed, 'trace.drops', $inboard->piece->id]], $cost, []);

            return;
        }
        $code = $butt === null ? 'trace.nothing-below' : 'trace.open-joint';
        $this->begin(
            null,
            [...$this->events, $this->rain->wetEvent($this->facet, $code, $c->piece->id)],
            $cost,
            $butt === null ? [] : [$butt],
        );
    }

    /**
     * Rule 3: patches that begin outboard of the carrier, nearest first. Each edge that holds has a way on which it
     * fails.
     *
     * @param  list<array{Outcome, string, string}>  $events
     * @param  list<Laid>  $past  patches whose joint the water went through: they hold nothing
     */
    private function begin(?Laid $carrier, array $events, int $cost, array $past): void
    {
        $failing = [];
        foreach ($this->column as $p) {
            if (
                $this->span[$p->order][0] !== $this->break ||
                $p->order <= ($carrier->order ?? -1) ||
                $this->joinedAbove($p) ||
                in_array($p, $past, true) ||
                $this->shielded($carrier, $p)
            ) {
                continue;
            }
            $edge = $p->edge($this->rain->strips->startSide($this->facet), $this->u);
            if ($edge === Edge::Open) {
                $events[] = [Outcome::Shed, 'trace.behind', $p->piece->id];
                break;
            }
            // If this edge lets go the water is behind the patch, on what it was on.
            $failing[] = [$carrier, [...$events, [Outcome::Shed, 'trace.edge-fails', $p->piece->id]], $cost + 1];
            $events[] =
                $edge === Edge::Adhered
                    ? [Outcome::ReliesOnBond, 'trace.bond', $p->piece->id]
                    : [Outcome::ReliesOnSeal, 'trace.seal', $p->piece->id];
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
            if (
                $pipe->facet !== $this->facet ||
                $top !== $this->s ||
                $pipe->rect->u0 >= $this->u ||
                $pipe->rect->u1 <= $this->u
            ) {
                continue;
            }
            while ($carrier !== null) {
                if (in_array($carrier->piece->id, $pipe->sealedTo, true)) {
                    $this->on(
                        $carrier,
                        [...$events, [Outcome::ReliesOnSeal, 'trace.round-pipe', $carrier->piece->id]],
                        $cost,
                    );
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
        $on = [$this->facet, $this->strip, $this->interval + 1, $carrier->order ?? -1];
        $this->ways[] = new Way(
            $cost,
            $events,
            $carrier !== null && $this->runsOffUnit($carrier) ? [$on, $this->cutBoard()] : [$on],
        );
    }

    /**
     * Whether water on the outside of what covers the hole comes to its foot there, where a board over the sheathing is
     * cut to the opening.
     */
    private function runsOffUnit(Laid $carrier): bool
    {
        // A loose sheet over the hole, as one hung up for the night, hangs outside of the board.
        if (
            $this->facet !== 'face' ||
            $this->s !== 0.0 ||
            ! $this->rain->boarded ||
            $carrier->piece->kind === PieceKind::Sheet ||
            ! $this->rain->inHole($this->facet, $this->strip, $this->interval)
        ) {
            return false;
        }
        foreach ($this->column as $over) {
            if (
                $over->order > $carrier->order &&
                $this->span[$over->order][0] <= $this->interval &&
                $this->span[$over->order][1] > $this->interval
            ) {
                return false;
            }
        }

        return true;
    }

    /** @return array{string, int, int, int} the inner end of the board's cut edge at the sill, below this place */
    private function cutBoard(): array
    {
        $sill = $this->rain->strips->at('reveal-sill', $this->u);
        $inner = $this->rain->strips->interval(
            'reveal-sill',
            $sill,
            -($this->rain->layout->detail->opening->outerBoard ?? 0.0),
        );

        return ['reveal-sill', $sill, $inner, $this->rain->outermost('reveal-sill', $sill, $inner)];
    }

    /** Rule 5 at the top of the opening, where nothing carries the water over the hole. */
    private function head(): void
    {
        $c = $this->carrier;
        if ($this->overFlashing()) {
            return;
        }
        $inboard = $c === null ? null : $this->inboardGoingOn($c);
        $butt = $c === null ? null : $this->buttedAt($c);
        if ($inboard !== null || ($butt !== null && $this->sealedTogether($c, $butt))) {
            $this->carrierEnds();

            return;
        }
        $covers = $this->rain->inHole($this->facet, $this->strip, $this->interval + 1)
            ? array_filter($this->outboard(), $this->goesOn(...))
            : [];
        if ($covers === [] && $butt === null) {
            $this->drip();

            return;
        }
        $events = $this->events;
        if ($c === null || ! $this->foldsIntoHead($c)) {
            $events[] = $this->rain->wetEvent($this->facet, 'trace.head-joint', $c->piece->id ?? $this->facet);
        }
        $this->ways[] = new Way(0, $events, $this->jambTops());
    }

    /** Off the arris of a head, past the opening, onto the outer end of the sill below it. */
    private function drip(): void
    {
        $facet = ($this->facet === 'reveal-head' ? 'reveal-' : OpeningGeometry::returnsOf($this->facet)).'sill';
        if ($facet === 'sill' && $this->rain->bath() === 0.0) {
            // A unit at the face that is sealed all along its foot: it falls past that.
            $this->ways[] = new Way(0, [...$this->events, [Outcome::Shed, 'trace.drips-to-sill', $facet]], []);

            return;
        }
        $sill = $this->rain->strips->at($facet, $this->u);
        $outer = $this->rain->strips->interval($facet, $sill, $this->rain->strips->runsIn($facet) ? 0.0 : -0.001);
        $this->ways[] = new Way(
            0,
            [...$this->events, [Outcome::Shed, 'trace.drips-to-sill', $facet]],
            [[$facet, $sill, $outer, $this->rain->outermost($facet, $sill, $outer)]],
        );
    }

    /**
     * At the head, behind thick insulation: out on a flashing that folds there, or from the board's face onto one that
     * comes out under it.
     */
    private function overFlashing(): bool
    {
        $opening = $this->rain->layout->detail->opening;
        if ($opening === null || $opening->outerBoard <= 0) {
            return false;
        }
        if ($this->facet === 'face') {
            $strip = $this->rain->strips->at('reveal-head', $this->u);
            $interval = $this->rain->strips->interval('reveal-head', $strip, -$opening->outerBoard);
            $out = $this->carrier === null ? null : $this->joinedOn($this->carrier, 'reveal-head', $strip, $interval);
            if ($out !== null) {
                $this->ways[] = new Way(0, $this->events, [['reveal-head', $strip, $interval, $out->order]]);
            }

            return $out !== null;
        }
        foreach ($this->column as $drip) {
            // A folded top is not a top edge: nothing can get behind it.
            if ($this->span[$drip->order][0] === $this->break && $this->foldsIntoHead($drip)) {
                $this->on($drip, $this->events, 0);

                return true;
            }
        }

        return false;
    }

    /** @return list<array{string, int, int, int}> the tops of both jamb joints, over the depth of the unit */
    private function jambTops(): array
    {
        $inner = $this->facet === 'face';
        $unit = $inner ? $this->rain->layout->detail->unit : null;
        $places = [];
        foreach ($inner ? ['jamb-left', 'jamb-right'] : ['reveal-jamb-left', 'reveal-jamb-right'] as $facet) {
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
        if (
            $this->facet === 'sill' &&
            ($this->rain->layout->detail->opening->sillPitch ?? SillPitch::Out) !== SillPitch::Out
        ) {
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
        if ($this->facet === 'reveal-head' && $over === null) {
            $this->drip();

            return;
        }
        if ($c !== null && $over === null) {
            $butt = null;
            foreach ($begins as $b) {
                $butt = $butt === null || $this->touchesSealed($c, $b) ? $b : $butt;
            }
            $sealed = $butt !== null && $this->touchesSealed($c, $butt);
            if ($sealed) {
                $this->land(
                    $facet,
                    $strip,
                    $interval,
                    $butt,
                    [...$this->events, [Outcome::ReliesOnSeal, 'trace.sealed-joint', $butt->piece->id]],
                    0,
                    $begins,
                );
            }
            $inboard = null;
            foreach ($this->column as $below) {
                $inboard =
                    $below->order < $c->order &&
                    ($this->span[$below->order][0] <= $this->interval &&
                        $this->span[$below->order][1] > $this->interval)
                        ? $this->joinedOn($below, $facet, $strip, $interval) ?? $inboard
                        : $inboard;
            }
            $events =
                $inboard === null
                    ? [
                        ...$this->events,
                        $this->rain->wetEvent(
                            $facet,
                            $butt === null ? 'trace.nothing-below' : 'trace.open-joint',
                            $c->piece->id,
                        ),
                    ]
                    : $this->events;
            // Through an open joint the water is behind whatever began there.
            $this->land(
                $facet,
                $strip,
                $interval,
                $inboard,
                $events,
                $sealed ? 1 : 0,
                $inboard === null ? [] : $begins,
            );

            return;
        }
        $events =
            $c === null && ! $this->wetAlready($facet)
                ? [...$this->events, $this->rain->wetEvent($facet, 'trace.on-bare', $facet)]
                : $this->events;
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
                $this->ways[] = new Way(
                    0,
                    [...$this->events, [Outcome::Trapped, 'trace.trapped', $over->piece->id]],
                    [],
                );

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
    private function land(
        string $facet,
        int $strip,
        int $interval,
        ?Laid $carrier,
        array $events,
        int $cost,
        array $begins,
    ): void {
        foreach ($begins as $p) {
            if (($carrier !== null && $p->order <= $carrier->order) || $this->joinedFromHere($p)) {
                continue;
            }
            $edge = $p->edge($this->touchingSide($p), $this->u);
            if ($edge === Edge::Open) {
                $events[] = [Outcome::Shed, 'trace.behind', $p->piece->id];
                break;
            }
            $this->ways[] = new Way(
                $cost + 1,
                [...$events, [Outcome::Shed, 'trace.edge-fails', $p->piece->id]],
                [[$facet, $strip, $interval, $carrier->order ?? -1]],
            );
            $events[] =
                $edge === Edge::Adhered
                    ? [Outcome::ReliesOnBond, 'trace.bond', $p->piece->id]
                    : [Outcome::ReliesOnSeal, 'trace.seal', $p->piece->id];
            $carrier = $p;
        }
        $way = new Way($cost, $events, [[$facet, $strip, $interval, $carrier->order ?? -1]]);
        $cost === 0 ? array_unshift($this->ways, $way) : ($this->ways[] = $way);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Budget\Deadline;
use Apron\Detail\Edge;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\PieceKind;
use Apron\Detail\Side;
use Apron\Detail\SillPitch;

/**
 * Where water goes on a detail, followed downhill strip by strip. A place is a facet, a strip of it, an interval of
 * that strip and the patch the water is on the outer side of, its carrier (−1: the bare substrate). Patches farther out
 * in the same column are outboard: the water is behind them. Nothing moves sideways: wind and wicking are outside the
 * model.
 */
final class Rain
{
    public readonly Strips $strips;

    /** whether a board lies over the face of an opening, so that water runs on it and falls on the edge it is cut to */
    public readonly bool $boarded;

    /** @var array<string, int> by facet: its number in the key of a place */
    private readonly array $number;

    /** @var array<int, list<Way>> by place */
    private array $ways = [];

    /** @var array<int, int> by place */
    private array $fates = [];

    /**
     * @var array<int, int> by place: the least number of edges that must fail before harm; PHP_INT_MAX where none does
     */
    private array $defence = [];

    /** @var array<int, true> places whose way is being followed just now */
    private array $passing = [];

    private int $entered = 0;

    private const LOOK_AT_THE_CLOCK = 256;

    public function __construct(public readonly Layout $layout, public readonly School $school = new School)
    {
        $this->strips = new Strips($layout);
        $boards = array_filter(
            $layout->facet('outer-face'),
            fn (Laid $l): bool => $l->piece->kind === PieceKind::Board,
        );
        $this->boarded = ($layout->detail->opening->outerBoard ?? 0.0) > 0 && $boards !== [];
        $this->number = array_flip(array_map(strval(...), array_keys($layout->detail->facets)));
    }

    /** Lets go of what it has followed so far, which is most of what it holds; asked, it follows again. */
    public function forget(): void
    {
        $this->ways = $this->fates = $this->defence = [];
    }

    /** The path of its detail in the project. */
    public function subject(): string
    {
        return 'details/'.$this->layout->detail->id;
    }

    /**
     * A place as one number, for places are looked up over and over: facet, strip and interval (19 bits each), carrier
     * (18), far more than a file's patches can make.
     *
     * @param  array{string, int, int, int}  $place
     */
    private function key(array $place): int
    {
        return ((((($this->number[$place[0]] << 19) | $place[1]) << 19) | $place[2]) << 18) | ($place[3] + 1);
    }

    /**
     * Where a sealed outer joint at the sill keeps in what the unit leaks, mm in from the face; null where it drains.
     * In the school that seals the joint on all four sides, with a tighter seal inside, that is its way, and the check
     * of the sill names the condition.
     */
    public function bath(): ?float
    {
        $unit = $this->layout->detail->unit;
        $onPurpose =
            $this->school->weatherSealed &&
            count($unit->joints ?? []) === 4 &&
            array_filter($unit->joints ?? [], fn ($j): bool => $j->outer !== Edge::Sealed || ! $j->inner) === [];

        return $onPurpose || ! isset($this->strips->of['sill']) ? null : $this->strips->sealedSill('sill');
    }

    /** The outermost patch over an interval of a strip, as its order; −1 where it is bare. */
    public function outermost(string $facet, int $strip, int $interval): int
    {
        $found = -1;
        foreach ($this->strips->span[$facet][$strip] as $order => [$first, $last]) {
            if ($first <= $interval && $last > $interval) {
                $found = max($found, $order);
            }
        }

        return $found;
    }

    public function covers(Laid $laid, string $facet, int $strip, int $interval): bool
    {
        $span = $this->strips->span[$facet][$strip][$laid->order] ?? null;

        return $span !== null && $span[0] <= $interval && $span[1] > $interval;
    }

    /** Whether an interval of the face lies in the hole of the opening, where there is no substrate. */
    public function inHole(string $facet, int $strip, int $interval): bool
    {
        $opening = $this->layout->detail->opening;
        if ($opening === null || OpeningGeometry::returnsOf($facet) === null) {
            return false;
        }
        [$u0, $u1] = $this->strips->of[$facet][$strip];
        $breaks = $this->strips->breaks[$facet][$strip];

        return $u0 >= 0 &&
            $u1 <= $opening->width &&
            $breaks[$interval] >= -$opening->height &&
            $breaks[$interval + 1] <= 0;
    }

    /**
     * Downhill to the interval at whose end something happens to water on this carrier: what begins or ends inboard of
     * it does not.
     *
     * @param  array{string, int, int, int}  $place
     * @return array{string, int, int, int}
     */
    public function onward(array $place): array
    {
        [$facet, $strip, $interval, $carrier] = $place;
        $next = PHP_INT_MAX;
        foreach ($this->strips->always[$facet][$strip] as $break) {
            if ($break > $interval && $break < $next) {
                $next = $break;
            }
        }
        foreach ($this->strips->span[$facet][$strip] as $order => [$first, $last]) {
            if ($order >= $carrier) {
                if ($first > $interval && $first < $next && $order > $carrier) {
                    $next = $first;
                }
                if ($last > $interval && $last < $next && ($first <= $interval || $order > $carrier)) {
                    $next = $last;
                }
            }
        }

        return [$facet, $strip, $next - 1, $carrier];
    }

    /**
     * All that happens from a place on, as one bit for each outcome: shared by every release that comes by.
     *
     * @param  array{string, int, int, int}  $place
     */
    public function fate(array $place): int
    {
        $place = $this->onward($place);
        $key = $this->key($place);
        if (isset($this->fates[$key])) {
            return $this->fates[$key];
        }
        $this->enter($key, $place[0]);
        $way = $this->ways($place)[0];
        $fate = 0;
        foreach ($way->events as [$outcome]) {
            $fate |= 1 << $outcome->rank();
        }
        $beyond = 0;
        foreach ($way->to as $next) {
            // Where it parts the worse branch counts: the one with the higher bit.
            $beyond = max(
                $beyond,
                $this->fate($next) |
                    ($this->wetsOnLanding($place, $way, $next) ? 1 << $this->wet($next[0])->rank() : 0),
            );
        }

        unset($this->passing[$key]);

        return $this->fates[$key] = $fate | $beyond;
    }

    /**
     * What comes of water released at a place, with the way it takes.
     *
     * @param  array{string, int, int, int}  $place
     */
    public function follow(array $place): Run
    {
        $lines = $this->defence($place);
        $run = new Run($lines === PHP_INT_MAX ? null : $lines);
        $run->route[] = [$place[0], $this->middle($place), $this->top($place)];

        if ($place[3] === -1) {
            $run->add($this->wet($place[0]), 'trace.on-bare', $place[0], $this->elevation($place));
        }

        return $this->walk($place, $run);
    }

    /** @param  array{string, int, int, int}  $place */
    private function middle(array $place): float
    {
        [$u0, $u1] = $this->strips->of[$place[0]][$place[1]];

        return ($u0 + $u1) / 2;
    }

    /**
     * Height, or depth on a sill, where an interval begins.
     *
     * @param  array{string, int, int, int}  $place
     */
    private function top(array $place): float
    {
        $s = $this->strips->breaks[$place[0]][$place[1]][$place[2]];

        return $this->strips->runsIn($place[0]) ? $s : -$s;
    }

    /** @param  array{string, int, int, int}  $place */
    public function defence(array $place): int
    {
        $place = $this->onward($place);
        $key = $this->key($place);
        if (isset($this->defence[$key])) {
            return $this->defence[$key];
        }
        if ($place[3] === -1 && $this->wet($place[0])->harms()) {
            return $this->defence[$key] = 0;
        }
        $this->enter($key, $place[0]);
        $least = PHP_INT_MAX;
        foreach ($this->ways($place) as $way) {
            if ($way->harms()) {
                $least = min($least, $way->cost);

                continue;
            }
            foreach ($way->to as $next) {
                $beyond = $this->defence($next);
                $least = $beyond === PHP_INT_MAX ? $least : min($least, $way->cost + $beyond);
            }
        }

        unset($this->passing[$key]);

        return $this->defence[$key] = $least;
    }

    /**
     * Water that comes by a place twice goes round for ever.
     *
     * @throws RunsInARing
     */
    private function enter(int $key, string $facet): void
    {
        if (isset($this->passing[$key])) {
            throw new RunsInARing($facet);
        }
        $this->passing[$key] = true;
        if (++$this->entered % self::LOOK_AT_THE_CLOCK === 0) {
            Deadline::check();
        }
    }

    /** @param  array{string, int, int, int}  $place */
    private function walk(array $place, Run $run): Run
    {
        while (true) {
            $place = $this->onward($place);
            $way = $this->ways($place)[0];
            $run->route[] = [$place[0], $this->middle($place), $this->elevation($place)];
            foreach ($way->events as [$outcome, $code, $at]) {
                $run->add($outcome, $code, $at, $this->elevation($place));
            }
            if ($way->to === []) {
                return $run;
            }
            if (count($way->to) > 1) {
                // It parts: the worse branch is the one that is told.
                $branches = array_map(
                    fn (array $to): Run => $this->walk($to, $this->landed($place, $way, $to, clone $run)),
                    $way->to,
                );
                usort($branches, fn (Run $a, Run $b): int => $b->outcome->rank() <=> $a->outcome->rank());

                return $branches[0];
            }
            $this->landed($place, $way, $way->to[0], $run);
            $place = $way->to[0];
        }
    }

    /**
     * Water that drips off an arris, or comes down in a joint, may fall on a place where nothing lies: that is wet as
     * well.
     *
     * @param  array{string, int, int, int}  $place
     * @param  array{string, int, int, int}  $next
     */
    private function wetsOnLanding(array $place, Way $way, array $next): bool
    {
        $told =
            array_filter(
                $way->events,
                fn (array $event): bool => $event[0] === Outcome::Wets || $event[0] === Outcome::WetsTolerant,
            ) !== [];

        return $next[3] === -1 && ! $told && ($place[3] !== -1 || $this->wet($place[0]) !== $this->wet($next[0]));
    }

    /**
     * @param  array{string, int, int, int}  $place
     * @param  array{string, int, int, int}  $next
     */
    private function landed(array $place, Way $way, array $next, Run $run): Run
    {
        if ($this->wetsOnLanding($place, $way, $next)) {
            $run->route[] = [$next[0], $this->middle($next), $this->top($next)];
            $run->add($this->wet($next[0]), 'trace.on-bare', $next[0], $this->elevation($next));
        }

        return $run;
    }

    /**
     * Height, or depth on a sill, at the lower end of an interval: where what happens there happens.
     *
     * @param  array{string, int, int, int}  $place
     */
    private function elevation(array $place): float
    {
        $s = $this->strips->breaks[$place[0]][$place[1]][$place[2] + 1];

        return $this->strips->runsIn($place[0]) ? $s : -$s;
    }

    public function wet(string $facet): Outcome
    {
        return in_array($facet, $this->layout->detail->tolerant, true) ? Outcome::WetsTolerant : Outcome::Wets;
    }

    /**
     * The ways from one place over the end of its interval; the first is what happens when every edge holds.
     *
     * @param  array{string, int, int, int}  $place
     * @return list<Way>
     */
    private function ways(array $place): array
    {
        return $this->ways[$this->key($place)] ??= (new Crossing($this, $place))->ways();
    }

    public function laid(string $facet, int $order): ?Laid
    {
        return $order < 0 ? null : $this->layout->facet($facet)[$order];
    }

    /** @return array{Outcome, string, string} */
    public function wetEvent(string $facet, string $code, string $at): array
    {
        return [$this->wet($facet), $code, $at];
    }

    /**
     * Whether the water on a sill is held back from the room: by a dam as high as the wind lifts it, and the fall where
     * it is pitched in.
     */
    public function damHolds(): bool
    {
        $opening = $this->layout->detail->opening;

        return $opening !== null &&
            $opening->backDam >=
                $opening->headOfWater + ($opening->sillPitch === SillPitch::In ? $opening->sillFall : 0.0);
    }

    /** Whether a bonded or sealed end of a patch has an open stretch near enough to a strip. */
    public function opensNear(Laid $laid, Side $side, float $u): bool
    {
        foreach ($laid->runs($side) as $run) {
            // Strips are cut at the reach of what is open: one lies within it or without.
            if (
                $run['edge'] === Edge::Open &&
                $u > $run['from'] - Strips::REACH_MM &&
                $u < $run['to'] + Strips::REACH_MM
            ) {
                return true;
            }
        }

        return false;
    }
}

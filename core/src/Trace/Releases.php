<?php

declare(strict_types=1);

namespace Apron\Trace;

/** Where water is let go on a detail: behind the cladding, at the unit, at penetrations and at fasteners that leak. */
final class Releases
{
    /** @var array<string, StripResult> */
    private array $results = [];

    /** @var array<string, true> */
    private array $met = [];

    private function __construct(private readonly Rain $rain, private readonly bool $everywhere)
    {
    }

    /**
     * @param  bool  $everywhere  behind the cladding in every interval too, not at the top alone
     * @return list<StripResult>
     */
    public static function of(Rain $rain, bool $everywhere = true): array
    {
        $releases = new self($rain, $everywhere);
        $detail = $rain->layout->detail;
        $face = $detail->release ?? ($detail->opening !== null ? 'face' : (string) array_key_first($detail->facets));
        $releases->behindCladding($face);
        $releases->onBoard();
        $releases->atUnit();
        $releases->atPenetrations();
        $releases->atFasteners();

        return array_values($releases->results);
    }

    private function behindCladding(string $facet): void
    {
        foreach (array_keys($this->rain->strips->of[$facet]) as $strip) {
            $this->release('top', [$facet, $strip, 0, $this->rain->outermost($facet, $strip, 0)]);
            if ($this->everywhere) {
                $this->everyInterval('face', $facet, $strip);
            }
        }
    }

    /**
     * Once a board lies over the sheathing, some water runs on its outer face and falls on the edge it is cut to at the
     * sill.
     */
    private function onBoard(): void
    {
        if (! $this->rain->boarded) {
            return;
        }
        $this->behindCladding('outer-face');
        foreach ($this->everywhere ? array_keys($this->rain->strips->of['reveal-sill']) : [] as $strip) {
            $this->everyInterval('face', 'reveal-sill', $strip);
        }
    }

    /** In each interval along both jamb joints, and across the depth of the sill joint. */
    private function atUnit(): void
    {
        $unit = $this->rain->layout->detail->unit;
        if ($unit === null || $this->rain->layout->detail->opening === null) {
            return;
        }
        foreach (['jamb-left', 'jamb-right'] as $facet) {
            foreach ($this->rain->strips->of[$facet] as $strip => [$z0, $z1]) {
                if ($z0 >= $unit->outerZ && $z1 <= $unit->innerZ) {
                    $this->everyInterval('unit', $facet, $strip);
                }
            }
        }
        foreach ($this->rain->strips->of['sill'] as $strip => $ignored) {
            $breaks = $this->rain->strips->breaks['sill'][$strip];
            for ($i = 0; $i < count($breaks) - 1; $i++) {
                $depths = [abs($breaks[$i]), abs($breaks[$i + 1])];
                if (max($depths) > $unit->outerZ && min($depths) < $unit->innerZ) {
                    $this->release('unit', ['sill', $strip, $i, $this->rain->outermost('sill', $strip, $i)]);
                }
            }
        }
    }

    private function atPenetrations(): void
    {
        foreach ($this->rain->layout->detail->penetrations as $pipe) {
            foreach ($this->rain->strips->of[$pipe->facet] as $strip => [$u0, $u1]) {
                if ($u0 < $pipe->rect->u0 || $u1 > $pipe->rect->u1) {
                    continue;
                }
                $top = $this->rain->strips->runsIn($pipe->facet) ? $pipe->rect->v0 : -$pipe->rect->v1;
                // Just above it, so that the pipe is the first thing it meets.
                $interval = max(0, $this->rain->strips->interval($pipe->facet, $strip, $top) - 1);
                $this->release(
                    'penetration',
                    [$pipe->facet, $strip, $interval, $this->rain->outermost($pipe->facet, $strip, $interval)],
                    $pipe->id,
                );
            }
        }
    }

    private function atFasteners(): void
    {
        foreach ($this->rain->layout->detail->fasteners as $fastener) {
            if (array_diff($fastener->through, $fastener->madeFor) === []) {
                continue;
            }
            $strip = $this->rain->strips->at($fastener->facet, $fastener->u);
            $interval = $this->rain->strips->interval(
                $fastener->facet,
                $strip,
                $this->rain->strips->runsIn($fastener->facet) ? $fastener->v : -$fastener->v,
            );
            // Along the shank, through each piece it was not made for, to the first it does not leak into.
            $on = -1;
            $leaks = false;
            foreach (array_reverse($this->rain->strips->column[$fastener->facet][$strip]) as $laid) {
                if (! $this->rain->covers($laid, $fastener->facet, $strip, $interval)) {
                    continue;
                }
                if (
                    ! in_array($laid->piece->id, $fastener->through, true) ||
                    in_array($laid->piece->id, $fastener->madeFor, true)
                ) {
                    $on = $laid->order;
                    break;
                }
                $leaks = true;
            }
            if ($leaks) {
                $this->release('fastener', [$fastener->facet, $strip, $interval, $on], $fastener->id);
            }
        }
    }

    private function everyInterval(string $source, string $facet, int $strip): void
    {
        for ($i = 0, $n = count($this->rain->strips->breaks[$facet][$strip]) - 1; $i < $n; $i++) {
            $outermost = $this->rain->outermost($facet, $strip, $i);
            if ($outermost >= 0 || ! $this->rain->inHole($facet, $strip, $i)) {
                $this->release($source, [$facet, $strip, $i, $outermost]);
            }
        }
    }

    /** @param  array{string, int, int, int}  $place */
    private function release(string $source, array $place, string $at = ''): void
    {
        // Water let go anywhere above the same happening on the same carrier fares the same.
        $met =
            $source.
            '|'.
            $at.
            '|'.
            implode('|', $this->rain->onward($place)).
            ($place[3] < 0 ? '|'.$place[2] : '');
        if (isset($this->met[$met])) {
            return;
        }
        $this->met[$met] = true;
        [$u0, $u1] = $this->rain->strips->of[$place[0]][$place[1]];
        $this->results["$source|$place[0]|$place[1]|$at"] ??= new StripResult(
            $this->rain,
            $source,
            $place[0],
            $u0,
            $u1,
        );
        $this->results["$source|$place[0]|$place[1]|$at"]->add($place);
    }
}

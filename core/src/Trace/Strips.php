<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\Edge;
use Apron\Detail\Facet;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\Side;
use Apron\Detail\SillPitch;

/**
 * The facets of a detail cut into strips within which nothing changes across u, and each strip into intervals within
 * which nothing begins or ends along v. `s` runs downhill: −v, or v on a sill that is pitched in.
 */
final class Strips
{
    /**
     * Behind a bonded edge water still finds an open stretch of the same edge that is no farther off, mm (common
     * practice).
     */
    public const REACH_MM = 300.0;

    /** @var array<string, list<array{float, float}>> by facet, strips as [u0, u1] */
    public array $of = [];

    /** @var array<string, list<list<Laid>>> by facet and strip, innermost first */
    public array $column = [];

    /**
     * @var array<string, list<array<int, array{int, int}>>> by facet, strip and order: the first and the last break of
     *   each patch of the column
     */
    public array $span = [];

    /**
     * @var array<string, list<list<int>>> by facet and strip, the breaks at which something happens whatever the water
     *   is on: a pipe, the edges of the hole, the foot
     */
    public array $always = [];

    /**
     * @var array<string, list<list<float>>> by facet and strip, the rising values of s at which something begins or
     *   ends
     */
    public array $breaks = [];

    public function __construct(public readonly Layout $layout)
    {
        $detail = $layout->detail;
        $shared = array_filter(
            array_keys($detail->facets),
            fn (int|string $name): bool => $detail->opening === null || ! str_contains((string) $name, 'jamb-'),
        );
        $common = $this->cuts(array_values(array_map(strval(...), $shared)));
        foreach ($detail->facets as $name => $facet) {
            $name = (string) $name;
            $cuts = in_array($name, $shared, true) ? $common : $this->jambCuts($name);
            $this->of[$name] = self::between($cuts, $facet->extent->u0, $facet->extent->u1);
            foreach ($this->of[$name] as $k => [$u0, $u1]) {
                $middle = ($u0 + $u1) / 2;
                $column = array_values(
                    array_filter(
                        $layout->facet($name),
                        fn (Laid $l): bool => $l->rect()->u0 < $middle && $l->rect()->u1 > $middle,
                    ),
                );
                $this->column[$name][$k] = $column;
                $breaks = $this->breaksOf($facet, $column, $middle);
                $this->breaks[$name][$k] = $breaks;
                $this->always[$name][$k] = $this->alwaysAt($name, $breaks, $middle);
                $this->span[$name][$k] = [];
                foreach ($column as $laid) {
                    $this->span[$name][$k][$laid->order] = [
                        (int) array_search($this->start($laid), $breaks, true),
                        (int) array_search($this->end($laid), $breaks, true),
                    ];
                }
            }
        }
    }

    /** Whether water on this facet runs towards larger v. */
    public function runsIn(string $facet): bool
    {
        return $facet === 'sill' && $this->layout->detail->opening?->sillPitch === SillPitch::In;
    }

    /** How far in from the face the outer joint of the unit closes the sill, where it is sealed and water runs out. */
    public function sealedSill(string $facet): ?float
    {
        $unit = $facet === 'sill' ? $this->layout->detail->unit : null;

        return $unit !== null && ! $this->runsIn($facet) && ($unit->joints['sill']->outer ?? null) === Edge::Sealed
            ? $unit->outerZ
            : null;
    }

    /** Where a patch begins, downhill. */
    public function start(Laid $laid): float
    {
        return $this->runsIn($laid->patch->facet) ? $laid->rect()->v0 : -$laid->rect()->v1;
    }

    /** Where a patch ends, downhill. */
    public function end(Laid $laid): float
    {
        return $this->runsIn($laid->patch->facet) ? $laid->rect()->v1 : -$laid->rect()->v0;
    }

    public function startSide(string $facet): Side
    {
        return $this->runsIn($facet) ? Side::Bottom : Side::Top;
    }

    public function endSide(string $facet): Side
    {
        return $this->runsIn($facet) ? Side::Top : Side::Bottom;
    }

    /** The strip of a facet that a place lies in; on a cut the one to the right, at the end the last. */
    public function at(string $facet, float $u): int
    {
        foreach ($this->of[$facet] as $k => [$u0, $u1]) {
            if ($u >= $u0 && $u < $u1) {
                return $k;
            }
        }

        return count($this->of[$facet]) - 1;
    }

    /** The interval of a strip that begins at or holds a place downhill. */
    public function interval(string $facet, int $strip, float $s): int
    {
        $breaks = $this->breaks[$facet][$strip];
        $at = 0;
        foreach ($breaks as $i => $break) {
            if ($break <= $s && $i < count($breaks) - 1) {
                $at = $i;
            }
        }

        return $at;
    }

    /**
     * @param  list<string>  $facets
     * @return list<float>
     */
    private function cuts(array $facets): array
    {
        $detail = $this->layout->detail;
        $cuts = $detail->opening === null ? [] : [0.0, $detail->opening->width];
        foreach ($facets as $facet) {
            $cuts = [...$cuts, $detail->facets[$facet]->extent->u0, $detail->facets[$facet]->extent->u1];
            foreach ($this->layout->facet($facet) as $laid) {
                $cuts = [...$cuts, ...$this->cutsOf($laid)];
            }
        }
        foreach ($detail->penetrations as $penetration) {
            if (in_array($penetration->facet, $facets, true)) {
                array_push($cuts, $penetration->rect->u0, $penetration->rect->u1);
            }
        }

        return $cuts;
    }

    /** @return list<float> */
    private function jambCuts(string $facet): array
    {
        $cuts = $this->cuts([$facet]);
        $reveal = str_starts_with($facet, 'reveal-');
        foreach ($this->layout->facet($reveal ? 'reveal-sill' : 'sill') as $laid) {
            array_push($cuts, $laid->rect()->v0, $laid->rect()->v1);
        }
        $unit = $this->layout->detail->unit;

        return $unit === null || $reveal ? $cuts : [...$cuts, $unit->outerZ, $unit->innerZ];
    }

    /**
     * @return list<float> its sides, and where its top and bottom begin to hold in another way, with the reach of what
     *   is open
     */
    private function cutsOf(Laid $laid): array
    {
        $cuts = [$laid->rect()->u0, $laid->rect()->u1];
        foreach ([Side::Top, Side::Bottom] as $side) {
            $runs = $laid->runs($side);
            foreach (count($runs) > 1 ? $runs : [] as $run) {
                array_push($cuts, $run['from'], $run['to']);
                if ($run['edge'] === Edge::Open) {
                    array_push($cuts, $run['from'] - self::REACH_MM, $run['to'] + self::REACH_MM);
                }
            }
        }

        return $cuts;
    }

    /**
     * @param  list<float>  $cuts
     * @return list<array{float, float}>
     */
    private static function between(array $cuts, float $from, float $to): array
    {
        $cuts = array_values(
            array_unique(
                array_filter([...$cuts, $from, $to], fn (float $c): bool => $c >= $from && $c <= $to),
                SORT_REGULAR,
            ),
        );
        sort($cuts);
        $strips = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            $strips[] = [$cuts[$i - 1], $cuts[$i]];
        }

        return $strips;
    }

    /**
     * @param  list<Laid>  $column
     * @return list<float>
     */
    private function breaksOf(Facet $facet, array $column, float $u): array
    {
        $detail = $this->layout->detail;
        $extent = $facet->extent;
        [$first, $last] = $this->runsIn($facet->name) ? [$extent->v0, $extent->v1] : [-$extent->v1, -$extent->v0];
        $breaks = [$first, $last];
        foreach ($column as $laid) {
            array_push($breaks, $this->start($laid), $this->end($laid));
        }
        if ($detail->opening !== null && OpeningGeometry::returnsOf($facet->name) !== null) {
            array_push($breaks, -$detail->opening->height, 0.0);
        }
        foreach ($detail->folds as $fold) {
            if ($fold->to === $facet->name) {
                $breaks[] = -$fold->atV;
            }
        }
        foreach ($detail->penetrations as $penetration) {
            if ($penetration->facet === $facet->name && $penetration->rect->u0 < $u && $penetration->rect->u1 > $u) {
                $breaks[] = $this->runsIn($facet->name) ? $penetration->rect->v0 : -$penetration->rect->v1;
            }
        }
        $sealed = $this->sealedSill($facet->name);
        if ($sealed !== null) {
            $breaks[] = -$sealed;
        }
        $breaks = array_values(
            array_unique(array_filter($breaks, fn (float $s): bool => $s >= $first && $s <= $last), SORT_REGULAR),
        );
        sort($breaks);

        return $breaks;
    }

    /**
     * @param  list<float>  $breaks
     * @return list<int>
     */
    private function alwaysAt(string $facet, array $breaks, float $u): array
    {
        $detail = $this->layout->detail;
        $places =
            $detail->opening !== null && OpeningGeometry::returnsOf($facet) !== null
                ? [-$detail->opening->height, 0.0]
                : [];
        $sealed = $this->sealedSill($facet);
        if ($sealed !== null) {
            $places[] = -$sealed;
        }
        foreach ($detail->penetrations as $pipe) {
            if ($pipe->facet === $facet && $pipe->rect->u0 < $u && $pipe->rect->u1 > $u) {
                $places[] = $this->runsIn($facet) ? $pipe->rect->v0 : -$pipe->rect->v1;
            }
        }
        $always = array_filter(
            array_keys($breaks),
            fn (int $i): bool => $i === count($breaks) - 1 || in_array($breaks[$i], $places, true),
        );

        return array_values($always);
    }
}

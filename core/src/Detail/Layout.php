<?php

declare(strict_types=1);

namespace Apron\Detail;

/**
 * The patches of a detail in the order they lie on each facet, innermost first, and which of them are joined without a
 * cut.
 */
final class Layout
{
    /** @var array<string, list<Laid>> by facet */
    public array $on = [];

    /** @var array<string, list<Laid>> by piece */
    public array $of = [];

    /** @var list<Overlap>|null */
    private ?array $overlaps = null;

    /**
     * @throws CannotLay where patches overlap in one step, tucks go round in a circle or have no open edge to go under,
     *   or a weave is asked for
     */
    public function __construct(public readonly Detail $detail)
    {
        $byFacet = [];
        foreach ($detail->pieces as $piece) {
            foreach ($piece->patches as $patch) {
                $byFacet[$patch->facet][] = [$piece, $patch];
            }
        }
        foreach ($byFacet as $facet => $rows) {
            $this->demandSteps($rows);
            foreach ($this->ordered($rows) as $order => [$piece, $patch]) {
                $laid = new Laid($piece, $patch, $order);
                $this->on[$facet][] = $laid;
                $this->of[$piece->id][] = $laid;
            }
        }
        foreach ($this->of as $patches) {
            foreach ($patches as $i => $a) {
                foreach (array_slice($patches, $i + 1) as $b) {
                    if (array_intersect($a->patch->joined, $b->patch->joined) !== [] && $this->meet($a, $b)) {
                        $a->joined[] = $b;
                        $b->joined[] = $a;
                    }
                }
            }
        }
        $this->refuseWeaves();
    }

    /** @return list<Laid> */
    public function facet(string $facet): array
    {
        return $this->on[$facet] ?? [];
    }

    /** @return list<Laid> */
    public function all(): array
    {
        return array_merge(...array_values($this->on));
    }

    /** @return list<Overlap> where patches of different pieces lie over each other, facet by facet */
    public function overlaps(): array
    {
        if ($this->overlaps === null) {
            $this->overlaps = [];
            foreach ($this->on as $facet => $patches) {
                array_push($this->overlaps, ...Overlap::among((string) $facet, $patches));
            }
        }

        return $this->overlaps;
    }

    /**
     * The end of a patch, u0, v0, u1 or v1, at which it goes over an arris into another of its piece; null where the
     * two do not meet at one.
     */
    public function endInto(Laid $from, Laid $to): ?string
    {
        [$facet, $other] = [$from->patch->facet, $to->patch->facet];
        if ($this->detail->opening !== null) {
            return $this->detail->opening->reaches($facet, $from->rect(), $other);
        }
        foreach ($this->detail->folds as $fold) {
            if ($this->overFold($fold, $from, $to)) {
                return 'v0';
            }
            if ($this->overFold($fold, $to, $from)) {
                return 'v1';
            }
        }

        return null;
    }

    /** @param  list<array{Piece, Patch}>  $rows */
    private function demandSteps(array $rows): void
    {
        foreach ($rows as $i => [$piece, $patch]) {
            foreach (array_slice($rows, $i + 1) as [$other, $second]) {
                if ($patch->step === $second->step && $patch->rect->overlap($second->rect) !== null) {
                    throw new CannotLay(
                        $second->id,
                        "comes to rest in step $second->step on $patch->id, which does too",
                        'overlapping patches in different steps',
                    );
                }
            }
        }
    }

    /**
     * By step; then each tucked patch is taken out and put directly under the innermost patch of the piece it is tucked
     * under, several in the order of their steps.
     *
     * @param  list<array{Piece, Patch}>  $rows
     * @return list<array{Piece, Patch}>
     */
    private function ordered(array $rows): array
    {
        $keys = array_keys($rows);
        usort($keys, fn (int $a, int $b): int => [$rows[$a][1]->step, $a] <=> [$rows[$b][1]->step, $b]);
        $sequence = array_map(fn (int $key): array => $rows[$key], $keys);
        $under = self::under(...);
        $tucked = array_values(array_filter($sequence, fn (array $row): bool => $under($row) !== null));
        $this->refuseCircles($tucked, $under);
        $sequence = array_values(array_filter($sequence, fn (array $row): bool => $under($row) === null));
        // A piece may be tucked under one that is itself tucked: as often as there are such, until none is left to
        // place.
        while ($tucked !== []) {
            $left = [];
            foreach ($tucked as $row) {
                $at = null;
                foreach ($sequence as $i => $other) {
                    if ($at === null && $other[0]->id === $under($row)) {
                        $at = $i;
                    }
                }
                if ($at === null) {
                    $left[] = $row;

                    continue;
                }
                $this->demandOpenEdge($row, $sequence[$at]);
                array_splice($sequence, $at, 0, [$row]);
            }
            if (count($left) === count($tucked)) {
                // The piece it is tucked under has no patch on this facet: here it lies by its step.
                foreach ($left as $row) {
                    $at = 0;
                    while ($at < count($sequence) && $sequence[$at][1]->step <= $row[1]->step) {
                        $at++;
                    }
                    array_splice($sequence, $at, 0, [$row]);
                }
                $left = [];
            }
            $tucked = $left;
        }

        return $sequence;
    }

    /** @param  array{Piece, Patch}  $row */
    private static function under(array $row): ?string
    {
        return $row[1]->under ?? $row[0]->under;
    }

    /**
     * @param  list<array{Piece, Patch}>  $tucked
     * @param  \Closure(array{Piece, Patch}): ?string  $under
     */
    private function refuseCircles(array $tucked, \Closure $under): void
    {
        $next = [];
        foreach ($tucked as $row) {
            $next[$row[0]->id] = (string) $under($row);
        }
        foreach ($tucked as [$piece, $patch]) {
            $at = $piece->id;
            for ($k = 0; isset($next[$at]); $k++) {
                if ($k > count($next)) {
                    throw new CannotLay(
                        $patch->id,
                        'is tucked under a piece that is tucked under it',
                        'tucks that do not go round in a circle',
                    );
                }
                $at = $next[$at];
            }
        }
    }

    /**
     * @param  array{Piece, Patch}  $row
     * @param  array{Piece, Patch}  $over
     */
    private function demandOpenEdge(array $row, array $over): void
    {
        if ($row[1]->step <= $over[1]->step || $row[1]->rect->overlap($over[1]->rect) === null) {
            return;
        }
        $laid = new Laid($over[0], $over[1], 0);
        foreach (Side::cases() as $side) {
            foreach ($laid->runs($side) as $run) {
                if ($run['edge'] === Edge::Open) {
                    return;
                }
            }
        }
        throw new CannotLay(
            $row[1]->id,
            "is tucked under {$over[0]->id}, all of whose edges are bonded or sealed",
            'an open edge to be tucked under',
        );
    }

    /**
     * Where two joined patches both overlap another that is not cut between them, one over it and one under it cannot
     * be built.
     */
    private function refuseWeaves(): void
    {
        foreach ($this->on as $patches) {
            foreach ($patches as $a) {
                foreach ($a->joined === [] ? [] : $patches as $x) {
                    if ($x->piece !== $a->piece && $x->rect()->overlap($a->rect()) !== null) {
                        $this->refuseWeave($a, $x);
                    }
                }
            }
        }
    }

    /** Where a patch goes on as another, and what lies over or under it goes on on the other side of that. */
    private function refuseWeave(Laid $a, Laid $x): void
    {
        foreach ($a->joined as $b) {
            // Through a cut between two patches of one piece another may well pass: over the sheet beside a head,
            // under its flap.
            foreach ([$x, ...$x->joined] as $y) {
                if (
                    $y->patch->facet === $b->patch->facet &&
                    $x->order < $a->order !== $y->order < $b->order &&
                    $y->rect()->overlap($b->rect()) !== null
                ) {
                    throw new CannotLay(
                        $b->patch->id,
                        "is joined to {$a->patch->id}, and {$x->piece->id} lies between them: over the one and under the other",
                        'the same order on both; a weave cannot be built',
                    );
                }
            }
        }
    }

    /** Whether two patches of a piece meet edge to edge, in one plane or over a fold. */
    private function meet(Laid $a, Laid $b): bool
    {
        [$fa, $fb] = [$a->patch->facet, $b->patch->facet];
        if ($fa === $fb) {
            return self::touch($a->rect(), $b->rect());
        }
        [$from, $to] = [$this->endInto($a, $b), $this->endInto($b, $a)];

        return $from !== null &&
            $to !== null &&
            self::common(...self::along($a->rect(), $from), ...self::along($b->rect(), $to));
    }

    private function overFold(Fold $fold, Laid $from, Laid $to): bool
    {
        return $from->patch->facet === $fold->from &&
            $to->patch->facet === $fold->to &&
            $from->rect()->v0 === $this->detail->facets[$fold->from]->extent->v0 &&
            $to->rect()->v1 === $fold->atV &&
            self::common($from->rect()->u0, $from->rect()->u1, $to->rect()->u0, $to->rect()->u1);
    }

    private static function touch(Rect $a, Rect $b): bool
    {
        $upright = ($a->u1 === $b->u0 || $b->u1 === $a->u0) && self::common($a->v0, $a->v1, $b->v0, $b->v1);
        $level = ($a->v1 === $b->v0 || $b->v1 === $a->v0) && self::common($a->u0, $a->u1, $b->u0, $b->u1);

        return $upright || $level;
    }

    /** @return array{float, float} how far a patch reaches along an arris at one of its ends */
    private static function along(Rect $rect, string $end): array
    {
        return $end[0] === 'u' ? [$rect->v0, $rect->v1] : [$rect->u0, $rect->u1];
    }

    private static function common(float $a0, float $a1, float $b0, float $b1): bool
    {
        return max($a0, $b0) < min($a1, $b1);
    }
}

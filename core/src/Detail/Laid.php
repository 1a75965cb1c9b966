<?php

declare(strict_types=1);

namespace Apron\Detail;

/** One patch in its place in the order of its facet: a higher number lies farther out. */
final class Laid
{
    /** @var list<self> patches of its piece that it meets and is joined to, on this facet or over a fold */
    public array $joined = [];

    public function __construct(
        public readonly Piece $piece,
        public readonly Patch $patch,
        public readonly int $order,
    ) {
    }

    public function rect(): Rect
    {
        return $this->patch->rect;
    }

    /** How an edge holds at one place along it: as said of the patch, else of the piece, else by kind. */
    public function edge(Side $side, float $along): Edge
    {
        return $this->patch->edges->at($side, $along) ??
            ($this->piece->edges->at($side, $along) ?? $this->piece->kind->edge());
    }

    /** @return list<array{from: float, to: float, edge: Edge}> an edge in stretches that hold alike */
    public function runs(Side $side): array
    {
        $rect = $this->patch->rect;
        [$from, $to] =
            $side === Side::Top || $side === Side::Bottom ? [$rect->u0, $rect->u1] : [$rect->v0, $rect->v1];
        $cuts = [$from, $to];
        foreach ([$this->patch->edges, $this->piece->edges] as $edges) {
            $stated = $edges->stated[$side->value] ?? null;
            foreach (is_array($stated) ? $stated : [] as $run) {
                $cuts[] = max($from, min($to, $run->from));
                $cuts[] = max($from, min($to, $run->to));
            }
        }
        sort($cuts);
        $runs = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            if ($cuts[$i] > $cuts[$i - 1]) {
                $runs[] = [
                    'from' => $cuts[$i - 1],
                    'to' => $cuts[$i],
                    'edge' => $this->edge($side, ($cuts[$i] + $cuts[$i - 1]) / 2),
                ];
            }
        }

        return $runs;
    }

    /** Whether an edge is bonded or sealed over all its length. */
    public function holdsAlong(Side $side): bool
    {
        foreach ($this->runs($side) as $run) {
            if ($run['edge'] === Edge::Open) {
                return false;
            }
        }

        return true;
    }
}

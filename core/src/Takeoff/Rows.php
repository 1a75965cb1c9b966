<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Budget\Deadline;
use Apron\Rules\RuleFigures;

/**
 * Boards in rows from the bottom, long edge level, the largest pieces: end joints on members, off those of the row
 * below and of the layer behind, off the corners of openings; a row begins with the piece that leaves fewest boards to
 * begin.
 *
 * @phpstan-type Trial array{broken: int, boards: int, pieces: list<array{float, float}>, stock: Stock}
 */
final class Rows
{
    private readonly float $stagger;

    private readonly float $corner;

    private readonly float $sliver;

    /**
     * @param  list<LaidPiece>  $behind  the boards of the layer behind
     * @param  list<Moved>  $moved  of this face and layer
     */
    public function __construct(
        private readonly Face $face,
        private readonly Backing $backing,
        private readonly Size $size,
        private Stock $stock,
        private readonly ?float $first = null,
        private readonly array $behind = [],
        private readonly array $moved = [],
    ) {
        $figures = RuleFigures::of('takeoff');
        $this->stagger = $figures->figure('stagger_mm');
        $this->corner = $figures->figure('corner_mm');
        $this->sliver = $figures->figure('sliver_mm');
    }

    public function stock(): Stock
    {
        return $this->stock;
    }

    /** @return list<LaidPiece> */
    public function pieces(): array
    {
        $pieces = [];
        $below = [];
        $foot = 0.0;
        for ($row = 0; $foot < $this->face->top - Face::HAIR; $row++) {
            Deadline::check();
            $head = min($this->headOf($row, $foot), $this->face->top);
            $avoid = [...$below, ...$this->jointsBehind($foot, $head)];
            sort($avoid);
            $below = [];
            foreach ($this->spans($foot, $head) as [$from, $to]) {
                $cuts = $this->moved($row, $this->row($from, $to, $foot, $head, $avoid), count($below));
                foreach ($cuts as [$left, $right]) {
                    $top = min($head, $this->face->topBetween($left, $right));
                    $bottom = max($foot, $this->face->footBetween($left, $right));
                    $pieces[] = new LaidPiece($row, $left, $bottom, $right, $top, $right - $left, $top - $bottom);
                }
                array_push($below, ...array_slice(array_column($cuts, 1), 0, -1));
            }
            $foot = $head;
        }

        return $pieces;
    }

    /** Where a row ends: as far up as its boards reach, or where somebody has put the joint over it. */
    private function headOf(int $row, float $foot): float
    {
        $head = $foot + ($row === 0 ? $this->start() : $this->size->width);
        foreach ($this->moved as $moved) {
            if ($moved->course === $row + 1 && $moved->joint === null && $moved->at > $foot + Face::HAIR) {
                return min($moved->at, $foot + $this->size->width);
            }
        }

        return $head;
    }

    /**
     * The height of the first row: as stated; half a board over a layer of whole ones; else so that fewest level
     * joints run into the corners of openings.
     */
    private function start(): float
    {
        if ($this->first !== null) {
            return min($this->first, $this->size->width);
        }
        if ($this->behind !== []) {
            $rows = $this->behind[0]->top - $this->behind[0]->foot;

            return $rows > 0.75 * $this->size->width ? $this->size->width / 2 : $this->size->width;
        }
        $levels = [];
        foreach ($this->face->holes as [, $sill, , $head]) {
            array_push($levels, $sill, $head);
        }
        $best = [$this->size->width, INF];
        foreach ([1.0, 0.75, 0.5] as $share) {
            $hits = 0;
            foreach ($levels as $level) {
                $over = fmod($level - $share * $this->size->width + 1000 * $this->size->width, $this->size->width);
                $hits += $level > 0 && $level < $this->face->top && min($over, $this->size->width - $over) < 50 ? 1 : 0;
            }
            $best = $hits < $best[1] ? [$share * $this->size->width, $hits] : $best;
        }

        return $best[0];
    }

    /** @return list<array{float, float}> where a row lies: what is open over all of its height needs no board */
    private function spans(float $low, float $high): array
    {
        $out = array_filter($this->face->holes, fn (array $h): bool => $h[1] <= $low + 1 && $h[3] >= $high - 1);

        return Face::without(
            $this->face->spans($low, $high),
            array_map(fn (array $h): array => [$h[0], $h[2]], $out),
        );
    }

    /** @return list<float> */
    private function jointsBehind(float $low, float $high): array
    {
        $joints = [];
        foreach ($this->behind as $piece) {
            if ($piece->foot < $high - 1 && $piece->top > $low + 1) {
                $joints[(string) $piece->right] = $piece->right;
            }
        }

        return array_values(array_filter($joints, fn (float $x): bool => $x < $this->face->right - 1));
    }

    /**
     * @param  list<float>  $avoid  joints that these keep off, rising
     * @return list<array{float, float}>
     */
    private function row(float $from, float $to, float $low, float $high, array $avoid): array
    {
        $corners = [];
        foreach ($this->face->holes as [$left, $sill, $right, $head]) {
            if (($sill >= $low - 1 && $sill <= $high + 1) || ($head >= $low - 1 && $head <= $high + 1)) {
                array_push($corners, $left, $right);
            }
        }
        $length = $this->size->length;
        $best = ['broken' => PHP_INT_MAX, 'boards' => 0, 'pieces' => [], 'stock' => $this->stock];
        $ends = $to - $from <= $length + Face::HAIR
            ? [$to]
            : array_slice($this->ends($from, $length), 0, 8);
        foreach ($ends as $end) {
            $trial = $this->trial($from, $to, $end, $high - $low, $avoid, $corners);
            $isBetter =
                [$trial['broken'], $trial['boards'], count($trial['pieces'])] <
                    [$best['broken'], $best['boards'], count($best['pieces'])];
            $best = $isBetter ? $trial : $best;
        }
        $this->stock = $best['stock'];

        return $best['pieces'];
    }

    /** @return non-empty-list<float> where a board that begins at a place may end, the furthest first */
    private function ends(float $from, float $length): array
    {
        $ends = $this->backing->ends($from, $from + $length, $length / 4);

        return $ends === [] ? [$from + $length] : $ends;
    }

    /**
     * A row that begins with a board to one place, each next as far as it may.
     *
     * @param  list<float>  $avoid
     * @param  list<float>  $corners
     * @return Trial
     */
    private function trial(float $from, float $to, float $end, float $height, array $avoid, array $corners): array
    {
        $stock = clone $this->stock;
        $begun = $stock->boards;
        $pieces = [];
        $broken = 0;
        for ($x = $from; ; $x = $end) {
            if ($pieces !== []) {
                $end = $to - $x <= $this->size->length + Face::HAIR ? $to : $this->next($x, $to, $avoid, $corners);
            }
            $pieces[] = [$x, $end];
            $stock->take($end - $x, $height);
            $broken += $end - $x < $this->sliver ? 1 : 0;
            if ($end >= $to - Face::HAIR) {
                break;
            }
            $broken += $this->isGood($end, $avoid, $corners) ? 0 : 2;
        }

        return ['broken' => $broken, 'boards' => $stock->boards - $begun, 'pieces' => $pieces, 'stock' => $stock];
    }

    /**
     * @param  list<float>  $avoid
     * @param  list<float>  $corners
     */
    private function next(float $x, float $to, array $avoid, array $corners): float
    {
        $ends = $this->ends($x, $this->size->length);
        foreach ($ends as $end) {
            $rest = $to - $end;
            if ($this->isGood($end, $avoid, $corners) && ($rest >= $this->sliver || $rest < Face::HAIR)) {
                return min($end, $to);
            }
        }

        return min($ends[0], $to);
    }

    /**
     * @param  list<float>  $avoid
     * @param  list<float>  $corners
     */
    private function isGood(float $x, array $avoid, array $corners): bool
    {
        if (Face::off($x, $avoid) < $this->stagger - Face::HAIR) {
            return false;
        }
        foreach ($corners as $jamb) {
            if (abs($jamb - $x) < $this->corner) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<array{float, float}>  $cuts
     * @return list<array{float, float}> with the joints that somebody has put elsewhere
     */
    private function moved(int $row, array $cuts, int $counted): array
    {
        foreach ($this->moved as $moved) {
            /** @var int<0, max>|-1 $i */
            $i = ($moved->joint ?? -1) - $counted;
            if ($moved->course !== $row || ! isset($cuts[$i], $cuts[$i + 1])) {
                continue;
            }
            if ($moved->at > $cuts[$i][0] && $moved->at < $cuts[$i + 1][1]) {
                $cuts[$i] = [$cuts[$i][0], $moved->at];
                $cuts[$i + 1] = [$moved->at, $cuts[$i + 1][1]];
            }
        }

        return $cuts;
    }
}

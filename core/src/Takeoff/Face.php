<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Building\Envelope;
use Apron\Building\Hole;
use Apron\Building\Side;

/**
 * One part of an elevation laid flat, as seen from outside: mm from the left end of its side, and up from its own foot.
 *
 * @phpstan-type Run array{float, float}
 */
final readonly class Face
{
    public const HAIR = 0.5;

    public float $left;

    public float $right;

    public float $top;

    /**
     * @param  non-empty-list<array{float, float, float, float, float}>  $cells  left, right, foot, top at its left end
     *   and at its right
     * @param  list<array{float, float, float, float}>  $holes  left, sill, right, head
     */
    public function __construct(
        public string $part,
        /** the level of its foot */
        public float $foot,
        public array $cells,
        public array $holes = [],
    ) {
        $this->left = min(array_column($cells, 0));
        $this->right = max(array_column($cells, 1));
        $this->top = max([...array_column($cells, 3), ...array_column($cells, 4)]);
    }

    /**
     * A wall of a length and a height with nothing on either side of it, mm.
     *
     * @param  list<array{float, float, float, float}>  $holes
     */
    public static function plain(string $part, float $length, float $height, array $holes = []): self
    {
        return new self($part, 0.0, [[0.0, $length, 0.0, $height, $height]], $holes);
    }

    /** The same running past its ends, mm: what is laid round a corner. */
    public function past(float $left, float $right): self
    {
        $cells = $this->cells;
        foreach ($this->cells as [$from, $to, $foot, $topLeft, $topRight]) {
            if ($left > 0 && $from < $this->left + self::HAIR) {
                $cells[] = [$from - $left, $from, $foot, $topLeft, $topLeft];
            }
            if ($right > 0 && $to > $this->right - self::HAIR) {
                $cells[] = [$to, $to + $right, $foot, $topRight, $topRight];
            }
        }

        return new self($this->part, $this->foot, $cells, $this->holes);
    }

    /** @return array<string, self> every upright part of the envelope, by id */
    public static function all(Envelope $envelope): array
    {
        $corners = $envelope->building->corners();
        $cells = $holes = [];
        foreach ($envelope->building->blocks as $block) {
            foreach ($block->isConditioned() ? $block->outline->edges : [] as $edge) {
                foreach ((new Side($envelope->surfaces, $block, $edge))->cells($corners) as $cell) {
                    $tops = [$cell->topLeft, $cell->topRight];
                    $cells[$cell->part->id][] = [$cell->left, $cell->right, $cell->foot, ...$tops];
                }
            }
        }
        foreach ($envelope->holes as $hole) {
            $holes[$hole->within][] = $hole;
        }
        $faces = [];
        foreach ($cells as $part => $of) {
            $foot = min(array_column($of, 2));
            $faces[$part] = new self(
                $part,
                $foot,
                array_map(
                    fn (array $c): array => [$c[0], $c[1], $c[2] - $foot, $c[3] - $foot, $c[4] - $foot],
                    $of,
                ),
                array_map(
                    fn (Hole $h): array => [$h->left, $h->sill - $foot, $h->right, $h->head - $foot],
                    $holes[$part] ?? [],
                ),
            );
        }

        return $faces;
    }

    /**
     * Where it reaches into a band of heights at all, from left to right.
     *
     * @return list<Run>
     */
    public function spans(float $low, float $high): array
    {
        $runs = [];
        foreach ($this->cells as [$left, $right, $foot, $topLeft, $topRight]) {
            if ($foot >= $high - self::HAIR || max($topLeft, $topRight) <= $low + self::HAIR) {
                continue;
            }
            // Of a slope only what rises above the foot of the band.
            $at = fn (float $share): float => $left + ($right - $left) * $share;
            if ($topLeft < $low) {
                $left = $at(($low - $topLeft) / ($topRight - $topLeft));
            } elseif ($topRight < $low) {
                $right = $at(($topLeft - $low) / ($topLeft - $topRight));
            }
            $runs[] = [$left, $right];
        }

        return self::merged($runs);
    }

    /** The highest it reaches between two places. */
    public function topBetween(float $from, float $to): float
    {
        $top = 0.0;
        foreach ($this->cells as [$left, $right, , $topLeft, $topRight]) {
            if ($right <= $from + self::HAIR || $left >= $to - self::HAIR) {
                continue;
            }
            foreach ([max($left, $from), min($right, $to)] as $x) {
                $top = max($top, $topLeft + (($topRight - $topLeft) * ($x - $left)) / ($right - $left));
            }
        }

        return $top;
    }

    /** The lowest it reaches between two places. */
    public function footBetween(float $from, float $to): float
    {
        $feet = [];
        foreach ($this->cells as [$left, $right, $foot]) {
            if ($right > $from + self::HAIR && $left < $to - self::HAIR) {
                $feet[] = $foot;
            }
        }

        return $feet === [] ? 0.0 : min($feet);
    }

    /**
     * The heights that are there on an upright line, openings left out.
     *
     * @return list<Run>
     */
    public function up(float $x): array
    {
        $x = max($this->left + self::HAIR, min($this->right - self::HAIR, $x));
        $runs = [];
        foreach ($this->cells as [$left, $right, $foot, $topLeft, $topRight]) {
            if ($x >= $left && $x <= $right) {
                $runs[] = [$foot, $topLeft + (($topRight - $topLeft) * ($x - $left)) / ($right - $left)];
            }
        }

        return self::without(
            self::merged($runs),
            array_map(
                fn (array $h): array => [$h[1], $h[3]],
                array_filter($this->holes, fn (array $h): bool => $h[0] < $x && $x < $h[2]),
            ),
        );
    }

    /**
     * How far a place is from the nearest of others, which rise.
     *
     * @param  list<float>  $others
     */
    public static function off(float $x, array $others): float
    {
        [$low, $high] = [0, count($others)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $others[$middle] < $x ? [$middle + 1, $high] : [$low, $middle];
        }

        return min(abs($x - ($others[$low] ?? INF)), abs($x - ($others[$low - 1] ?? INF)));
    }

    /**
     * @param  list<Run>  $runs
     * @return list<Run>
     */
    public static function merged(array $runs): array
    {
        sort($runs);
        $merged = [];
        foreach ($runs as [$from, $to]) {
            $last = count($merged) - 1;
            if ($last >= 0 && $from <= $merged[$last][1] + self::HAIR) {
                $merged[$last] = [$merged[$last][0], max($merged[$last][1], $to)];
            } else {
                $merged[] = [$from, $to];
            }
        }

        return $merged;
    }

    /**
     * @param  list<Run>  $runs  apart, and in order
     * @param  array<Run>  $out
     * @return list<Run>
     */
    public static function without(array $runs, array $out): array
    {
        foreach ($out as [$from, $to]) {
            $left = [];
            foreach ($runs as [$a, $b]) {
                if ($from > $a + self::HAIR) {
                    $left[] = [$a, min($b, $from)];
                }
                if ($to < $b - self::HAIR) {
                    $left[] = [max($a, $to), $b];
                }
            }
            $runs = array_values(array_filter($left, fn (array $r): bool => $r[1] > $r[0] + self::HAIR));
        }

        return $runs;
    }
}

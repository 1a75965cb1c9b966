<?php

declare(strict_types=1);

namespace Apron\Conduction;

/**
 * Lines across a section: one at every edge and every point asked for, more between them, close where something begins
 * and wider away from it.
 */
final readonly class PlaneGrid
{
    /** mm; lines nearer than this are one */
    private const SAME = 1e-6;

    /** by how much of the way gone a cell may be larger than the one where it began */
    private const GROWS = 0.4;

    /** of the narrower interval at an edge: so small is the first cell beside it */
    private const FIRST = 1 / 3;

    /** of the whole width or height: no cell is larger */
    private const WIDEST = 1 / 20;

    /**
     * @param  non-empty-list<float>  $x  mm, rising
     * @param  non-empty-list<float>  $y
     */
    public function __construct(public array $x, public array $y)
    {
    }

    public static function of(PlaneSection $section): self
    {
        [$x, $y, $mayX, $mayY] = [[], [], [], []];
        foreach ($section->blocks as $block) {
            array_push($x, $block->rect->x0, $block->rect->x1);
            array_push($y, $block->rect->y0, $block->rect->y1);
        }
        foreach ($section->airs as $air) {
            array_push($mayX, $air->rect->x0, $air->rect->x1);
            array_push($mayY, $air->rect->y0, $air->rect->y1);
        }
        foreach ($section->points as [$px, $py]) {
            $mayX[] = $px;
            $mayY[] = $py;
        }

        return new self(self::lines($x, $mayX), self::lines($y, $mayY));
    }

    /**
     * @param  non-empty-list<float>  $own  of what is filled
     * @param  list<float>  $more  of what is beside it, or asked for: as far as it lies within
     * @return non-empty-list<float>
     */
    private static function lines(array $own, array $more): array
    {
        [$least, $most] = [min($own), max($own)];
        $within = array_filter($more, fn (float $at): bool => $at > $least && $at < $most);

        return self::graded(self::distinct([...$own, ...array_values($within)]));
    }

    /** With every cell cut into four. */
    public function halved(): self
    {
        return new self(self::between($this->x), self::between($this->y));
    }

    public function nodes(): int
    {
        return count($this->x) * count($this->y);
    }

    /**
     * @param  non-empty-list<float>  $at
     * @return non-empty-list<float>
     */
    private static function distinct(array $at): array
    {
        sort($at);
        $lines = [$at[0]];
        foreach ($at as $each) {
            if ($each - $lines[count($lines) - 1] > self::SAME) {
                $lines[] = $each;
            }
        }

        return $lines;
    }

    /**
     * @param  non-empty-list<float>  $lines
     * @return non-empty-list<float>
     */
    private static function graded(array $lines): array
    {
        $last = count($lines) - 1;
        $widest = ($lines[$last] - $lines[0]) * self::WIDEST;
        $first = [];
        foreach ($lines as $i => $at) {
            $room = min($lines[min($i + 1, $last)] - $at ?: INF, $at - $lines[max($i - 1, 0)] ?: INF);
            $first[] = min($widest, self::FIRST * $room);
        }
        $grown = fn (float $at): float => min(array_map(
            fn (float $size, float $line): float => $size + self::GROWS * abs($at - $line),
            $first,
            $lines,
        ));
        $first = array_map($grown, $lines);
        $at = [$lines[0]];
        for ($i = 0; $i < $last; $i++) {
            array_push($at, ...self::filled($lines[$i], $lines[$i + 1], $first[$i], $first[$i + 1], $widest));
        }

        return $at;
    }

    /**
     * Places between two lines and the second of them, by how many cells of the size wanted there lie before each.
     *
     * @return list<float>
     */
    private static function filled(float $a, float $b, float $first, float $last, float $widest): array
    {
        $steps = 400;
        $step = ($b - $a) / $steps;
        $cells = [0.0];
        for ($i = 0; $i < $steps; $i++) {
            $t = ($i + 0.5) * $step;
            $size = min($widest, $first + self::GROWS * $t, $last + self::GROWS * ($b - $a - $t));
            $cells[] = $cells[$i] + $step / $size;
        }
        $count = max(2, (int) ceil($cells[$steps] - 1e-9));
        $at = [];
        $i = 0;
        for ($n = 1; $n < $count; $n++) {
            $wanted = ($cells[$steps] * $n) / $count;
            while ($cells[$i + 1] < $wanted) {
                $i++;
            }
            $at[] = $a + ($i + ($wanted - $cells[$i]) / ($cells[$i + 1] - $cells[$i])) * $step;
        }

        return [...$at, $b];
    }

    /**
     * @param  non-empty-list<float>  $at
     * @return non-empty-list<float>
     */
    private static function between(array $at): array
    {
        $more = [$at[0]];
        for ($i = 1, $n = count($at); $i < $n; $i++) {
            array_push($more, 0.5 * ($at[$i - 1] + $at[$i]), $at[$i]);
        }

        return $more;
    }
}

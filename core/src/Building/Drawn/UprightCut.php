<?php

declare(strict_types=1);

namespace Apron\Building\Drawn;

use Apron\Building\Areas;
use Apron\Building\Block;
use Apron\Building\Edge;
use Apron\Building\Envelope;
use Apron\Building\Hole;
use Apron\Building\Joint;
use Apron\Building\Outline;
use Apron\Building\Part;
use Apron\Building\Side;

/**
 * The envelope cut by an upright plane.
 *
 * @phpstan-import-type Line from Cut
 */
final class UprightCut
{
    /** Nearer than this to a corner of an outline a plane would not know which side it cuts, mm. */
    private const CLEAR = 1.0;

    /** So far it is moved off such a corner, mm, and as often as this. */
    private const ASIDE = 7.0;

    private const TRIES = 5;

    /**
     * @param  array{float, float}  $through
     * @param  array{float, float}  $along  unit vector
     */
    private function __construct(
        private readonly Envelope $envelope,
        private readonly array $through,
        private readonly array $along,
    ) {
    }

    /**
     * @param  array{float, float}  $through  a place on plan that it goes through, mm
     * @param  array{float, float}  $along  unit vector on plan
     */
    public static function of(Envelope $envelope, array $through, array $along): Cut
    {
        for ($i = 0; $i < self::TRIES && ! self::isClear($envelope, $through, $along); $i++) {
            $through = [$through[0] - $along[1] * self::ASIDE, $through[1] + $along[0] * self::ASIDE];
        }
        $cut = new self($envelope, $through, $along);
        $lines = [];
        foreach ($envelope->building->blocks as $block) {
            if ($block->isConditioned()) {
                array_push($lines, ...$cut->block($block));
            }
        }

        return Cut::made(null, $through, $along, $lines, $cut->points());
    }

    /**
     * @param  array{float, float}  $through
     * @param  array{float, float}  $along
     */
    private static function isClear(Envelope $envelope, array $through, array $along): bool
    {
        foreach ($envelope->building->corners() as [$x, $y]) {
            if (abs($along[0] * ($y - $through[1]) - $along[1] * ($x - $through[0])) < self::CLEAR) {
                return false;
            }
        }

        return true;
    }

    /** @return array{float, float} */
    private function at(float $s): array
    {
        return [$this->through[0] + $s * $this->along[0], $this->through[1] + $s * $this->along[1]];
    }

    /** How far beside the plane a place on plan is, mm to its left. */
    private function beside(float $x, float $y): float
    {
        return $this->along[0] * ($y - $this->through[1]) - $this->along[1] * ($x - $this->through[0]);
    }

    private function s(float $x, float $y): float
    {
        return $this->along[0] * ($x - $this->through[0]) + $this->along[1] * ($y - $this->through[1]);
    }

    /** @return list<array{float, float, Edge}> mm along the plane and along the edge, where it crosses an outline */
    private function crossings(Outline $outline): array
    {
        $found = [];
        foreach ($outline->edges as $edge) {
            [$a, $b] = [$this->beside($edge->x0, $edge->y0), $this->beside($edge->x1, $edge->y1)];
            if ($a > 0 !== $b > 0) {
                $u = ($edge->length * $a) / ($a - $b);
                $found[] = [$this->s(...$edge->at($u)), $u, $edge];
            }
        }
        usort($found, fn (array $one, array $two): int => $one[0] <=> $two[0]);

        return $found;
    }

    /** @return list<Line> */
    private function block(Block $block): array
    {
        $crossings = $this->crossings($block->outline);
        $lines = [];
        foreach ($crossings as $i => [$s, $u, $edge]) {
            array_push($lines, ...$this->side($block, $edge, $u, $s, $i % 2 === 0 ? -1.0 : 1.0));
        }
        for ($i = 1; $i < count($crossings); $i += 2) {
            $within = [$crossings[$i - 1][0], $crossings[$i][0]];
            array_push($lines, ...$this->level($block, true, ...$within), ...$this->level($block, false, ...$within));
        }

        return $lines;
    }

    /** @return list<Line> */
    private function side(Block $block, Edge $edge, float $u, float $s, float $out): array
    {
        $levels = (new Side($this->envelope->surfaces, $block, $edge))->levels();
        $levels[] = max($block->top, $block->topAt(...$edge->at($u)));
        $holes = array_filter(
            $this->envelope->holes,
            fn (Hole $h): bool => $h->block === $block && $h->edge === $edge->index && $h->left < $u && $u < $h->right,
        );
        foreach ($holes as $hole) {
            array_push($levels, $hole->sill, $hole->head);
        }
        $levels = Areas::sorted($levels, -INF, INF);
        $lines = [];
        for ($j = 1; $j < count($levels); $j++) {
            $z = ($levels[$j - 1] + $levels[$j]) / 2;
            $part = $this->envelope->surfaces->upright($block, $edge, $u, min($z, $block->top - 0.5));
            foreach ($holes as $hole) {
                $part = $hole->sill < $z && $z < $hole->head ? $this->envelope->parts[$hole->part] : $part;
            }
            self::add($lines, $part, [$s, $levels[$j - 1]], [$s, $levels[$j]], [$out, 0.0]);
        }

        return $lines;
    }

    /** @return list<Line> */
    private function level(Block $block, bool $top, float $from, float $to): array
    {
        $cuts = [$from, $to];
        foreach ($this->envelope->building->blocks as $other) {
            if ($other !== $block) {
                array_push($cuts, ...array_column($this->crossings($other->outline), 0));
            }
        }
        if ($top && $block->roofForm->ridgeAlong !== null) {
            // Where it crosses the middle between the eaves.
            $low = $block->outline->edge($block->roofForm->ridgeAlong);
            [$a, $b] = [$low?->off(...$this->at($from)) ?? 0.0, $low?->off(...$this->at($to)) ?? 0.0];
            $half = $block->roofForm->width($block->outline) / 2;
            if (abs($b - $a) > self::CLEAR) {
                $cuts[] = $from + (($half - $a) / ($b - $a)) * ($to - $from);
            }
        }
        $holes = array_filter(
            $this->envelope->holes,
            fn (Hole $h): bool => $h->block === $block && $h->edge === null && $h->isBelow !== $top,
        );
        foreach ($holes as $hole) {
            $corners = [[$hole->left, $hole->sill], [$hole->right, $hole->sill]];
            array_push($corners, [$hole->right, $hole->head], [$hole->left, $hole->head]);
            array_push($cuts, ...array_column($this->crossings(new Outline($corners)), 0));
        }
        $cuts = Areas::sorted($cuts, $from, $to);
        $lines = [];
        for ($i = 1; $i < count($cuts); $i++) {
            [$x, $y] = $this->at(($cuts[$i - 1] + $cuts[$i]) / 2);
            $part = $this->envelope->surfaces->level($block, $top, $x, $y);
            foreach ($holes as $hole) {
                $within = $hole->left < $x && $x < $hole->right && $hole->sill < $y && $y < $hole->head;
                $part = $within ? $this->envelope->parts[$hole->part] : $part;
            }
            $z = fn (float $s): float => $top ? $block->topAt(...$this->at($s)) : $block->base;
            $ends = [[$cuts[$i - 1], $z($cuts[$i - 1])], [$cuts[$i], $z($cuts[$i])]];
            $length = hypot($ends[1][0] - $ends[0][0], $ends[1][1] - $ends[0][1]);
            $normal = [($ends[0][1] - $ends[1][1]) / $length, ($ends[1][0] - $ends[0][0]) / $length];
            self::add($lines, $part, $ends[0], $ends[1], $top ? $normal : [0.0, -1.0]);
        }

        return $lines;
    }

    /**
     * One more line, or the last one longer where the two are one.
     *
     * @param  list<Line>  $lines
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  array{float, float}  $out
     */
    public static function add(array &$lines, ?Part $part, array $from, array $to, array $out): void
    {
        $last = count($lines) - 1;
        $before = $lines[$last] ?? null;
        if ($before !== null && [$before['part'], $before['to'], $before['out']] === [$part?->id, $from, $out]) {
            $lines[$last]['to'] = $to;
        } elseif ($part !== null) {
            $lines[] = ['part' => $part->id, 'from' => $from, 'to' => $to, 'out' => $out];
        }
    }

    /** @return list<array{Joint, array{float, float}}> where joints go through it */
    private function points(): array
    {
        $points = [];
        foreach ($this->envelope->joints as $joint) {
            foreach ($joint->met as $met) {
                [$a, $b] = [$this->beside($met->from[0], $met->from[1]), $this->beside($met->to[0], $met->to[1])];
                $isPoint = $met->from === $met->to && abs($a) < self::CLEAR;
                if ($isPoint || $a > 0 !== $b > 0) {
                    $t = $isPoint ? 0.0 : $a / ($a - $b);
                    $at = array_map(fn (float $p, float $q): float => $p + $t * ($q - $p), $met->from, $met->to);
                    $points[] = [$joint, [$this->s($at[0], $at[1]), $at[2]]];
                }
            }
        }

        return $points;
    }
}

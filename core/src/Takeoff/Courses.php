<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Budget\Deadline;
use Apron\Rules\RuleFigures;

/**
 * A sheet in courses from the bottom: level laps over the course below, upright laps over members, those of one course
 * off those of the course before. Laid over openings and cut. Upright pieces are columns from the left, each in
 * lengths from the bottom.
 */
final class Courses
{
    private readonly float $stagger;

    /** @param  list<Moved>  $moved  of this face and layer */
    public function __construct(
        private readonly Face $face,
        private readonly Backing $backing,
        private readonly Size $size,
        private readonly ?float $longest = null,
        private readonly array $moved = [],
    ) {
        $this->stagger = RuleFigures::of('takeoff')->figure('stagger_mm');
    }

    /** @return list<LaidPiece> */
    public function level(): array
    {
        $pieces = $before = [];
        $covered = 0.0;
        for ($course = 0; $covered < $this->face->top - Face::HAIR; $course++) {
            Deadline::check();
            $foot = $this->movedTo($course, null) ?? max(0.0, $covered - ($course > 0 ? $this->size->lapLevel : 0.0));
            // A course that is put below the one before it, or leaves nothing new, covers nothing: the next goes on.
            $foot = max($foot, $covered - $this->size->width + 2 * Face::HAIR);
            $head = $foot + $this->size->width;
            $joints = [];
            foreach ($this->spans(max($covered, 0.0), $head) as [$from, $to]) {
                $joints = [...$joints, ...$this->joints($from, $to, $course, $before, count($joints))];
                foreach ($this->between($from, $to, $joints) as [$left, $right]) {
                    $pieces[] = new LaidPiece(
                        $course,
                        $left,
                        max($foot, $this->face->footBetween($left, $right)),
                        $right,
                        min($head, $this->face->topBetween($left, $right)),
                        $right - $left,
                        $this->size->width,
                        roll: $this->size->width,
                    );
                }
            }
            $before = $joints;
            $covered = $head;
        }

        return $pieces;
    }

    /** @return list<LaidPiece> */
    public function upright(): array
    {
        $length = $this->length();
        $pieces = [];
        $left = $this->face->left;
        for ($column = 0; $left < $this->face->right - Face::HAIR; $column++) {
            Deadline::check();
            $right = min($left + $this->size->width, $this->face->right);
            $top = $this->face->topBetween($left, $right);
            for ($foot = $this->face->footBetween($left, $right); ; $foot += $length - $this->size->lapLevel) {
                $head = min($foot + $length, $top);
                $pieces[] = new LaidPiece(
                    $column,
                    $left,
                    $foot,
                    $right,
                    $head,
                    $head - $foot,
                    $this->size->width,
                    roll: $this->size->width,
                );
                if ($head >= $top - Face::HAIR) {
                    break;
                }
            }
            if ($right >= $this->face->right - Face::HAIR) {
                break;
            }
            $left += $this->size->width - $this->size->lapEnd;
        }

        return $pieces;
    }

    private function length(): float
    {
        $least = 2 * max($this->size->lapEnd, $this->size->lapLevel);

        return max(min($this->size->length, $this->longest ?? INF), $least);
    }

    private function movedTo(int $course, ?int $joint): ?float
    {
        foreach ($this->moved as $moved) {
            if ($moved->course === $course && $moved->joint === $joint) {
                return $moved->at;
            }
        }

        return null;
    }

    /**
     * Where a course lies: round what is open over all of its height and too wide to be laid over.
     *
     * @return list<array{float, float}>
     */
    private function spans(float $low, float $high): array
    {
        $widest = RuleFigures::of('takeoff')->figure('around_mm');
        $out = array_filter(
            $this->face->holes,
            fn (array $h): bool => $widest < $h[2] - $h[0] && $h[1] <= $low && $h[3] >= min($high, $this->face->top),
        );

        return Face::without(
            $this->face->spans($low, $high),
            array_map(fn (array $h): array => [$h[0], $h[2]], $out),
        );
    }

    /**
     * Where a course is cut between its ends, from left to right. Every other course is laid from the other end; where
     * a joint still comes too near to one below, the first piece is shorter.
     *
     * @param  list<float>  $before  joints of the course below
     * @return list<float>
     */
    private function joints(float $from, float $to, int $course, array $before, int $counted): array
    {
        $best = null;
        $nearest = -1.0;
        foreach ([0, 1, 2, 3, 4, 5, 6, 7] as $shorter) {
            $joints = $course % 2 === 0
                ? $this->fromLeft($from, $to, $shorter)
                : $this->fromRight($from, $to, $shorter);
            $near = INF;
            foreach ($joints as $joint) {
                $near = min($near, Face::off($joint, $before));
            }
            if ($near >= $this->stagger) {
                $best = $joints;
                break;
            }
            if ($near > $nearest) {
                [$best, $nearest] = [$joints, $near];
            }
        }
        $joints = $best ?? [];
        foreach ($joints as $i => $joint) {
            $at = $this->movedTo($course, $counted + $i);
            $joints[$i] = $at !== null && $at > $from && $at < $to ? $at : $joint;
        }
        sort($joints);

        return $joints;
    }

    /** @return list<float> */
    private function fromLeft(float $from, float $to, int $shorter): array
    {
        $joints = [];
        // The first piece has its full length, each other one begins a lap before its joint.
        for ($x = $from, $reach = $this->length(); $to - $x > $reach + Face::HAIR;) {
            $ends = $this->backing->ends($x, $x + $reach, $this->stagger);
            $joints[] = $x = $ends[$joints === [] ? min($shorter, max(0, count($ends) - 1)) : 0] ?? $x + $reach;
            $reach = $this->length() - $this->size->lapEnd;
        }

        return $joints;
    }

    /** @return list<float> the same from the other end: the lap lies to the left of its joint there too */
    private function fromRight(float $from, float $to, int $shorter): array
    {
        $reach = $this->length() - $this->size->lapEnd;
        if ($to - $from <= $this->length() + Face::HAIR) {
            return [];
        }
        $joints = [];
        for ($x = $to; $x - $from > $this->length() + Face::HAIR;) {
            $least = $x - $reach + ($joints === [] ? $shorter * $this->stagger : 0.0);
            $x = $this->firstFrom($least, $x);
            $joints[] = $x;
        }

        return array_reverse($joints);
    }

    /** The first member at or after a place; the place itself where all holds, or nothing stands before the end. */
    private function firstFrom(float $least, float $before): float
    {
        if ($this->backing->spacing === null) {
            return $least;
        }
        $line = ceil(($least - 0.01) / $this->backing->spacing) * $this->backing->spacing;

        return $line < $before - Face::HAIR ? $line : min($least, $before - 2 * Face::HAIR);
    }

    /**
     * The pieces between the ends of a span: each but the first begins a lap before its joint.
     *
     * @param  list<float>  $joints
     * @return list<array{float, float}>
     */
    private function between(float $from, float $to, array $joints): array
    {
        $joints = array_values(array_filter($joints, fn (float $x): bool => $x > $from && $x < $to));
        $pieces = [];
        $left = $from;
        foreach ([...$joints, $to] as $end) {
            $pieces[] = [$left, $end];
            $left = max($from, $end - $this->size->lapEnd);
        }

        return $pieces;
    }
}

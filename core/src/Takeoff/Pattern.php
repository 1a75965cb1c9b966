<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Rules\RuleFigures;

/**
 * Fasteners by their pattern. On the lines of the members, both ends in; closer near the corners of a side where the
 * wind asks for it. What is open takes none.
 *
 * A row is told by its place along, its lowest and its highest, and how many stand evenly from one to the other.
 *
 * @phpstan-type Row array{float, float, float, int}
 */
final readonly class Pattern
{
    /** how far beside the first the second washer at a tee stands, as it is drawn */
    private const TEE_MM = 50.0;

    public function __construct(
        /** mm */
        public float $edge,
        public float $field,
        /** how far from the ends of the face every line is an edge, mm */
        public float $zone = 0.0,
    ) {
    }

    public static function of(LaidAs $as, LayerRule $rule): ?self
    {
        $usual = fn (string $column): ?float => RuleFigures::of('takeoff')->cell('patterns_mm', $as->value, $column);
        $edge = $rule->edgeMm ?? $usual('edge');
        $field = $rule->fieldMm ?? $usual('field');

        return $edge === null || $field === null ? null : new self($edge, $field, $rule->zoneMm ?? 0.0);
    }

    /** In a line of a length, both ends among them. */
    public static function inLine(float $length, float $spacing): int
    {
        return (int) ceil($length / $spacing - 1e-6) + 1;
    }

    /**
     * Of a sheet, or of strapping: up every line.
     *
     * @return list<Row>
     */
    public function upLines(Face $face, Backing $backing): array
    {
        $rows = [];
        foreach ($backing->lines(self::solid()) as $x) {
            foreach ($face->up($x) as [$low, $high]) {
                $rows[] = [$x, $low, $high, self::inLine($high - $low, $this->at($x, $face, $this->field))];
            }
        }

        return $rows;
    }

    /**
     * Of boards that share washers: on every line in every row, those over a level joint counted once for the rows on
     * both sides of it; along an end joint at the spacing of edges, with two where it meets a row.
     *
     * @return list<Row>
     */
    public function ofBoards(Layout $layout): array
    {
        $joints = $rows = $set = [];
        foreach ($layout->uprightJoints() as $joint) {
            $joints[$joint['course']][] = $joint['x'];
        }
        foreach ($layout->pieces as $piece) {
            $rows[$piece->course] ??= [$piece->foot, $piece->top];
            $rows[$piece->course][0] = min($rows[$piece->course][0], $piece->foot);
            $rows[$piece->course][1] = max($rows[$piece->course][1], $piece->top);
        }
        foreach ($rows as $row => [$foot, $head]) {
            $isFirst = ! isset($rows[$row - 1]);
            $lines = $layout->backing->lines(self::solid());
            foreach ([...$lines, ...$joints[$row] ?? []] as $i => $x) {
                $isJoint = $i >= count($lines);
                if (! $isJoint && self::among($x, $joints[$row] ?? [])) {
                    continue;
                }
                foreach (self::within($layout->face->up($x), $foot, $head) as [$low, $high]) {
                    $spacing = $isJoint ? $this->edge : $this->field;
                    $in = self::inLine($high - $low, $this->at($x, $layout->face, $spacing));
                    // One over a level joint holds the row below as well, and was set with it.
                    $isShared = ! $isFirst && $low <= $foot + 1;
                    $step = ($high - $low) / ($in - 1);
                    $set[] = $isShared ? [$x, $low + $step, $high, $in - 1] : [$x, $low, $high, $in];
                    if ($isJoint) {
                        $set[] = [$x + self::TEE_MM, $low, $low, 1];
                    }
                }
            }
        }

        return $set;
    }

    /**
     * Of sheathing: every panel has its own, at the spacing of edges up both ends of it.
     *
     * @return list<Row>
     */
    public function ofPanels(Layout $layout): array
    {
        $rows = [];
        foreach ($layout->pieces as $piece) {
            $own = new Backing($layout->backing->spacing, $piece->left, $piece->right);
            foreach ($own->lines(self::solid()) as $x) {
                $isEnd = $x <= $piece->left || $x >= $piece->right;
                $at = $x <= $piece->left ? $x + 10 : ($x >= $piece->right ? $x - 10 : $x);
                foreach (self::within($layout->face->up($at), $piece->foot, $piece->top) as [$low, $high]) {
                    $spacing = $this->at($x, $layout->face, $isEnd ? $this->edge : $this->field);
                    $rows[] = [$at, $low, $high, self::inLine($high - $low, $spacing)];
                }
            }
        }

        return $rows;
    }

    private function at(float $x, Face $face, float $spacing): float
    {
        return min($x - $face->left, $face->right - $x) < $this->zone ? min($this->edge, $spacing) : $spacing;
    }

    private static function solid(): float
    {
        return RuleFigures::of('takeoff')->figure('solid_lines_mm');
    }

    /** @param  list<float>  $xs */
    private static function among(float $x, array $xs): bool
    {
        foreach ($xs as $other) {
            if (abs($other - $x) < 20) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<array{float, float}>  $runs
     * @return list<array{float, float}>
     */
    private static function within(array $runs, float $low, float $high): array
    {
        $in = [];
        foreach ($runs as [$a, $b]) {
            if (min($b, $high) > max($a, $low) + Face::HAIR) {
                $in[] = [max($a, $low), min($b, $high)];
            }
        }

        return $in;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** What an upright joint may lie on: studs, counted from the left end of the side, or a face that holds all over. */
final readonly class Backing
{
    /** A joint is centred on a member as wide as a stud: so far off it is still on it. */
    private const OFF_CENTRE_MM = 10.0;

    /** @param  float|null  $spacing  mm; null where it holds all over */
    public function __construct(public ?float $spacing, public float $left, public float $right)
    {
    }

    /** @return list<float> the lines of its members, both ends among them */
    public function lines(float $otherwise): array
    {
        $step = $this->spacing ?? $otherwise;
        $lines = [$this->left];
        for ($k = floor($this->left / $step) + 1; $k * $step < $this->right - Face::HAIR; $k++) {
            if ($k * $step > $this->left + Face::HAIR) {
                $lines[] = $k * $step;
            }
        }

        return [...$lines, $this->right];
    }

    /**
     * Where a piece that begins at one place may end, the furthest first.
     *
     * @param  float  $step  of the places that are tried where it holds all over
     * @return list<float>
     */
    public function ends(float $from, float $furthest, float $step): array
    {
        $ends = [];
        if ($this->spacing === null) {
            for ($x = $furthest; $x > $from + Face::HAIR; $x -= $step) {
                $ends[] = $x;
            }

            return $ends;
        }
        for ($k = floor(($furthest + 0.01) / $this->spacing); $k * $this->spacing > $from + Face::HAIR; $k--) {
            $ends[] = $k * $this->spacing;
        }

        return $ends;
    }

    public function holds(float $x): bool
    {
        if ($this->spacing === null || $x < $this->left + Face::HAIR || $x > $this->right - Face::HAIR) {
            return true;
        }
        $off = $x - round($x / $this->spacing) * $this->spacing;

        return abs($off) <= self::OFF_CENTRE_MM;
    }
}

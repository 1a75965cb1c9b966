<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** One length of a sheet or one board where it lies; mm, as its face has them. */
final class LaidPiece
{
    /** the roll or the board that it is cut from; nobody knows before all of a product are laid */
    public ?int $from = null;

    public function __construct(
        public readonly int $course,
        public readonly float $left,
        public readonly float $foot,
        public readonly float $right,
        public readonly float $top,
        /** as it is cut: along the roll or the long edge, and across */
        public readonly float $length,
        public readonly float $width,
        /** a strip that is laid before the courses */
        public readonly bool $isStrip = false,
        /** of the roll that it is cut from, mm; null of a board */
        public readonly ?float $roll = null,
    ) {
    }

    /** What of it lies between two places; it is cut as long as before. */
    public function within(float $left, float $right): self
    {
        return new self(
            $this->course,
            max($this->left, $left),
            $this->foot,
            min($this->right, $right),
            $this->top,
            $this->length,
            $this->width,
        );
    }

    /** The same as narrow as it lies: the rest of its roll is kept. */
    public function narrowed(bool $isUpright): self
    {
        $across = $isUpright ? $this->right - $this->left : $this->top - $this->foot;

        return new self(
            $this->course,
            $this->left,
            $this->foot,
            $this->right,
            $this->top,
            $this->length,
            min($this->width, $across),
            $this->isStrip,
            $this->roll,
        );
    }

    /** m², as it is cut */
    public function area(): float
    {
        return ($this->length * $this->width) / 1e6;
    }
}

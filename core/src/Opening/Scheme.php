<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;

/**
 * One opening as it is being drawn: what it is composed of, its sizes, its materials, and which step does what. Seen
 * from outside, mm: u to the right and v up from the lower left corner of the opening.
 */
final readonly class Scheme
{
    /** @param  array<string, float>  $least  laps of the trade, mm */
    public function __construct(
        public Composition $of,
        private Sizes $sizes,
        private Used $used,
        private array $least,
        private ?StepNumbers $steps = null,
    ) {
    }

    /** The same with its steps numbered. */
    public function withSteps(StepNumbers $steps): self
    {
        return new self($this->of, $this->sizes, $this->used, $this->least, $steps);
    }

    public function mm(string $name): float
    {
        return $this->sizes->mm($name);
    }

    public function figure(string $name): float
    {
        return $this->sizes->figure($name);
    }

    public function least(string $name): float
    {
        return $this->least["{$name}_mm"] ?? throw new \LogicException("no least is called $name");
    }

    public function material(string $for): Material
    {
        return $this->used->of($for);
    }

    public function at(string $does): int
    {
        return $this->numbers()->of($does);
    }

    /** The first of several ways of doing the same that there is. */
    public function firstAt(string ...$ways): int
    {
        return $this->numbers()->firstOf(...$ways) ??
            throw new \LogicException('no step does any of '.implode(', ', $ways));
    }

    public function has(string $does): bool
    {
        return $this->numbers()->has($does);
    }

    private function numbers(): StepNumbers
    {
        return $this->steps ?? throw new \LogicException('its steps are not in order yet');
    }

    /** How high above the opening the top of what is dressed over the head lies, which the plane comes down over. */
    public function headCoverTop(): float
    {
        return $this->of->has('outboard', 'board') ? $this->mm('upstand') : $this->of->held->headCoverTop($this);
    }

    /**
     * How far past each side of the opening what covers the head goes. In the reveal of a board there is only the
     * flashing, which goes as far as what it covers.
     */
    public function headCoverSide(): float
    {
        return $this->of->held->headCoverSide($this);
    }

    /** How far down the face the pan goes: a strip set before the field reaches far enough for that to tuck under. */
    public function sillLeg(): float
    {
        return $this->mm($this->of->has('first', 'opening') ? 'strip_face' : 'face_return');
    }

    /** The step in which the pan's leg on the face comes to rest: over the lower course where that is laid later. */
    public function sillLegDown(int $step): int
    {
        return $this->of->has('first', 'opening') ? $this->at('sill-foot-down') : $step;
    }

    /** What one size may not reach because of another. */
    public function demandBelow(string $name, float $most, string $why): void
    {
        $this->sizes->demandBelow($name, $most, $why);
    }

    /** Units side by side, each wide enough to be one. */
    public function demandWholeUnits(): void
    {
        if ($this->figure('mullions') !== floor($this->figure('mullions'))) {
            throw new CannotGenerate('mullions', $this->figure('mullions'), 'a whole number');
        }
        if ($this->mm('width') / ($this->figure('mullions') + 1) < 300) {
            throw new CannotGenerate('mullions', $this->figure('mullions'), 'units of 300 mm or more each');
        }
    }
}

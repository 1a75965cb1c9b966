<?php

declare(strict_types=1);

namespace Apron\Building;

/** A stretch on which two parts meet; mm. */
final readonly class Met
{
    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    public function __construct(
        public JointKind $kind,
        public Part $a,
        public Part $b,
        public array $from,
        public array $to,
    ) {
    }

    public function length(): float
    {
        $flat = hypot($this->to[0] - $this->from[0], $this->to[1] - $this->from[1]);

        return hypot($flat, $this->to[2] - $this->from[2]);
    }

    public function isUpright(): bool
    {
        return $this->from[0] === $this->to[0] && $this->from[1] === $this->to[1] && $this->from[2] !== $this->to[2];
    }

    /** One for both orders. */
    public function key(): string
    {
        return "{$this->kind->value}:".implode('|', $this->pair());
    }

    /** @return array{string, string} ids of its parts */
    public function pair(): array
    {
        [$a, $b] = [$this->a->id, $this->b->id];

        return strcmp($a, $b) < 0 ? [$a, $b] : [$b, $a];
    }

    public function touches(self $other): bool
    {
        foreach ([$this->from, $this->to] as $one) {
            foreach ([$other->from, $other->to] as $two) {
                if (
                    abs($one[0] - $two[0]) < 1.0 &&
                    abs($one[1] - $two[1]) < 1.0 &&
                    abs($one[2] - $two[2]) < 1.0
                ) {
                    return true;
                }
            }
        }

        return false;
    }
}

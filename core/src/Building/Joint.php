<?php

declare(strict_types=1);

namespace Apron\Building;

/** Two parts that meet along a length. */
final readonly class Joint
{
    /**
     * @param  array{string, string}  $parts  ids
     * @param  list<Met>  $met  where they meet
     * @param  string|null  $detail  what it is made by, where its place says so
     */
    public function __construct(
        public string $id,
        public JointKind $kind,
        public array $parts,
        /** m */
        public float $length,
        public array $met = [],
        public ?string $detail = null,
    ) {
    }

    /** Whether its parts meet side by side, along an upright line. */
    public function isUpright(): bool
    {
        return ($this->met[0] ?? null)?->isUpright() === true;
    }

    public function shorter(float $metres): self
    {
        $left = max(0.0, $this->length - $metres);

        return new self($this->id, $this->kind, $this->parts, $left, $this->met, $this->detail);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Material\Material;

/** One length of material as it is cut and laid. */
final readonly class Piece
{
    /** @param  list<Patch>  $patches at least one */
    public function __construct(
        public string $id,
        public Material $material,
        public PieceKind $kind,
        public ?PieceRole $role,
        public bool $air,
        /** whether it is the wall's air layer, rather than a piece that joins it */
        public bool $airLayer,
        public int $step,
        public ?string $under,
        public Edges $edges,
        public array $patches,
        /** what to cut, where a generator has worked it out */
        public ?CutSize $cut,
    ) {
    }

    /** @param  list<Patch>  $patches at least one */
    public function withPatches(array $patches, ?int $step = null): self
    {
        return new self(
            id: $this->id,
            material: $this->material,
            kind: $this->kind,
            role: $this->role,
            air: $this->air,
            airLayer: $this->airLayer,
            step: $step ?? $this->step,
            under: $this->under,
            edges: $this->edges,
            patches: $patches,
            cut: $this->cut,
        );
    }

    public function patch(string $id): Patch
    {
        foreach ($this->patches as $patch) {
            if ($patch->id === $id) {
                return $patch;
            }
        }
        throw new \OutOfBoundsException("the piece $this->id has no patch $id");
    }
}

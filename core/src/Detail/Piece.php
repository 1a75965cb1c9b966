<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Assembly\Control;
use Apron\Material\Material;

/** One length of material as it is cut and laid. */
final readonly class Piece
{
    /**
     * @param  list<Patch>  $patches  at least one
     * @param  list<Control>  $states  controls it is stated to carry, beside those that follow from what it is
     */
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
        public array $states = [],
    ) {
    }

    /** Whether it carries a control: the water plane sheds water, what holds air carries air. */
    public function carries(Control $control): bool
    {
        return match ($control) {
            Control::Water => $this->role === PieceRole::Plane,
            Control::Air => $this->air,
            default => false,
        } || in_array($control, $this->states, true);
    }

    /** @param  list<Patch>  $patches  at least one */
    public function withPatches(array $patches, ?int $step = null): self
    {
        return $this->copy($patches, $step ?? $this->step, $this->airLayer);
    }

    /** The same as the wall's air layer, which other pieces join. */
    public function asAirLayer(): self
    {
        return $this->copy($this->patches, $this->step, true);
    }

    /** @param  list<Patch>  $patches */
    private function copy(array $patches, int $step, bool $airLayer): self
    {
        return new self(
            id: $this->id,
            material: $this->material,
            kind: $this->kind,
            role: $this->role,
            air: $this->air,
            airLayer: $airLayer,
            step: $step,
            under: $this->under,
            edges: $this->edges,
            patches: $patches,
            cut: $this->cut,
            states: $this->states,
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

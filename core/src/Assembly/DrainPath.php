<?php

declare(strict_types=1);

namespace Apron\Assembly;

/**
 * Where the water of a wall goes outside of its plane: down a gap or a mat, past what crosses it, over heads, out at
 * the base.
 */
final readonly class DrainPath
{
    /** @param  list<array{at: int, gap: bool, blocked: bool}>  $ways  by layer; a gap of air, else a mat */
    private function __construct(
        /** number of the layer that is the plane */
        public int $plane,
        public array $ways,
        public ?Drainage $ends,
    ) {
    }

    /** Null where it is no wall in the weather, or no layer of it is to carry water. */
    public static function of(Assembly $assembly): ?self
    {
        $plane = null;
        foreach ($assembly->layers as $i => $layer) {
            $plane = in_array(Control::Water, $layer->controls, true) ? $i : $plane;
        }
        if ($plane === null || $assembly->kind !== AssemblyKind::Wall || $assembly->soil !== null) {
            return null;
        }
        $ways = [];
        foreach (array_slice($assembly->layers, $plane + 1, null, true) as $i => $layer) {
            $gap = $layer->airLayer() !== null;
            if ($gap || $layer->material->drains()) {
                $blocked = $layer->framing?->runs === Runs::Level;
                $ways[] = ['at' => $i, 'gap' => $gap, 'blocked' => $blocked];
            }
        }

        return new self($plane, $ways, $assembly->drainage);
    }

    /** Whether there is a way down at all, but level members cut each of them off. */
    public function cutOff(): bool
    {
        return $this->ways !== [] && $this->open() === [];
    }

    /** @return list<array{at: int, gap: bool, blocked: bool}> the ways that nothing level crosses */
    public function open(): array
    {
        return array_values(array_filter($this->ways, fn (array $way): bool => ! $way['blocked']));
    }

    /** Whether it comes to daylight; null where nobody has said how it ends. */
    public function out(): ?bool
    {
        return match (true) {
            $this->ways === [] => null,
            $this->cutOff() || $this->ends?->base === DrainEnd::Closed => false,
            default => $this->ends?->base === null ? null : true,
        };
    }
}

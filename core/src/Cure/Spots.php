<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\AirLayer;
use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Judgement\Cladding;
use Apron\Material\Role;

/** Where in an assembly a change can be made: numbers of layers, inside to outside. */
final readonly class Spots
{
    /** the innermost layer that insulates; the number of layers where none does */
    public int $insulation;

    /** where a board outside of the structure goes in: before this layer */
    public int $outside;

    /** the outermost layer that insulates; null where none does */
    public ?int $outermostInsulation;

    /** there is a board outside of the structure already */
    public bool $boardOutside;

    /** solid masonry or concrete with nothing in front of it: a board outside takes a render with it */
    public bool $bareMasonry;

    public function __construct(private Assembly $assembly)
    {
        $layers = $assembly->layers;
        $insulating = array_keys(array_filter($layers, fn (Layer $layer): bool => $layer->insulates()));
        $this->insulation = $insulating[0] ?? count($layers);
        $this->outermostInsulation = $insulating === [] ? null : $insulating[count($insulating) - 1];
        $this->bareMasonry =
            $assembly->kind === AssemblyKind::Wall &&
            $assembly->soil === null &&
            Cladding::solid($layers[count($layers) - 1]);
        $this->outside = $this->findOutside();
        $this->boardOutside = $this->findBoard();
    }

    /** A layer that insulates in front of the structure, with no members through it. */
    public function isBoard(int $at): bool
    {
        $layer = $this->assembly->layers[$at];

        return $layer->insulates() && $layer->framing === null && $layer->material->role() === Role::Board;
    }

    /** A board that lies outside of a sheathing, a deck or a solid wall. */
    private function findBoard(): bool
    {
        $structure = false;
        foreach ($this->assembly->reckonedLayers() as $at => $layer) {
            if ($structure && $this->isBoard($at)) {
                return true;
            }
            $carries = $layer->material->role() === Role::Sheathing || $layer->material->family?->timber !== null;
            $structure =
                $structure ||
                Cladding::solid($layer) ||
                ($carries && $at > 0) ||
                $layer->material->family?->id === 'clt' ||
                ($this->assembly->kind === AssemblyKind::Roof && $layer->material->isMetal());
        }

        return false;
    }

    private function findOutside(): int
    {
        $assembly = $this->assembly;
        $layers = $assembly->layers;
        $at = $assembly->ventilatedAt() ?? match (true) {
            $this->bareMasonry => count($layers),
            $assembly->kind === AssemblyKind::Wall => Cladding::of($assembly)->at ?? count($layers),
            default => count($layers),
        };
        // A gap or a mat belongs to the cladding; what keeps the weather off a roof, and the ground, lies outside of
        // it.
        while ($at > 1 && $this->givesWay($layers[$at - 1], $at === count($layers))) {
            $at--;
        }

        return $at;
    }

    private function givesWay(Layer $layer, bool $outermost): bool
    {
        $deck = $layer->material->isMetal() && ! $outermost;
        if ($layer->insulates() || Cladding::solid($layer) || $layer->framing !== null || $deck) {
            return false;
        }
        $weather = $this->assembly->kind === AssemblyKind::Roof || $this->assembly->soil !== null;
        $family = $layer->material->family?->id;

        return $layer->airLayer() === AirLayer::Ventilated ||
            $layer->airLayer() !== null ||
            $layer->material->drains() ||
            ($weather &&
                ($layer->material->shedsWater === true ||
                    in_array($family, ['soil', 'gravel', 'tile', 'asphalt-shingle', 'polyolefin', 'screed'], true)));
    }
}

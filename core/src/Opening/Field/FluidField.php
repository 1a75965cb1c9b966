<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\LeastLap;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * A fluid-applied membrane: the field coat goes on last of what lines the opening, over it to its arris, and holds by
 * its seal.
 */
final class FluidField extends Part implements WaterPlane
{
    public function materials(Composition $of): array
    {
        return ['fluid_material' => 'fluid-permeable'];
    }

    /** What is bonded onto a cured coat has its top edge sealed with the flashing grade. */
    public function headEdges(Composition $of): Edges
    {
        return new Edges(['top' => Edge::Sealed]);
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return false;
    }

    /** Coats hold by their seal to each other and to what they lap: below the sill they lap onto it. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::ReliesOnSeal;
    }

    public function steps(Scheme $in): array
    {
        return ['field-coat'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $m] = [$in->mm('width'), $in->mm('height'), $in->mm('margin')];
        $step = $in->at('field-coat');

        return [
            Lay::piece(
                'field-coat',
                $in->material('fluid'),
                PieceKind::Fluid,
                $step,
                [
                    Lay::patch('field-coat.below', 'face', [-$m, -$m, $w + $m, 0], ['c'], $step),
                    Lay::patch('field-coat.left', 'face', [-$m, 0, 0, $h], ['c'], $step),
                    Lay::patch('field-coat.right', 'face', [$w, 0, $w + $m, $h], ['c'], $step),
                    Lay::patch('field-coat.above', 'face', [-$m, $h, $w + $m, $h + $m], ['c'], $step),
                ],
                PieceRole::Plane,
            ),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'field-coat' ? [] : null;
    }

    public function leastLaps(Scheme $in): array
    {
        $lap = $in->least('membrane_lap');

        return [new LeastLap('fluid', 'fluid', $lap, $lap)];
    }
}

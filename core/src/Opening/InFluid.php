<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Sizes;
use Apron\Material\Material;

/**
 * The water plane is fluid-applied: fillets and a detail coat into the opening and onto the face, then the field coat
 * over it.
 */
trait InFluid
{
    protected function leastLaps(): array
    {
        return [new LeastLap('fluid', 'fluid', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm'])];
    }

    /** One coat over sill, jambs and head and out onto the face on every side. */
    protected function detailCoat(Sizes $s, Material $material, int $step): Piece
    {
        [$w, $h, $d, $face] = [$s->mm('width'), $s->mm('height'), $s->mm('depth'), $s->mm('face_return')];

        return $this->laid(
            'detail-coat',
            $material,
            PieceKind::Fluid,
            $step,
            [
                $this->patch('detail-coat.sill', 'sill', [0, 0, $w, $d], ['d'], $step),
                $this->patch('detail-coat.jamb-left', 'jamb-left', [0, 0, $d, $h], ['d'], $step),
                $this->patch('detail-coat.jamb-right', 'jamb-right', [0, 0, $d, $h], ['d'], $step),
                $this->patch('detail-coat.head', 'head', [0, 0, $w, $d], ['d'], $step),
                $this->patch('detail-coat.below', 'face', [-$face, -$face, $w + $face, 0], ['d'], $step),
                $this->patch('detail-coat.left', 'face', [-$face, 0, 0, $h], ['d'], $step),
                $this->patch('detail-coat.right', 'face', [$w, 0, $w + $face, $h], ['d'], $step),
                $this->patch('detail-coat.above', 'face', [-$face, $h, $w + $face, $h + $face], ['d'], $step),
            ],
            PieceRole::Pan,
        );
    }

    protected function fieldCoat(Sizes $s, Material $material, int $step): Piece
    {
        [$w, $h, $m] = [$s->mm('width'), $s->mm('height'), $s->mm('margin')];

        return $this->laid(
            'field-coat',
            $material,
            PieceKind::Fluid,
            $step,
            [
                $this->patch('field-coat.below', 'face', [-$m, -$m, $w + $m, 0], ['c'], $step),
                $this->patch('field-coat.left', 'face', [-$m, 0, 0, $h], ['c'], $step),
                $this->patch('field-coat.right', 'face', [$w, 0, $w + $m, $h], ['c'], $step),
                $this->patch('field-coat.above', 'face', [-$m, $h, $w + $m, $h + $m], ['c'], $step),
            ],
            PieceRole::Plane,
        );
    }
}

<?php

namespace Apron\Sequence;

use Apron\Detail\Edges;
use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Step;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange in a fluid-applied membrane: fillets and a detail coat into the opening and onto the face, the
 * field coat over it, the unit in sealant, fluid flashing over the flange at jambs and head, the bottom left open.
 */
final class FlangedUnitInFluid extends DressedOpening
{
    public const NAME = 'flanged-unit-in-fluid';

    protected const MATERIALS = ['fluid_material' => 'fluid-permeable', 'flashing_material' => 'fluid-flashing', 'unit_material' => 'window-unit'];

    /** Coats hold by their seal to each other: over the flange, and where the field coat laps onto the detail coat below the sill. */
    public function worst(): Outcome
    {
        return Outcome::ReliesOnSeal;
    }

    protected function pieces(array $s, array $used): array
    {
        return [
            $this->detailCoat($s, $used['flashing_material']),
            $this->fieldCoat($s, $used['fluid_material']),
            $this->unit($s, $used['unit_material'], 3),
            $this->flashing($s, $used['flashing_material']),
        ];
    }

    protected function leastLaps(): array
    {
        return [new LeastLap('fluid', 'fluid', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm'])];
    }

    /**
     * One coat over sill, jambs and head and out onto the face on every side.
     *
     * @param  array<string, float>  $s
     */
    private function detailCoat(array $s, Material $material): Piece
    {
        [$w, $h, $d, $face] = [$s['width_mm'], $s['height_mm'], $s['depth_mm'], $s['face_return_mm']];

        return new Piece('detail-coat', $material, PieceKind::Fluid, PieceRole::Pan, true, false, 1, null, new Edges, [
            $this->patch('detail-coat.sill', 'sill', [0, 0, $w, $d], ['d'], 1),
            $this->patch('detail-coat.jamb-left', 'jamb-left', [0, 0, $d, $h], ['d'], 1),
            $this->patch('detail-coat.jamb-right', 'jamb-right', [0, 0, $d, $h], ['d'], 1),
            $this->patch('detail-coat.head', 'head', [0, 0, $w, $d], ['d'], 1),
            $this->patch('detail-coat.below', 'face', [-$face, -$face, $w + $face, 0], ['d'], 1),
            $this->patch('detail-coat.left', 'face', [-$face, 0, 0, $h], ['d'], 1),
            $this->patch('detail-coat.right', 'face', [$w, 0, $w + $face, $h], ['d'], 1),
            $this->patch('detail-coat.above', 'face', [-$face, $h, $w + $face, $h + $face], ['d'], 1),
        ], null);
    }

    /** @param  array<string, float>  $s */
    private function fieldCoat(array $s, Material $material): Piece
    {
        [$w, $h, $m] = [$s['width_mm'], $s['height_mm'], $s['margin_mm']];

        return new Piece('field-coat', $material, PieceKind::Fluid, PieceRole::Plane, true, true, 2, null, new Edges, [
            $this->patch('field-coat.below', 'face', [-$m, -$m, $w + $m, 0], ['c'], 2),
            $this->patch('field-coat.left', 'face', [-$m, 0, 0, $h], ['c'], 2),
            $this->patch('field-coat.right', 'face', [$w, 0, $w + $m, $h], ['c'], 2),
            $this->patch('field-coat.above', 'face', [-$m, $h, $w + $m, $h + $m], ['c'], 2),
        ], null);
    }

    /**
     * Over the flange at both jambs and the head, joined wet; nothing over the bottom flange.
     *
     * @param  array<string, float>  $s
     */
    private function flashing(array $s, Material $material): Piece
    {
        [$w, $h, $inner, $out] = [$s['width_mm'], $s['height_mm'], $this->jambStripInner($s), $this->flangeOnFace($s) + $s['face_return_mm']];

        return new Piece('flange-flashing', $material, PieceKind::Fluid, null, true, false, 4, null, new Edges, [
            $this->patch('flange-flashing.left', 'face', [-$out, 0, $inner, $h - $inner], ['g'], 4),
            $this->patch('flange-flashing.right', 'face', [$w - $inner, 0, $w + $out, $h - $inner], ['g'], 4),
            $this->patch('flange-flashing.head', 'face', [-$out, $h - $inner, $w + $out, $h + $out], ['g'], 4),
        ], null);
    }

    protected function steps(array $s): array
    {
        return [
            new Step(1, 'detail-coat', ['face_mm' => $s['face_return_mm']]),
            new Step(2, 'field-coat', []),
            new Step(3, 'unit-in-sealant', ['clearance_mm' => $s['clearance_mm']]),
            new Step(4, 'flange-flashing', ['past_mm' => $s['face_return_mm']]),
            new Step(5, 'inner-air-seal', []),
        ];
    }
}

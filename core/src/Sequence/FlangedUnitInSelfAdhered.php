<?php

namespace Apron\Sequence;

use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Step;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange in a self-adhered membrane, shingled at the head: the membrane below and beside the opening
 * first, the course above only after the head strip, so that it laps over it and over what lies beside.
 */
final class FlangedUnitInSelfAdhered extends DressedOpening
{
    public const NAME = 'flanged-unit-in-self-adhered';

    protected const MATERIALS = ['membrane_material' => 'membrane-permeable', 'pan_material' => 'flashing-formable', 'strip_material' => 'flashing-strip', 'unit_material' => 'window-unit'];

    /** Every lap sheds; what leaks at the unit comes out under the open bottom flange. */
    public function worst(): Outcome
    {
        return Outcome::Recovered;
    }

    protected function pieces(array $s, array $used): array
    {
        return [
            $this->field($s, $used['membrane_material']),
            $this->pan($s, $used['pan_material'], 2),
            ...$this->jambLiners($s, $used['strip_material'], 3),
            $this->headLiner($s, $used['pan_material'], 4),
            $this->unit($s, $used['unit_material'], 5),
            ...$this->jambStrips($s, $used['strip_material'], 6),
            $this->headStrip($s, $used['strip_material'], 7),
            $this->courseAbove($s, $used['membrane_material']),
        ];
    }

    /** @param  array<string, float>  $s */
    private function field(array $s, Material $material): Piece
    {
        [$w, $m, $cut] = [$s['width_mm'], $s['margin_mm'], $s['height_mm'] + $s['sheet_cut_above_head_mm']];

        return new Piece('field', $material, PieceKind::Membrane, PieceRole::Plane, true, true, 1, null, new Edges, [
            $this->patch('field.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], 1),
            $this->patch('field.left', 'face', [-$m, 0, 0, $cut], ['f'], 1),
            $this->patch('field.right', 'face', [$w, 0, $w + $m, $cut], ['f'], 1),
        ], null);
    }

    /** @param  array<string, float>  $s */
    private function courseAbove(array $s, Material $material): Piece
    {
        [$w, $h, $m] = [$s['width_mm'], $s['height_mm'], $s['margin_mm']];
        $foot = $h + $s['sheet_cut_above_head_mm'] - $s['membrane_lap_mm'];

        return new Piece('course-above', $material, PieceKind::Membrane, PieceRole::Plane, true, true, 8, null, new Edges, [
            $this->patch('course-above.face', 'face', [-$m, $foot, $w + $m, $h + $m], [], 8),
        ], null);
    }

    protected function steps(array $s): array
    {
        $foot = $s['head_strip_mm'] - $this->headStripBelow($s) - $s['sheet_cut_above_head_mm'] + $s['membrane_lap_mm'];

        return [
            new Step(1, 'membrane-below-and-beside', ['above_mm' => $s['sheet_cut_above_head_mm']]),
            new Step(2, 'sill-pan', ['upturn_mm' => $s['pan_upturn_mm'], 'face_mm' => $s['face_return_mm'], 'dam_mm' => $s['back_dam_mm']]),
            new Step(3, 'jamb-liners', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(4, 'head-liner', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(5, 'unit-in-sealant', ['clearance_mm' => $s['clearance_mm']]),
            new Step(6, 'jamb-strips', ['past_mm' => $s['jamb_strip_past_head_mm']]),
            new Step(7, 'head-strip', ['past_mm' => $s['head_strip_past_jamb_mm']]),
            new Step(8, 'course-above', ['lap_mm' => $foot]),
            new Step(9, 'inner-air-seal', []),
        ];
    }
}

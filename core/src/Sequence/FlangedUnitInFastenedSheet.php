<?php

namespace Apron\Sequence;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Step;
use Apron\Detail\Unit;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange in a mechanically fastened sheet: sheet cut and turned in, head flap held up, sill pan,
 * jamb liners over the pan's upturns, unit, jamb strips over the flange, head strip, flap down, slits taped.
 *
 * Every lap sheds but the two slit tapes beside the flap, which rely on their bond. The sheet is cut straight across above
 * the head, as high as the jamb strips reach, and slit upward where the head strip ends: so the flap is as wide as the head
 * strip and its whole top edge lies under sheet. The jamb strips stop level with the sill, so that no bonded edge closes
 * the drain under the bottom flange.
 */
final class FlangedUnitInFastenedSheet extends DressedOpening
{
    public const NAME = 'flanged-unit-in-fastened-sheet';

    /** What each material parameter starts at. */
    protected const MATERIALS = [
        'sheet_material' => 'polyolefin-wrap', 'pan_material' => 'flashing-formable', 'strip_material' => 'flashing-strip',
        'tape_material' => 'seam-tape', 'unit_material' => 'window-unit',
    ];

    /** Over the slits of the flap the tapes rely on their bond. */
    public function worst(): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function pieces(array $s, array $used): array
    {
        return [
            $this->sheet($s, $used['sheet_material']),
            $this->pan($s, $used['pan_material'], 2),
            ...$this->jambLiners($s, $used['strip_material'], 3),
            $this->headLiner($s, $used['pan_material'], 4),
            $this->unit($s, $used['unit_material'], 5),
            ...$this->jambStrips($s, $used['strip_material'], 6),
            $this->headStrip($s, $used['strip_material'], 7),
            ...$this->slitTapes($s, $used['tape_material']),
        ];
    }

    /**
     * @param  array<string, float>  $s
     */
    private function sheet(array $s, Material $material): Piece
    {
        [$w, $h, $m, $d] = [$s['width_mm'], $s['height_mm'], $s['margin_mm'], $s['depth_mm']];
        $cut = $h + $s['sheet_cut_above_head_mm'];
        [$side, $top] = [$this->flapSide($s), $this->flapTop($s)];
        $field = ['field'];

        return new Piece('sheet', $material, PieceKind::Sheet, PieceRole::Plane, true, true, 1, null, new Edges, [
            $this->patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['field', 'in-sill'], 1),
            $this->patch('sheet.left', 'face', [-$m, 0, 0, $cut], ['field', 'in-left'], 1),
            $this->patch('sheet.right', 'face', [$w, 0, $w + $m, $cut], ['field', 'in-right'], 1),
            $this->patch('sheet.above-left', 'face', [-$m, $cut, -$side, $top], $field, 1),
            $this->patch('sheet.above-right', 'face', [$w + $side, $cut, $w + $m, $top], $field, 1),
            $this->patch('sheet.above', 'face', [-$m, $top, $w + $m, $h + $m], ['field', 'flap'], 1),
            $this->patch('sheet.flap', 'face', [-$side, $cut, $w + $side, $top], ['flap'], 8),
            $this->patch('sheet.in-sill', 'sill', [0, 0, $w, $d], ['in-sill'], 1),
            $this->patch('sheet.in-left', 'jamb-left', [0, 0, $d, $h], ['in-left'], 1),
            $this->patch('sheet.in-right', 'jamb-right', [0, 0, $d, $h], ['in-right'], 1),
        ], null);
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    private function slitTapes(array $s, Material $material): array
    {
        $half = $s['slit_tape_mm'] / 2;
        $foot = $s['height_mm'] + $s['sheet_cut_above_head_mm'] - $half;
        $top = $this->flapTop($s) + $half;
        $cut = new CutSize($top - $foot, $s['slit_tape_mm']);
        $tapes = [];
        foreach (['left' => -$this->flapSide($s), 'right' => $s['width_mm'] + $this->flapSide($s)] as $hand => $slit) {
            $tapes[] = new Piece("slit-tape-$hand", $material, PieceKind::Tape, null, true, false, 9, null, new Edges, [
                $this->patch("slit-tape-$hand.face", 'face', [$slit - $half, $foot, $slit + $half, $top], [], 9),
            ], $cut);
        }

        return $tapes;
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Step>
     */
    protected function steps(array $s): array
    {
        return [
            new Step(1, 'sheet-cut-and-turned-in', ['cut_above_mm' => $s['sheet_cut_above_head_mm'], 'cut_past_mm' => $this->flapSide($s), 'slit_mm' => $s['flap_mm']]),
            new Step(2, 'sill-pan', ['upturn_mm' => $s['pan_upturn_mm'], 'face_mm' => $s['face_return_mm'], 'dam_mm' => $s['back_dam_mm']]),
            new Step(3, 'jamb-liners', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(4, 'head-liner', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(5, 'unit-in-sealant', ['clearance_mm' => $s['clearance_mm']]),
            new Step(6, 'jamb-strips', ['past_mm' => $s['jamb_strip_past_head_mm']]),
            new Step(7, 'head-strip', ['past_mm' => $s['head_strip_past_jamb_mm']]),
            new Step(8, 'flap-down', ['lap_mm' => $s['head_strip_mm'] - $this->headStripBelow($s) - $s['sheet_cut_above_head_mm']]),
            new Step(9, 'slit-tapes', ['side_mm' => $s['slit_tape_mm'] / 2]),
            new Step(10, 'inner-air-seal', []),
        ];
    }
}

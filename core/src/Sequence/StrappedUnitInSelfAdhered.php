<?php

namespace Apron\Sequence;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Step;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A unit without flange, held by straps at a given depth of the opening, in a self-adhered membrane: the membrane goes on over the
 * head liner down to the arris, so that water drips off there, clear of the unit, onto the pan.
 */
final class StrappedUnitInSelfAdhered extends DressedOpening
{
    public const NAME = 'strapped-unit-in-self-adhered';

    protected const MATERIALS = ['membrane_material' => 'membrane-permeable', 'pan_material' => 'flashing-formable', 'strip_material' => 'flashing-strip'];

    /** Nothing lies over anything that water must get out from behind. */
    public function worst(): Outcome
    {
        return Outcome::Shed;
    }

    protected function pieces(array $s, array $used): array
    {
        return [
            $this->membrane($s, $used['membrane_material']),
            $this->pan($s, $used['pan_material'], 2),
            ...$this->jambLiners($s, $used['strip_material'], 3),
            $this->headLiner($s, $used['pan_material'], 4),
            $this->courseToArris($s, $used['membrane_material']),
        ];
    }

    protected function set(array $s): Unit
    {
        $inner = $s['setback_mm'] + $s['frame_depth_mm'];
        if ($inner > $s['depth_mm']) {
            throw new CannotGenerate('setback_mm', $s['setback_mm'], sprintf('no more than %g mm, so that the frame stays on the sill', $s['depth_mm'] - $s['frame_depth_mm']));
        }
        $closed = new UnitJoint(Edge::Sealed, true, true);

        return new Unit($s['setback_mm'], $inner, null, ['sill' => new UnitJoint(Edge::Open, true, true), 'head' => $closed, 'jamb-left' => $closed, 'jamb-right' => $closed]);
    }

    /** @param  array<string, float>  $s */
    private function membrane(array $s, Material $material): Piece
    {
        [$w, $h, $m] = [$s['width_mm'], $s['height_mm'], $s['margin_mm']];

        return new Piece('field', $material, PieceKind::Membrane, PieceRole::Plane, true, true, 1, null, new Edges, [
            $this->patch('field.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], 1),
            $this->patch('field.left', 'face', [-$m, 0, 0, $h + $s['membrane_lap_mm']], ['f'], 1),
            $this->patch('field.right', 'face', [$w, 0, $w + $m, $h + $s['membrane_lap_mm']], ['f'], 1),
        ], null);
    }

    /** @param  array<string, float>  $s */
    private function courseToArris(array $s, Material $material): Piece
    {
        [$w, $h, $m] = [$s['width_mm'], $s['height_mm'], $s['margin_mm']];

        return new Piece('course-above', $material, PieceKind::Membrane, PieceRole::Plane, true, true, 5, null, new Edges, [
            $this->patch('course-above.face', 'face', [-$m, $h, $w + $m, $h + $m], [], 5),
        ], null);
    }

    protected function steps(array $s): array
    {
        return [
            new Step(1, 'membrane-below-and-beside', ['above_mm' => $s['membrane_lap_mm']]),
            new Step(2, 'sill-pan', ['upturn_mm' => $s['pan_upturn_mm'], 'face_mm' => $s['face_return_mm'], 'dam_mm' => $s['back_dam_mm']]),
            new Step(3, 'jamb-liners', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(4, 'head-liner', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(5, 'course-to-arris', ['lap_mm' => $s['membrane_lap_mm']]),
            new Step(6, 'unit-on-straps', ['setback_mm' => $s['setback_mm'], 'clearance_mm' => $s['clearance_mm']]),
            new Step(7, 'outer-seals', []),
            new Step(8, 'straps-resealed', []),
            new Step(9, 'inner-air-seal', []),
        ];
    }
}

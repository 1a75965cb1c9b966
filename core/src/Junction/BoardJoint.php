<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\FacetDetail;
use Apron\Trace\Outcome;

/**
 * Where three boards of sheathing or insulation meet: a gap between them, the upright joint taped first, then the level
 * one across it.
 */
final class BoardJoint extends FacetDetail
{
    public const NAME = 'board-joint';

    protected const MATERIALS = ['board_material' => 'osb-film-faced', 'tape_material' => 'seam-tape'];

    /** The level tape carries the water over the joint by its bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function facets(array $s, array $chosen): array
    {
        return ['face' => [0.0, 0.0, $s['length_mm'], 2 * $s['side_mm']]];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['boards-gapped', ['gap_mm' => $s['gap_mm']]],
            ['upright-seams', ['tape_mm' => $s['tape_mm']]],
            ['level-seams', ['tape_mm' => $s['tape_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side, $half, $gap] = [$s['length_mm'], $s['side_mm'], $s['tape_mm'] / 2, $s['gap_mm'] / 2];
        [$material, $kind] = [$used['board_material'], PieceKind::Board];

        return [
            $this->onFace('board-lower', $material, $kind, 1, [0, 0, $w, $side - $gap], PieceRole::Plane),
            $this->onFace(
                'board-upper-left',
                $material,
                $kind,
                1,
                [0, $side + $gap, $w / 2 - $gap, 2 * $side],
                PieceRole::Plane,
            ),
            $this->onFace(
                'board-upper-right',
                $material,
                $kind,
                1,
                [$w / 2 + $gap, $side + $gap, $w, 2 * $side],
                PieceRole::Plane,
            ),
            $this->onFace(
                'seam-upper',
                $used['tape_material'],
                PieceKind::Tape,
                2,
                [$w / 2 - $half, $side, $w / 2 + $half, 2 * $side],
                null,
                new CutSize($side, 2 * $half),
            ),
            $this->onFace(
                'level-seam',
                $used['tape_material'],
                PieceKind::Tape,
                3,
                [0, $side - $half, $w, $side + $half],
                null,
                new CutSize($w, 2 * $half),
            ),
        ];
    }

    protected function framing(array $s): array
    {
        [$middle, $half] = [$s['length_mm'] / 2 + $s['stud_offset_mm'], $s['stud_mm'] / 2];

        return [
            new FramingMember(
                'face',
                new Rect(max(0.0, $middle - $half), 0.0, min($s['length_mm'], $middle + $half), 2 * $s['side_mm']),
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'stud_offset_mm', $s['length_mm'] / 2, 'the boards that are drawn');
        $this->demandBelow($s, 'gap_mm', $s['tape_mm'] - 50, 'so that the tape holds 25 mm on both boards');
        $this->demandBelow($s, 'tape_mm', min($s['side_mm'], $s['length_mm'] / 2), 'the boards beside the joint');
    }
}

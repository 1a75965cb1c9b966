<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
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

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return ['face' => [0.0, 0.0, $s->mm('length'), 2 * $s->mm('side')]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['boards-gapped', ['gap_mm' => $s->mm('gap')]],
            ['upright-seams', ['tape_mm' => $s->mm('tape')]],
            ['level-seams', ['tape_mm' => $s->mm('tape')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $half, $gap] = [$s->mm('length'), $s->mm('side'), $s->mm('tape') / 2, $s->mm('gap') / 2];
        [$material, $kind] = [$used->of('board'), PieceKind::Board];

        return [
            Lay::onFace(
                'board-lower',
                $material,
                $kind,
                $at->of('boards-gapped'),
                [0, 0, $w, $side - $gap],
                PieceRole::Plane,
            ),
            Lay::onFace(
                'board-upper-left',
                $material,
                $kind,
                $at->of('boards-gapped'),
                [0, $side + $gap, $w / 2 - $gap, 2 * $side],
                PieceRole::Plane,
            ),
            Lay::onFace(
                'board-upper-right',
                $material,
                $kind,
                $at->of('boards-gapped'),
                [$w / 2 + $gap, $side + $gap, $w, 2 * $side],
                PieceRole::Plane,
            ),
            Lay::onFace(
                'seam-upper',
                $used->of('tape'),
                PieceKind::Tape,
                $at->of('upright-seams'),
                [$w / 2 - $half, $side, $w / 2 + $half, 2 * $side],
                null,
                new CutSize($side, 2 * $half),
            ),
            Lay::onFace(
                'level-seam',
                $used->of('tape'),
                PieceKind::Tape,
                $at->of('level-seams'),
                [0, $side - $half, $w, $side + $half],
                null,
                new CutSize($w, 2 * $half),
            ),
        ];
    }

    protected function framing(Sizes $s): array
    {
        [$middle, $half] = [$s->mm('length') / 2 + $s->mm('stud_offset'), $s->mm('stud') / 2];

        return [
            new FramingMember(
                'face',
                new Rect(max(0.0, $middle - $half), 0.0, min($s->mm('length'), $middle + $half), 2 * $s->mm('side')),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('stud_offset_mm', $s->mm('length') / 2, 'the boards that are drawn');
        $s->demandBelow('gap_mm', $s->mm('tape') - 50, 'so that the tape holds 25 mm on both boards');
        $s->demandBelow('tape_mm', min($s->mm('side'), $s->mm('length') / 2), 'the boards beside the joint');
    }
}

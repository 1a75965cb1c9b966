<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * Where three boards of sheathing or insulation meet, gapped for panels and tight for foam: the upright joint closed
 * first, then the level one across it, by tape, by a bead of sealant spread over it, or by fabric in the coat. Behind a
 * sheet or a membrane it stays open, or is taped for air.
 */
final class BoardJoint extends FacetDetail
{
    public const NAME = 'board-joint';

    protected const PLANES = [
        WallPlane::FacedSheathing,
        WallPlane::TapedInsulation,
        WallPlane::Fluid,
        WallPlane::FastenedSheet,
        WallPlane::SelfAdhered,
    ];

    protected const CHOICES = ['board_joints' => ['tape', 'sealant', 'fabric', 'open']];

    /** The level tape carries the water over the joint by its bond; a bead or fabric does by its seal, under a coat. */
    public function worst(array $parameters = []): Outcome
    {
        $usual = $this->choicesIn(self::plane($parameters))['board_joints'][0];

        return match (true) {
            ! self::plane($parameters)?->standsFirst() => Outcome::Shed,
            ($parameters['board_joints'] ?? $usual) === 'tape' => Outcome::ReliesOnBond,
            default => Outcome::ReliesOnSeal,
        };
    }

    /** Fabric needs a coat to lie in, and a coat no tape under it that it might not hold to. */
    protected function choicesIn(?WallPlane $plane): array
    {
        return [
            'board_joints' => match ($plane) {
                WallPlane::Fluid => ['fabric', 'sealant'],
                WallPlane::FastenedSheet, WallPlane::SelfAdhered => ['open', 'tape'],
                default => ['tape', 'sealant'],
            },
        ];
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        $plane ??= self::PLANES[0];
        $behind = $plane->standsFirst() ? [] : ['panel_material' => 'osb'];

        return $behind
            + [$plane->place() => $plane->usual()]
            + ($plane === WallPlane::Fluid ? [] : ['tape_material' => 'seam-tape'])
            + ($behind !== [] && $plane !== WallPlane::Fluid ? [] : ['joint_material' => 'fluid-flashing']);
    }

    /** A spread bead holds by an inch on each board, less the joint. */
    protected function ownLaps(Choices $chosen): array
    {
        if (! $chosen->is('board_joints', 'sealant')) {
            return [];
        }
        $boards = array_fill_keys(['board-lower', 'board-upper-left', 'board-upper-right'], 'spread_mm');

        return ['seam-upper' => $boards, 'level-seam' => $boards];
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return ['face' => [0.0, 0.0, $s->mm('length'), 2 * $s->mm('side')]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $closed = match ($chosen->of('board_joints')) {
            'tape' => [
                ['upright-seams', ['tape_mm' => $s->mm('tape')]],
                ['level-seams', ['tape_mm' => $s->mm('tape')]],
            ],
            'fabric' => [['joints-in-fabric', ['tape_mm' => $s->mm('tape')]]],
            'open' => [],
            default => [['joints-in-sealant', ['tape_mm' => $s->mm('spread')]]],
        };

        return [
            $s->mm('gap') > 0 ? ['boards-gapped', ['gap_mm' => $s->mm('gap')]] : ['boards-tight', []],
            ...$closed,
            ...match ($chosen->plane()) {
                WallPlane::Fluid => [['wall-coat', []]],
                WallPlane::FastenedSheet, WallPlane::SelfAdhered => [['plane-over-boards', []]],
                default => [],
            },
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $gap, $set] = [
            $s->mm('length'),
            $s->mm('side'),
            $s->mm('gap') / 2,
            (int) $at->firstOf('boards-gapped', 'boards-tight'),
        ];
        $over = (int) $at->firstOf('wall-coat', 'plane-over-boards');
        $material = $used->of($chosen->stands() ? 'plane' : 'panel');
        $role = $chosen->stands() ? PieceRole::Plane : null;
        $board = fn (string $id, float $u0, float $v0, float $u1, float $v1): Piece => Lay::onFace(
            $id,
            $material,
            PieceKind::Board,
            $set,
            [$u0, $v0, $u1, $v1],
            $role,
        );

        return [
            $board('board-lower', 0, 0, $w, $side - $gap),
            $board('board-upper-left', 0, $side + $gap, $w / 2 - $gap, 2 * $side),
            $board('board-upper-right', $w / 2 + $gap, $side + $gap, $w, 2 * $side),
            ...$chosen->is('board_joints', 'open') ? [] : self::seams($s, $used, $chosen, $at),
            ...$chosen->stands()
                ? []
                : [Lay::plane('coat', $used, $chosen, $over, 'face', [0, 0, $w, 2 * $side])],
        ];
    }

    /**
     * The upright joint and the level one across it. What is spread wet is one piece: there the upright ends where the
     * level begins.
     *
     * @return list<Piece>
     */
    private static function seams(Sizes $s, Used $used, Choices $chosen, StepNumbers $at): array
    {
        $taped = $chosen->is('board_joints', 'tape');
        [$w, $side, $half] = [
            $s->mm('length'),
            $s->mm('side'),
            $s->mm($chosen->is('board_joints', 'sealant') ? 'spread' : 'tape') / 2,
        ];
        [$material, $kind] = $taped
            ? [$used->of('tape'), PieceKind::Tape]
            : [$used->of('joint'), PieceKind::Fluid];
        [$upright, $level] = array_map(
            fn (string $tape): int => (int) $at->firstOf($tape, 'joints-in-fabric', 'joints-in-sealant'),
            ['upright-seams', 'level-seams'],
        );

        return [
            Lay::onFace(
                'seam-upper',
                $material,
                $kind,
                $upright,
                [$w / 2 - $half, $side + ($taped ? 0.0 : $half), $w / 2 + $half, 2 * $side],
                null,
                $taped ? new CutSize($side, 2 * $half) : null,
            ),
            Lay::onFace(
                'level-seam',
                $material,
                $kind,
                $level,
                [0, $side - $half, $w, $side + $half],
                null,
                $taped ? new CutSize($w, 2 * $half) : null,
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

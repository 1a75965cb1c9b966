<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\Edges;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Exterior insulation beside a buck that is as deep as the board: the unit stands out in the insulation, all that is
 * dressed is dressed on the buck and the plane behind, and the boards are cut to the buck and set last. Their joint
 * with it stays open at the foot.
 */
final class BoardBesideBuck extends Part
{
    public function groups(Composition $of): array
    {
        return ['beside-buck'];
    }

    public function materials(Composition $of): array
    {
        return [self::boardIs($of).'_material' => 'mineral-wool-board'];
    }

    /** A plane of boards has a material of its own by that name. */
    private static function boardIs(Composition $of): string
    {
        return $of->has('plane', 'faced-sheathing', 'taped-insulation') ? 'outer_board' : 'board';
    }

    /** What comes off the buck at the sill gets behind the board below, and out at its foot. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::Recovered;
    }

    public function steps(Scheme $in): array
    {
        return ['boards-beside-buck'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $m, $b] = [$in->mm('width'), $in->mm('height'), $in->mm('margin'), $in->mm('buck_face')];
        $step = $in->at('boards-beside-buck');
        $rects = [
            'below' => [-$m, -$m, $w + $m, -$b],
            'left' => [-$m, -$b, -$b, $h + $b],
            'right' => [$w + $b, -$b, $w + $m, $h + $b],
            'above' => [-$m, $h + $b, $w + $m, $h + $m],
        ];

        return [
            new Piece(
                'boards',
                $in->material(self::boardIs($in->of)),
                PieceKind::Board,
                null,
                false,
                false,
                $step,
                null,
                new Edges,
                array_map(
                    fn (string $side): Patch => Lay::patch("boards.$side", 'face', $rects[$side], ['b'], $step),
                    array_keys($rects),
                ),
                null,
            ),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'boards-beside-buck' ? ['board_mm' => $in->mm('insulation')] : null;
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow('buck_face_mm', $in->mm('margin'), 'the wall round the opening that is drawn');
    }
}

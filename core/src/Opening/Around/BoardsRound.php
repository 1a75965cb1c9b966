<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\Edges;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Scheme;

/** The boards of exterior insulation on the four sides of what they are cut to. */
final class BoardsRound
{
    /** The name their material goes by: a plane of boards has a material of its own called board. */
    public static function name(Composition $of): string
    {
        return $of->has('plane', 'faced-sheathing', 'taped-insulation') ? 'outer_board' : 'board';
    }

    /**
     * Boards on a facet from an edge out to the margin of the drawing.
     *
     * @param  float  $beside  mm from the opening to the edge that they are cut to, the same on all sides
     */
    public static function piece(Scheme $in, string $facet, float $beside, int $step): Piece
    {
        [$w, $h, $m] = [$in->mm('width'), $in->mm('height'), $in->mm('margin')];
        [$left, $right] = [0.0 - $beside, $w + $beside];
        [$foot, $top] = [0.0 - $beside, $h + $beside];
        $rects = [
            'below' => [-$m, -$m, $w + $m, $foot],
            'left' => [-$m, $foot, $left, $top],
            'right' => [$right, $foot, $w + $m, $top],
            'above' => [-$m, $top, $w + $m, $h + $m],
        ];

        return new Piece(
            'boards',
            $in->material(self::name($in->of)),
            PieceKind::Board,
            null,
            false,
            false,
            $step,
            null,
            new Edges,
            array_map(
                fn (string $side): Patch => Lay::patch("boards.$side", $facet, $rects[$side], ['b'], $step),
                array_keys($rects),
            ),
            null,
        );
    }
}

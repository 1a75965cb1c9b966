<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Material\Material;

/** The water plane round what passes through it, w wide and h high: up to past its top, and the course over that. */
final class RoundThrough
{
    /** The plane up to past the top of what passes through, cut round it. */
    public static function below(float $w, float $h, Sizes $s, Material $material, StepNumbers $at): Piece
    {
        [$m, $p, $top] = [$s->mm('margin'), $s->mm('hole_past'), $h + $s->mm('collar')];

        return Lay::piece(
            'plane-below',
            $material,
            PieceKind::Membrane,
            $at->of('plane-to-pipe'),
            [
                Lay::patch('plane-below.below', 'face', [-$m, -$m, $w + $m, -$p], ['f'], $at->of('plane-to-pipe')),
                Lay::patch('plane-below.left', 'face', [-$m, -$p, -$p, $h + $p], ['f'], $at->of('plane-to-pipe')),
                Lay::patch(
                    'plane-below.right',
                    'face',
                    [$w + $p, -$p, $w + $m, $h + $p],
                    ['f'],
                    $at->of('plane-to-pipe'),
                ),
                Lay::patch(
                    'plane-below.above',
                    'face',
                    [-$m, $h + $p, $w + $m, $top],
                    ['f'],
                    $at->of('plane-to-pipe'),
                ),
            ],
            PieceRole::Plane,
        );
    }

    public static function above(float $w, float $h, Sizes $s, Material $material, int $step): Piece
    {
        $m = $s->mm('margin');

        return Lay::piece(
            'plane-above',
            $material,
            PieceKind::Membrane,
            $step,
            [
                Lay::patch(
                    'plane-above.face',
                    'face',
                    [-$m, $h + $s->mm('collar') - $s->mm('lap'), $w + $m, $h + $m],
                    [],
                    $step,
                ),
            ],
            PieceRole::Plane,
        );
    }

    public static function demandRoom(Sizes $s): void
    {
        $s->demandBelow('collar_mm', $s->mm('margin'), 'the wall round the pipe that is drawn');
        $s->demandBelow('lap_mm', $s->mm('collar'), 'so that the course above stops over the pipe');
        $s->demandBelow(
            'hole_past_mm',
            $s->mm('collar') - $s->mm('lap'),
            'so that the collar laps the membrane all round',
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;

/**
 * The wall's plane at a flashing that is turned up it: down over the upstand, or, where boards stand there already, the
 * top of the upstand taped to them.
 */
final class OverUpstand
{
    /** @return array{string, array<string, float>} the step that laps it */
    public static function step(Sizes $s): array
    {
        return [
            'sheet-over-upstand',
            ['lap_mm' => $s->mm('lap'), 'clear_mm' => $s->mm('upstand') - $s->mm('lap')],
        ];
    }

    /**
     * @param  float  $side  how much of the wall is drawn, mm
     * @return list<Piece>
     */
    public static function plane(
        string $facet,
        float $side,
        Sizes $s,
        Used $used,
        Choices $chosen,
        StepNumbers $at,
    ): array {
        [$w, $up] = [$s->mm('length'), $s->mm('upstand')];
        if (! $chosen->stands()) {
            $over = $at->of('sheet-over-upstand');

            return [Lay::plane('sheet', $used, $chosen, $over, $facet, [0, $up - $s->mm('lap'), $w, $side])];
        }
        [$half, $taped] = [$s->mm('tape') / 2, $at->of('upstand-taped')];

        return [
            Lay::plane('boards', $used, $chosen, $at->of('boards-on-wall'), $facet, [0, 0, $w, $side]),
            Lay::piece(
                'upstand-tape',
                $used->of('tape'),
                PieceKind::Tape,
                $taped,
                [Lay::patch("upstand-tape.$facet", $facet, [0, $up - $half, $w, $up + $half], [], $taped)],
                // From the metal onto the boards it is the plane.
                PieceRole::Plane,
                new CutSize($w, 2 * $half),
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Fold;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * The wall's plane meets the roof's at the eaves: the roof membrane is folded down over the edge framing before
 * overhangs go on, onto a strip at the top of the wall; the wall sheet goes up under its foot, so that the roof sheds
 * over the wall.
 */
final class WallToRoof extends FacetDetail
{
    public const NAME = 'wall-to-roof';

    protected const RELEASE = 'roof';

    protected const PLANES = WallPlane::SHEET_FIRST;

    protected const MATERIALS = [
        'strip_material' => 'flashing-strip',
        'roof_material' => 'roof-membrane',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return [
            'roof' => [0.0, 0.0, $s->mm('length'), $s->mm('side')],
            'wall' => [0.0, 0.0, $s->mm('length'), 2 * $s->mm('side')],
        ];
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [new Fold('roof', 'wall', 2 * $s->mm('side'))];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $strip = ['wall-top-strip', ['strip_mm' => $s->mm('strip')]];
        $roof = ['roof-folded-down', ['down_mm' => $s->mm('down')]];

        return $chosen->is('plane', WallPlane::FastenedSheet->value)
            ? [$strip, $roof, ['sheet-under-fold', ['lap_mm' => $s->mm('lap')]]]
            : [['plane-to-top', []], $strip, $roof];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $top] = [$s->mm('length'), $s->mm('side'), 2 * $s->mm('side')];
        $later = $at->has('sheet-under-fold');
        // The lowest part of the fold stays unbonded until the sheet is under it.
        $foot = $later ? new Edges(['bottom' => Edge::Open]) : null;

        return [
            ...$later
                ? []
                : [Lay::plane('wall-plane', $used, $chosen, $at->of('plane-to-top'), 'wall', [0, 0, $w, $top])],
            Lay::piece(
                'wall-top-strip',
                $used->of('strip'),
                PieceKind::Membrane,
                $at->of('wall-top-strip'),
                [
                    Lay::patch(
                        'wall-top-strip.face',
                        'wall',
                        [0, $top - $s->mm('strip'), $w, $top],
                        [],
                        $at->of('wall-top-strip'),
                    ),
                ],
                null,
                new CutSize($w, $s->mm('strip')),
            ),
            Lay::piece(
                'roof-membrane',
                $used->of('roof'),
                PieceKind::Membrane,
                $at->of('roof-folded-down'),
                [
                    Lay::patch(
                        'roof-membrane.roof',
                        'roof',
                        [0, 0, $w, $side],
                        ['r'],
                        $at->of('roof-folded-down'),
                    ),
                    Lay::patch(
                        'roof-membrane.wall',
                        'wall',
                        [0, $top - $s->mm('down'), $w, $top],
                        ['r'],
                        $at->of('roof-folded-down'),
                        $foot,
                    ),
                ],
                PieceRole::Plane,
            ),
            ...$later ? [self::sheetUnder($w, $top - $s->mm('down') + $s->mm('lap'), $used, $at)] : [],
        ];
    }

    /** A sheet can still go up under the fold when the roof is on. */
    private static function sheetUnder(float $w, float $to, Used $used, StepNumbers $at): Piece
    {
        return new Piece(
            'wall-sheet',
            $used->of('plane'),
            PieceKind::Sheet,
            PieceRole::Plane,
            true,
            true,
            $at->of('sheet-under-fold'),
            'roof-membrane',
            new Edges,
            [Lay::patch('wall-sheet.face', 'wall', [0, 0, $w, $to], [], $at->of('sheet-under-fold'))],
            null,
        );
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('lap_mm', $s->mm('down'), 'what the roof membrane is folded down');
        $s->demandBelow('down_mm', min($s->mm('strip') + 1, $s->mm('side')), 'so that it ends on the strip');
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Fold;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\FacetDetail;
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

    protected const MATERIALS = [
        'strip_material' => 'flashing-strip',
        'roof_material' => 'roof-membrane',
        'sheet_material' => 'polyolefin-wrap',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(array $s, array $chosen): array
    {
        return [
            'roof' => [0.0, 0.0, $s['length_mm'], $s['side_mm']],
            'wall' => [0.0, 0.0, $s['length_mm'], 2 * $s['side_mm']],
        ];
    }

    protected function folds(array $s, array $chosen): array
    {
        return [new Fold('roof', 'wall', 2 * $s['side_mm'])];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['wall-top-strip', ['strip_mm' => $s['strip_mm']]],
            ['roof-folded-down', ['down_mm' => $s['down_mm']]],
            ['sheet-under-fold', ['lap_mm' => $s['lap_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side, $top] = [$s['length_mm'], $s['side_mm'], 2 * $s['side_mm']];
        // The lowest part of the fold stays unbonded until the sheet is under it.
        $foot = new Edges(['bottom' => Edge::Open]);
        $under = fn (string $id, float $v1) => new \Apron\Detail\Piece(
            $id,
            $used['sheet_material'],
            PieceKind::Sheet,
            PieceRole::Plane,
            true,
            true,
            3,
            'roof-membrane',
            new Edges,
            [$this->patch("$id.face", 'wall', [0, 0, $w, $v1], [], 3)],
            null,
        );

        return [
            $this->laid(
                'wall-top-strip',
                $used['strip_material'],
                PieceKind::Membrane,
                1,
                [$this->patch('wall-top-strip.face', 'wall', [0, $top - $s['strip_mm'], $w, $top], [], 1)],
                null,
                new CutSize($w, $s['strip_mm']),
            ),
            $this->laid(
                'roof-membrane',
                $used['roof_material'],
                PieceKind::Membrane,
                2,
                [
                    $this->patch('roof-membrane.roof', 'roof', [0, 0, $w, $side], ['r'], 2),
                    $this->patch('roof-membrane.wall', 'wall', [0, $top - $s['down_mm'], $w, $top], ['r'], 2, $foot),
                ],
                PieceRole::Plane,
            ),
            $under('wall-sheet', $top - $s['down_mm'] + $s['lap_mm']),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'lap_mm', $s['down_mm'], 'what the roof membrane is folded down');
        $this->demandBelow($s, 'down_mm', min($s['strip_mm'] + 1, $s['side_mm']), 'so that it ends on the strip');
    }
}

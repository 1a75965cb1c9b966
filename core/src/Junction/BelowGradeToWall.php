<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\FacetDetail;
use Apron\Trace\Outcome;

/**
 * Below-grade waterproofing that meets a coated wall: primed where the wall's coat laps down over it, before insulation
 * and backfill.
 */
final class BelowGradeToWall extends FacetDetail
{
    use OnFoundation;

    public const NAME = 'below-grade-to-wall';

    protected const RELEASE = 'wall';

    protected const MATERIALS = [
        'waterproofing_material' => 'membrane-sbs',
        'coat_material' => 'fluid-permeable',
        'board_material' => 'xps',
    ];

    /** Behind the board below ground the water runs on the waterproofing and leaves at its foot. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Recovered;
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['waterproofing', ['below_mm' => $s['below_top_mm']]],
            ['coat-over-waterproofing', ['lap_mm' => $s['coat_lap_mm']]],
            ['foundation-board', []],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side] = [$s['length_mm'], $s['side_mm']];
        $down = $side - $s['below_top_mm'] - $s['coat_lap_mm'];

        return [
            $this->laid('waterproofing', $used['waterproofing_material'], PieceKind::Membrane, 1, [
                $this->patch('waterproofing.foundation', 'foundation', [0, 0, $w, $side - $s['below_top_mm']], [], 1),
            ]),
            $this->laid(
                'wall-coat',
                $used['coat_material'],
                PieceKind::Fluid,
                2,
                [
                    $this->patch('wall-coat.wall', 'wall', [0, 0, $w, $side], ['c'], 2),
                    $this->patch('wall-coat.foundation', 'foundation', [0, $down, $w, $side], ['c'], 2),
                ],
                PieceRole::Plane,
            ),
            $this->laid(
                'foundation-board',
                $used['board_material'],
                PieceKind::Board,
                3,
                [
                    $this->patch(
                        'foundation-board.foundation',
                        'foundation',
                        [0, 0, $w, $side - $s['below_top_mm'] / 2],
                        [],
                        3,
                    ),
                ],
                null,
                null,
                null,
                false,
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'below_top_mm', $s['side_mm'] - $s['coat_lap_mm'], 'the foundation that is drawn');
    }
}

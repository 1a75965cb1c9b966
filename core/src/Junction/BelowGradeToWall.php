<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
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

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['waterproofing', ['below_mm' => $s->mm('below_top')]],
            ['coat-over-waterproofing', ['lap_mm' => $s->mm('coat_lap')]],
            ['foundation-board', []],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side] = [$s->mm('length'), $s->mm('side')];
        $down = $side - $s->mm('below_top') - $s->mm('coat_lap');

        return [
            Lay::piece('waterproofing', $used->of('waterproofing'), PieceKind::Membrane, $at->of('waterproofing'), [
                Lay::patch(
                    'waterproofing.foundation',
                    'foundation',
                    [0, 0, $w, $side - $s->mm('below_top')],
                    [],
                    $at->of('waterproofing'),
                ),
            ]),
            Lay::piece(
                'wall-coat',
                $used->of('coat'),
                PieceKind::Fluid,
                $at->of('coat-over-waterproofing'),
                [
                    Lay::patch(
                        'wall-coat.wall',
                        'wall',
                        [0, 0, $w, $side],
                        ['c'],
                        $at->of('coat-over-waterproofing'),
                    ),
                    Lay::patch(
                        'wall-coat.foundation',
                        'foundation',
                        [0, $down, $w, $side],
                        ['c'],
                        $at->of('coat-over-waterproofing'),
                    ),
                ],
                PieceRole::Plane,
            ),
            Lay::piece(
                'foundation-board',
                $used->of('board'),
                PieceKind::Board,
                $at->of('foundation-board'),
                [
                    Lay::patch(
                        'foundation-board.foundation',
                        'foundation',
                        [0, 0, $w, $side - $s->mm('below_top') / 2],
                        [],
                        $at->of('foundation-board'),
                    ),
                ],
                null,
                null,
                null,
                false,
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('below_top_mm', $s->mm('side') - $s->mm('coat_lap'), 'the foundation that is drawn');
    }
}

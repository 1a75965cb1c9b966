<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
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
 * Below-grade waterproofing that meets the wall: primed where the wall's coat or membrane laps down over it, before
 * insulation and backfill. Under a sheet, and over the foot of boards, a strip is bonded onto both.
 */
final class BelowGradeToWall extends FacetDetail
{
    use OnFoundation;

    public const NAME = 'below-grade-to-wall';

    protected const RELEASE = 'wall';

    protected const PLANES = [
        WallPlane::Fluid,
        WallPlane::SelfAdhered,
        WallPlane::FastenedSheet,
        WallPlane::FacedSheathing,
        WallPlane::TapedInsulation,
    ];

    protected const PLANE_MATERIAL = 'coat_material';

    protected const MATERIALS = [
        'waterproofing_material' => 'membrane-sbs',
        'coat_material' => 'fluid-permeable',
        'board_material' => 'xps',
    ];

    /** Behind the board below ground the water runs on the waterproofing and leaves at its foot. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::Recovered;
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        return parent::materialsIn($plane) + (self::stripped($plane) ? ['strip_material' => 'flashing-strip'] : []);
    }

    /** What is not bonded itself meets the waterproofing by a strip. */
    private static function stripped(?WallPlane $plane): bool
    {
        return $plane === WallPlane::FastenedSheet || ($plane?->standsFirst() ?? false);
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $lap = ['lap_mm' => $s->mm('coat_lap')];
        $strip = fn (): array => ['strip-onto-waterproofing', $lap + ['wall_mm' => $s->mm('strip_up')]];

        return [
            ['waterproofing', ['below_mm' => $s->mm('below_top')]],
            ...match ($chosen->plane()) {
                WallPlane::Fluid => [['coat-over-waterproofing', $lap]],
                WallPlane::SelfAdhered => [['plane-over-waterproofing', $lap]],
                WallPlane::FastenedSheet => [$strip(), ['plane-foot-open', ['lap_mm' => $s->mm('strip_lap')]]],
                default => [['boards-on-wall', []], $strip()],
            },
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
            ...$at->has('strip-onto-waterproofing')
                ? self::overStrip($down, $s, $used, $chosen, $at)
                : [self::lappedDown($down, $s, $used, $chosen, $at)],
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

    /** What is bonded goes over the top of the wall itself. */
    private static function lappedDown(
        float $down,
        Sizes $s,
        Used $used,
        Choices $chosen,
        StepNumbers $at,
    ): Piece {
        [$w, $side] = [$s->mm('length'), $s->mm('side')];
        $step = (int) $at->firstOf('coat-over-waterproofing', 'plane-over-waterproofing');

        return Lay::piece(
            'wall-coat',
            $used->of('plane'),
            $chosen->plane()->kind(),
            $step,
            [
                Lay::patch('wall-coat.wall', 'wall', [0, 0, $w, $side], ['c'], $step),
                Lay::patch('wall-coat.foundation', 'foundation', [0, $down, $w, $side], ['c'], $step),
            ],
            PieceRole::Plane,
        );
    }

    /**
     * A strip bonded to both, the sheet over it or the boards under it.
     *
     * @return list<Piece>
     */
    private static function overStrip(
        float $down,
        Sizes $s,
        Used $used,
        Choices $chosen,
        StepNumbers $at,
    ): array {
        [$w, $side, $up] = [$s->mm('length'), $s->mm('side'), $s->mm('strip_up')];
        [$strip, $plane] = [
            $at->of('strip-onto-waterproofing'),
            (int) $at->firstOf('plane-foot-open', 'boards-on-wall'),
        ];
        $from = $chosen->stands() ? 0.0 : $up - $s->mm('strip_lap');

        return [
            Lay::piece(
                'foot-strip',
                $used->of('strip'),
                PieceKind::Membrane,
                $strip,
                [
                    Lay::patch('foot-strip.wall', 'wall', [0, 0, $w, $up], ['s'], $strip),
                    Lay::patch('foot-strip.foundation', 'foundation', [0, $down, $w, $side], ['s'], $strip),
                ],
                null,
                new CutSize($w, $up + $side - $down),
            ),
            Lay::plane('plane', $used, $chosen, $plane, 'wall', [0, $from, $w, $side]),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('below_top_mm', $s->mm('side') - $s->mm('coat_lap'), 'the foundation that is drawn');
    }
}

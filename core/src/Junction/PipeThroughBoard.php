<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Fold;
use Apron\Detail\Penetration;
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
 * A small pipe through thick board, in both planes, with the flashing at the base that collects. At the sheathing it is
 * always sealed to the plane. One school tapes it to the outer face of the board and lets the base collect; the other
 * leads the sheathing's water out over it by a flashing of its own. The wall is drawn no wider than that flashing: what
 * runs beside the pipe is the base's. Where boards are the plane they stand first, and flashings are bonded to them.
 */
final class PipeThroughBoard extends FacetDetail
{
    public const NAME = 'pipe-through-board';

    protected const RELEASE = 'above';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const PLANE_MATERIAL = 'sheet_material';

    protected const EXTENTS = ['diameter_mm' => [10.0, 150.0]];

    protected const MATERIALS = [
        'sheet_material' => 'membrane-permeable',
        'board_material' => 'mineral-wool-board-dense',
        'collar_material' => 'flashing-formable',
        'tape_material' => 'flashing-formable',
        'membrane_material' => 'flashing-strip',
        'edge_material' => 'aluminium',
    ];

    protected const CHOICES = ['board_penetration' => ['outer-face', 'flashed-through']];

    /** The collar at the sheathing, and in one school the tape at the outer face, hold by their seal to the pipe. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::ReliesOnSeal;
    }

    private static function flashed(Choices $chosen): bool
    {
        return $chosen->is('board_penetration', 'flashed-through');
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        [$half, $side, $slope] = [$this->half($s), $s->mm('side'), $this->slope($s)];

        return [
            'above' => [-$half, 0.0, $half, $side],
            ...self::flashed($chosen) ? ['pipe-ledge' => [-$half, 0.0, $half, $slope]] : [],
            'sheathing' => [-$half, 0.0, $half, $this->top($s)],
            'outer-face' => [-$half, 0.0, $half, $this->top($s)],
            'ledge' => [-$half, 0.0, $half, $slope],
            'outer-foot' => [-$half, 0.0, $half, $s->mm('side')],
        ];
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        $out = self::flashed($chosen)
            ? [
                new Fold('above', 'pipe-ledge', $this->slope($s)),
                new Fold('pipe-ledge', 'outer-face', $this->top($s)),
            ]
            : [new Fold('above', 'sheathing', $this->top($s))];

        return [
            ...$out,
            new Fold('sheathing', 'ledge', $this->slope($s)),
            new Fold('ledge', 'outer-foot', $s->mm('side')),
        ];
    }

    /** Half of the wall that is drawn. */
    private function half(Sizes $s): float
    {
        return $s->mm('diameter') / 2 + $s->mm('past_pipe');
    }

    private function slope(Sizes $s): float
    {
        return round($s->mm('insulation') / cos(deg2rad($s->figure('bevel_deg'))), 1);
    }

    /** Where the wall above the pipe begins: clear of the collar on the sheathing. */
    private function top(Sizes $s): float
    {
        return $s->mm('side') + $s->mm('diameter') + 2 * $s->mm('collar');
    }

    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        $rect = new Rect(
            -$s->mm('diameter') / 2,
            $s->mm('side'),
            $s->mm('diameter') / 2,
            $s->mm('side') + $s->mm('diameter'),
        );

        return [
            new Penetration('pipe', 'sheathing', $rect, ['collar']),
            ...self::flashed($chosen)
                ? []
                : [new Penetration('pipe-outside', 'outer-face', $rect, ['outer-collar'])],
        ];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ...$chosen->stands() ? [['boards-on-wall', []]] : [],
            ['base-edge', ['leg_mm' => $s->mm('metal'), 'drip_mm' => $s->mm('drip')]],
            ['base-membrane', ['upstand_mm' => $s->mm('upstand'), 'lap_mm' => $s->mm('metal_lap')]],
            ...$chosen->stands() ? [] : [['plane-to-pipe', ['hole_mm' => $s->mm('hole_past')]]],
            ['pipe-collar', ['past_mm' => $s->mm('collar'), 'along_mm' => $s->mm('along_pipe')]],
            ...$chosen->stands() ? [] : [['plane-over-collar', ['lap_mm' => $s->mm('lap')]]],
            ['boards-to-pipe', ['board_mm' => $s->mm('insulation')]],
            ...self::flashed($chosen)
                ? [
                    [
                        'wedge-over-pipe',
                        [
                            'bevel_deg' => $s->figure('bevel_deg'),
                            'leg_mm' => $s->mm('metal'),
                            'drip_mm' => $s->mm('drip'),
                        ],
                    ],
                    ['flashing-over-pipe', ['upstand_mm' => $s->mm('upstand'), 'lap_mm' => $s->mm('metal_lap')]],
                    ...$chosen->stands() ? [] : [OverUpstand::step($s)],
                ]
                : [['pipe-taped-outside', ['past_mm' => $s->mm('collar'), 'along_mm' => $s->mm('along_pipe')]]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$half, $p, $c, $side, $top, $flashed] = [
            $this->half($s),
            $s->mm('diameter'),
            $s->mm('collar'),
            $s->mm('side'),
            $this->top($s),
            self::flashed($chosen),
        ];
        [$r, $rim] = [$p / 2, $side + $p + $c];
        $round = [-$r - $c, $side - $c, $r + $c, $rim];
        $cut = new CutSize($p + 2 * ($c + $s->mm('along_pipe')), $p + 2 * ($c + $s->mm('along_pipe')));

        return [
            ...$this->flashing('base', 'ledge', 'outer-foot', 'sheathing', $side, $at->of('base-edge'), $s, $used),
            ...$this->field($s, $used, $chosen, $at),
            Lay::piece(
                'collar',
                $used->of('collar'),
                PieceKind::Formable,
                $at->of('pipe-collar'),
                [Lay::patch('collar.sheathing', 'sheathing', $round, [], $at->of('pipe-collar'))],
                PieceRole::HeadFlashing,
                $cut,
            ),
            Lay::piece(
                'boards',
                $used->of('board'),
                PieceKind::Board,
                $at->of('boards-to-pipe'),
                [Lay::patch('boards.face', 'outer-face', [-$half, 0, $half, $top], [], $at->of('boards-to-pipe'))],
                null,
                null,
                null,
                false,
            ),
            ...$flashed
                ? [
                    ...$this->flashing(
                        'pipe',
                        'pipe-ledge',
                        'outer-face',
                        'above',
                        $top,
                        $at->of('wedge-over-pipe'),
                        $s,
                        $used,
                    ),
                ]
                : [
                    Lay::piece(
                        'outer-collar',
                        $used->of('tape'),
                        PieceKind::Formable,
                        $at->of('pipe-taped-outside'),
                        [Lay::patch('outer-collar.face', 'outer-face', $round, [], $at->of('pipe-taped-outside'))],
                        null,
                        $cut,
                        null,
                        false,
                    ),
                ],
        ];
    }

    /**
     * The plane on the sheathing, and on the wall above: where the pipe is flashed through, that wall comes down on its
     * flashing, and below it only a strip of plane is left to lap the collar.
     *
     * @return list<Piece>
     */
    private function field(Sizes $s, Used $used, Choices $chosen, StepNumbers $at): array
    {
        [$half, $top, $side, $up, $lap] = [
            $this->half($s),
            $this->top($s),
            $s->mm('side'),
            $s->mm('upstand'),
            $s->mmIfAsked('lap'),
        ];
        $rim = $side + $s->mm('diameter') + $s->mm('collar');
        $piece = fn (string $id, string $facet, float $from, float $to, int $step): Piece => Lay::plane(
            $id,
            $used,
            $chosen,
            $step,
            $facet,
            [-$half, $from, $half, $to],
        );
        $boards = $at->firstOf('boards-on-wall');
        if ($boards !== null) {
            return self::flashed($chosen)
                ? [
                    $piece('plane-below', 'sheathing', 0, $top, $boards),
                    $piece('plane-above', 'above', 0, $side, $boards),
                ]
                : [$this->wholly(0, $s, $used, $chosen, $boards)];
        }
        $below = $piece('plane-below', 'sheathing', $up - $lap, $rim, $at->of('plane-to-pipe'));
        $over = $at->of('plane-over-collar');
        if (self::flashed($chosen)) {
            return [
                $below,
                $piece('plane-above', 'sheathing', $rim - $lap, $top, $over),
                $piece('course-above', 'above', $up - $lap, $side, $at->of('sheet-over-upstand')),
            ];
        }

        return [$below, $this->wholly($rim - $lap, $s, $used, $chosen, $over)];
    }

    /** The plane from a height on the sheathing up the wall above, in one. */
    private function wholly(float $from, Sizes $s, Used $used, Choices $chosen, int $step): Piece
    {
        [$half, $top] = [$this->half($s), $this->top($s)];

        return Lay::piece(
            'plane-above',
            $used->of('plane'),
            $chosen->plane()->kind(),
            $step,
            [
                Lay::patch('plane-above.sheathing', 'sheathing', [-$half, $from, $half, $top], ['f'], $step),
                Lay::patch('plane-above.above', 'above', [-$half, 0, $half, $s->mm('side')], ['f'], $step),
            ],
            PieceRole::Plane,
        );
    }

    /**
     * Metal at the outer edge only, and membrane from it up the slope and the wall behind.
     *
     * @return list<Piece>
     */
    private function flashing(
        string $which,
        string $ledge,
        string $outside,
        string $wall,
        float $down,
        int $step,
        Sizes $s,
        Used $used,
    ): array {
        [$half, $slope, $metal, $from] = [
            $this->half($s),
            $this->slope($s),
            $s->mm('metal'),
            $s->mm('metal') - $s->mm('metal_lap'),
        ];

        return [
            Lay::piece(
                "$which-edge",
                $used->of('edge'),
                PieceKind::Metal,
                $step,
                [
                    Lay::patch("$which-edge.ledge", $ledge, [-$half, 0, $half, $metal], ['e'], $step),
                    Lay::patch(
                        "$which-edge.drip",
                        $outside,
                        [-$half, $down - $s->mm('drip'), $half, $down],
                        ['e'],
                        $step,
                        null,
                        true,
                    ),
                ],
                null,
                new CutSize(2 * $half, $metal + $s->mm('drip')),
                null,
                false,
            ),
            Lay::piece(
                "$which-membrane",
                $used->of('membrane'),
                PieceKind::Membrane,
                $step + 1,
                [
                    Lay::patch("$which-membrane.ledge", $ledge, [-$half, $from, $half, $slope], ['m'], $step + 1),
                    Lay::patch(
                        "$which-membrane.wall",
                        $wall,
                        [-$half, 0, $half, $s->mm('upstand')],
                        ['m'],
                        $step + 1,
                    ),
                ],
                PieceRole::HeadFlashing,
                new CutSize(2 * $half, $slope - $from + $s->mm('upstand')),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('collar_mm', $s->mm('past_pipe'), 'the wall beside the pipe that is drawn');
        $s->demandBelow(
            'lap_mm',
            min($s->mm('collar'), $s->mm('upstand')),
            'the collar and the upstand that the courses lap',
        );
        $s->demandBelow(
            'hole_past_mm',
            $s->mm('collar') - $s->mmIfAsked('lap'),
            'so that the collar laps the membrane all round',
        );
        $s->demandBelow(
            'metal_mm',
            $this->slope($s),
            'the slope through the insulation: metal stays at its outer edge',
        );
        $s->demandBelow('metal_lap_mm', $s->mm('metal') + 1, 'the metal that the membrane laps');
        $s->demandBelow(
            'upstand_mm',
            $s->mm('side') - $s->mm('collar'),
            'the wall below the collar, and above the pipe, that is drawn',
        );
    }
}

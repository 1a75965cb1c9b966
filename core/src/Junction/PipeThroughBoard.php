<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Fold;
use Apron\Detail\Patch;
use Apron\Detail\Penetration;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\FacetDetail;
use Apron\Trace\Outcome;

/**
 * A small pipe through thick board, in both planes, with the flashing at the base that collects. At the sheathing it is
 * always sealed to the plane. One school tapes it to the outer face of the board and lets the base collect; the other
 * leads the sheathing's water out over it by a flashing of its own. The wall is drawn no wider than that flashing: what
 * runs beside the pipe is the base's.
 */
final class PipeThroughBoard extends FacetDetail
{
    public const NAME = 'pipe-through-board';

    protected const RELEASE = 'above';

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
        return Outcome::ReliesOnSeal;
    }

    /** @param  array<string, string>  $chosen */
    private static function flashed(array $chosen): bool
    {
        return $chosen['board_penetration'] === 'flashed-through';
    }

    protected function facets(array $s, array $chosen): array
    {
        [$half, $side, $slope] = [$this->half($s), $s['side_mm'], $this->slope($s)];

        return [
            'above' => [-$half, 0.0, $half, $side],
            ...self::flashed($chosen) ? ['pipe-ledge' => [-$half, 0.0, $half, $slope]] : [],
            'sheathing' => [-$half, 0.0, $half, $this->top($s)],
            'outer-face' => [-$half, 0.0, $half, $this->top($s)],
            'ledge' => [-$half, 0.0, $half, $slope],
            'outer-foot' => [-$half, 0.0, $half, $s['side_mm']],
        ];
    }

    protected function folds(array $s, array $chosen): array
    {
        $out = self::flashed($chosen)
            ? [new Fold('above', 'pipe-ledge', $this->slope($s)), new Fold('pipe-ledge', 'outer-face', $this->top($s))]
            : [new Fold('above', 'sheathing', $this->top($s))];

        return [
            ...$out,
            new Fold('sheathing', 'ledge', $this->slope($s)),
            new Fold('ledge', 'outer-foot', $s['side_mm']),
        ];
    }

    /**
     * Half of the wall that is drawn.
     *
     * @param  array<string, float>  $s
     */
    private function half(array $s): float
    {
        return $s['diameter_mm'] / 2 + $s['past_pipe_mm'];
    }

    /** @param  array<string, float>  $s */
    private function slope(array $s): float
    {
        return round($s['insulation_mm'] / cos(deg2rad($s['bevel_deg'])), 1);
    }

    /**
     * Where the wall above the pipe begins: clear of the collar on the sheathing.
     *
     * @param  array<string, float>  $s
     */
    private function top(array $s): float
    {
        return $s['side_mm'] + $s['diameter_mm'] + 2 * $s['collar_mm'];
    }

    protected function penetrations(array $s, array $chosen): array
    {
        $rect = new Rect(
            -$s['diameter_mm'] / 2,
            $s['side_mm'],
            $s['diameter_mm'] / 2,
            $s['side_mm'] + $s['diameter_mm'],
        );

        return [
            new Penetration('pipe', 'sheathing', $rect, ['collar']),
            ...self::flashed($chosen) ? [] : [new Penetration('pipe-outside', 'outer-face', $rect, ['outer-collar'])],
        ];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['base-edge', ['leg_mm' => $s['metal_mm'], 'drip_mm' => $s['drip_mm']]],
            ['base-membrane', ['upstand_mm' => $s['upstand_mm'], 'lap_mm' => $s['metal_lap_mm']]],
            ['plane-to-pipe', ['hole_mm' => $s['hole_past_mm']]],
            ['pipe-collar', ['past_mm' => $s['collar_mm'], 'along_mm' => $s['along_pipe_mm']]],
            ['plane-over-collar', ['lap_mm' => $s['lap_mm']]],
            ['boards-to-pipe', ['board_mm' => $s['insulation_mm']]],
            ...self::flashed($chosen)
                ? [
                    [
                        'wedge-over-pipe',
                        ['bevel_deg' => $s['bevel_deg'], 'leg_mm' => $s['metal_mm'], 'drip_mm' => $s['drip_mm']],
                    ],
                    ['flashing-over-pipe', ['upstand_mm' => $s['upstand_mm'], 'lap_mm' => $s['metal_lap_mm']]],
                    ['sheet-over-upstand', ['lap_mm' => $s['lap_mm'], 'clear_mm' => $s['upstand_mm'] - $s['lap_mm']]],
                ]
                : [['pipe-taped-outside', ['past_mm' => $s['collar_mm'], 'along_mm' => $s['along_pipe_mm']]]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$half, $p, $c, $side, $top, $up, $lap, $flashed] = [
            $this->half($s),
            $s['diameter_mm'],
            $s['collar_mm'],
            $s['side_mm'],
            $this->top($s),
            $s['upstand_mm'],
            $s['lap_mm'],
            self::flashed($chosen),
        ];
        [$r, $rim] = [$p / 2, $side + $p + $c];
        $round = [-$r - $c, $side - $c, $r + $c, $rim];
        $cut = new CutSize($p + 2 * ($c + $s['along_pipe_mm']), $p + 2 * ($c + $s['along_pipe_mm']));
        // Where the pipe is flashed through, the wall above it comes down on that flashing, and only a strip of plane
        // is left to lap the collar.
        $over = $this->patch('plane-above.sheathing', 'sheathing', [-$half, $rim - $lap, $half, $top], ['f'], 5);
        $sheet = fn (string $id, int $step, Patch ...$patches): Piece => $this->laid(
            $id,
            $used['sheet_material'],
            PieceKind::Membrane,
            $step,
            array_values($patches),
            PieceRole::Plane,
        );

        return [
            ...$this->flashing('base', 'ledge', 'outer-foot', 'sheathing', $side, 1, $s, $used),
            $sheet(
                'plane-below',
                3,
                $this->patch('plane-below.sheathing', 'sheathing', [-$half, $up - $lap, $half, $rim], [], 3),
            ),
            $this->laid(
                'collar',
                $used['collar_material'],
                PieceKind::Formable,
                4,
                [$this->patch('collar.sheathing', 'sheathing', $round, [], 4)],
                PieceRole::HeadFlashing,
                $cut,
            ),
            $sheet(
                'plane-above',
                5,
                $over,
                ...$flashed ? [] : [$this->patch('plane-above.above', 'above', [-$half, 0, $half, $side], ['f'], 5)],
            ),
            $this->laid(
                'boards',
                $used['board_material'],
                PieceKind::Board,
                6,
                [$this->patch('boards.face', 'outer-face', [-$half, 0, $half, $top], [], 6)],
                null,
                null,
                null,
                false,
            ),
            ...$flashed
                ? [
                    ...$this->flashing('pipe', 'pipe-ledge', 'outer-face', 'above', $top, 7, $s, $used),
                    $sheet(
                        'course-above',
                        9,
                        $this->patch('course-above.above', 'above', [-$half, $up - $lap, $half, $side], [], 9),
                    ),
                ]
                : [
                    $this->laid(
                        'outer-collar',
                        $used['tape_material'],
                        PieceKind::Formable,
                        7,
                        [$this->patch('outer-collar.face', 'outer-face', $round, [], 7)],
                        null,
                        $cut,
                        null,
                        false,
                    ),
                ],
        ];
    }

    /**
     * Metal at the outer edge only, and membrane from it up the slope and the wall behind.
     *
     * @param  array<string, float>  $s
     * @param  array<string, \Apron\Material\Material>  $used
     * @return list<Piece>
     */
    private function flashing(
        string $which,
        string $ledge,
        string $outside,
        string $wall,
        float $down,
        int $step,
        array $s,
        array $used,
    ): array {
        [$half, $slope, $metal, $from] = [
            $this->half($s),
            $this->slope($s),
            $s['metal_mm'],
            $s['metal_mm'] - $s['metal_lap_mm'],
        ];

        return [
            $this->laid(
                "$which-edge",
                $used['edge_material'],
                PieceKind::Metal,
                $step,
                [
                    $this->patch("$which-edge.ledge", $ledge, [-$half, 0, $half, $metal], ['e'], $step),
                    $this->patch(
                        "$which-edge.drip",
                        $outside,
                        [-$half, $down - $s['drip_mm'], $half, $down],
                        ['e'],
                        $step,
                        null,
                        true,
                    ),
                ],
                null,
                new CutSize(2 * $half, $metal + $s['drip_mm']),
                null,
                false,
            ),
            $this->laid(
                "$which-membrane",
                $used['membrane_material'],
                PieceKind::Membrane,
                $step + 1,
                [
                    $this->patch("$which-membrane.ledge", $ledge, [-$half, $from, $half, $slope], ['m'], $step + 1),
                    $this->patch("$which-membrane.wall", $wall, [-$half, 0, $half, $s['upstand_mm']], ['m'], $step + 1),
                ],
                PieceRole::HeadFlashing,
                new CutSize(2 * $half, $slope - $from + $s['upstand_mm']),
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'collar_mm', $s['past_pipe_mm'], 'the wall beside the pipe that is drawn');
        $this->demandBelow(
            $s,
            'lap_mm',
            min($s['collar_mm'], $s['upstand_mm']),
            'the collar and the upstand that the courses lap',
        );
        $this->demandBelow(
            $s,
            'hole_past_mm',
            $s['collar_mm'] - $s['lap_mm'],
            'so that the collar laps the membrane all round',
        );
        $this->demandBelow(
            $s,
            'metal_mm',
            $this->slope($s),
            'the slope through the insulation: metal stays at its outer edge',
        );
        $this->demandBelow($s, 'metal_lap_mm', $s['metal_mm'] + 1, 'the metal that the membrane laps');
        $this->demandBelow(
            $s,
            'upstand_mm',
            $s['side_mm'] - $s['collar_mm'],
            'the wall below the collar, and above the pipe, that is drawn',
        );
    }
}

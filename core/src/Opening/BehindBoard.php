<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;

/**
 * An opening behind thick exterior insulation: two planes of water. At the head a flashing reaches back to the
 * sheathing, membrane on a wedge of board with metal only at the outer edge, for metal right through is a large thermal
 * bridge; at the sill a second pan takes what runs on the board's face.
 */
trait BehindBoard
{
    /**
     * @return list<Piece> what is dressed at the sheathing, whatever the unit
     */
    protected function atSheathing(Sizes $s, Used $used, StepNumbers $at): array
    {
        return [
            $this->field($s, $used->of('membrane'), $at->of('membrane-below-and-beside'), $s->mm('upstand')),
            $this->pan($s, $used->of('pan'), $at->of('sill-pan')),
            ...$this->jambLiners($s, $used->of('strip'), $at->of('jamb-liners')),
            $this->headLiner($s, $used->of('pan'), $at->of('head-liner')),
        ];
    }

    /**
     * @param  float  $past  the flashing beyond the opening, each side
     * @return list<Piece> the head flashing, its metal and the course over it
     */
    protected function headFlashing(Sizes $s, Used $used, StepNumbers $at, float $past): array
    {
        [$w, $h, $board] = [$s->mm('width'), $s->mm('height'), $s->mm('insulation')];

        return [
            $this->edge('head-edge', $s, $used, $at->of('head-wedge-metal'), 'reveal-head', $h),
            $this->laid(
                'head-flashing',
                $used->of('strip'),
                PieceKind::Membrane,
                $at->of('head-flashing-out'),
                [
                    $this->patch(
                        'head-flashing.face',
                        'face',
                        [-$past, $h, $w + $past, $h + $s->mm('upstand')],
                        ['h'],
                        $at->of('head-flashing-out'),
                    ),
                    $this->patch(
                        'head-flashing.out',
                        'reveal-head',
                        [0, $s->mm('metal') - $s->mm('metal_lap'), $w, $board],
                        ['h'],
                        $at->of('head-flashing-out'),
                    ),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * $past, $s->mm('upstand') + $board - $s->mm('metal') + $s->mm('metal_lap')),
            ),
            $this->courseAbove(
                $s,
                $used->of('membrane'),
                $at->of('course-over-flashing'),
                $s->mm('upstand') - $s->mm('membrane_lap'),
            ),
        ];
    }

    /**
     * @param  bool  $over  whether the second pan is bonded over the pan, and leads its water out
     * @return list<Piece> boards, the metal at the sill and the second pan
     */
    protected function boardAndSecondPan(Sizes $s, Used $used, StepNumbers $at, bool $over): array
    {
        [$w, $h, $d, $m, $board, $up] = [
            $s->mm('width'),
            $s->mm('height'),
            $s->mm('depth'),
            $s->mm('margin'),
            $s->mm('insulation'),
            $s->mm('second_upturn'),
        ];
        [$pan, $from] = [
            (int) $at->firstOf('second-pan-apart', 'second-pan-over'),
            $s->mm('metal') - $s->mm('metal_lap'),
        ];

        return [
            new Piece(
                'boards',
                $used->of('board'),
                PieceKind::Board,
                null,
                false,
                false,
                $at->of('boards-round'),
                null,
                new Edges,
                array_map(
                    fn (string $side, array $rect) => $this->patch(
                        "boards.$side",
                        'outer-face',
                        $rect,
                        ['b'],
                        $at->of('boards-round'),
                    ),
                    ['below', 'left', 'right', 'above'],
                    [[-$m, -$m, $w + $m, 0], [-$m, 0, 0, $h], [$w, 0, $w + $m, $h], [-$m, $h, $w + $m, $h + $m]],
                ),
                null,
            ),
            $this->edge('sill-edge', $s, $used, $at->of('reveal-metal-edge'), 'reveal-sill', 0.0),
            $this->laid(
                'second-pan',
                $used->of('pan'),
                PieceKind::Formable,
                $pan,
                [
                    $this->patch('second-pan.sill', 'reveal-sill', [0, $from, $w, $board], ['s'], $pan),
                    $this->patch('second-pan.left', 'reveal-jamb-left', [$from, 0, $board, $up], ['s'], $pan),
                    $this->patch('second-pan.right', 'reveal-jamb-right', [$from, 0, $board, $up], ['s'], $pan),
                    ...$over ? [$this->patch('second-pan.over', 'sill', [0, 0, $w, $d], ['s'], $pan)] : [],
                ],
                null,
                new CutSize($w + 2 * $up, $board - $from + ($over ? $d : $up)),
            ),
        ];
    }

    /** Metal at the outer edge of the board only, turned down over its face. */
    private function edge(string $id, Sizes $s, Used $used, int $step, string $facet, float $y): Piece
    {
        return $this->laid(
            $id,
            $used->of('edge'),
            PieceKind::Metal,
            $step,
            [
                $this->patch("$id.in", $facet, [0, 0, $s->mm('width'), $s->mm('metal')], ['e'], $step),
                $this->patch(
                    "$id.drip",
                    'outer-face',
                    [0, $y - $s->mm('drip'), $s->mm('width'), $y],
                    ['e'],
                    $step,
                    null,
                    true,
                ),
            ],
            null,
            new CutSize($s->mm('width'), $s->mm('metal') + $s->mm('drip')),
            null,
            false,
        );
    }

    protected function outerBoard(Sizes $s): float
    {
        return $s->mm('insulation');
    }

    /**
     * @return array<string, float>|null null for a step that any opening has
     */
    protected function figuresBehindBoard(string $does, Sizes $s): ?array
    {
        return match ($does) {
            'head-wedge-metal' => [
                'bevel_deg' => $s->figure('bevel_deg'),
                'leg_mm' => $s->mm('metal'),
                'drip_mm' => $s->mm('drip'),
            ],
            'head-flashing-out' => ['upstand_mm' => $s->mm('upstand'), 'lap_mm' => $s->mm('metal_lap')],
            'course-over-flashing' => [
                'lap_mm' => $s->mm('membrane_lap'),
                'clear_mm' => $s->mm('upstand') - $s->mm('membrane_lap'),
            ],
            'boards-round' => ['board_mm' => $s->mm('insulation')],
            'reveal-metal-edge' => ['leg_mm' => $s->mm('metal'), 'drip_mm' => $s->mm('drip')],
            'second-pan-apart', 'second-pan-over' => [
                'lap_mm' => $s->mm('metal_lap'),
                'upturn_mm' => $s->mm('second_upturn'),
            ],
            default => null,
        };
    }

    protected function demandBoardRoom(Sizes $s): void
    {
        $this->demandBelow(
            $s,
            'metal_mm',
            $s->mm('insulation'),
            'the thickness of the board: metal stays at its outer edge',
        );
        $this->demandBelow($s, 'metal_lap_mm', $s->mm('metal') + 1, 'the metal that it laps');
        $this->demandBelow($s, 'upstand_mm', $s->mm('margin'), 'the wall above the opening that is drawn');
        $this->demandBelow(
            $s,
            'membrane_lap_mm',
            $s->mm('upstand') - $s->mm('face_return') + 1,
            'the upstand less the leg of the head liner, which the flashing covers',
        );
        $this->demandBelow($s, 'second_upturn_mm', $s->mm('height'), 'the height of the opening');
    }
}

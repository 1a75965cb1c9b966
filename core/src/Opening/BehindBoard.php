<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Material\Material;

/**
 * An opening behind thick exterior insulation: two planes of water. At the head a flashing reaches back to the
 * sheathing, membrane on a wedge of board with metal only at the outer edge, for metal right through is a large thermal
 * bridge; at the sill a second pan takes what runs on the board's face.
 */
trait BehindBoard
{
    /**
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @return list<Piece> what is dressed at the sheathing, whatever the unit
     */
    protected function atSheathing(array $s, array $used, array $at): array
    {
        return [
            $this->field($s, $used['membrane_material'], $at['membrane-below-and-beside'], $s['upstand_mm']),
            $this->pan($s, $used['pan_material'], $at['sill-pan']),
            ...$this->jambLiners($s, $used['strip_material'], $at['jamb-liners']),
            $this->headLiner($s, $used['pan_material'], $at['head-liner']),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @param  float  $past  the flashing beyond the opening, each side
     * @return list<Piece> the head flashing, its metal and the course over it
     */
    protected function headFlashing(array $s, array $used, array $at, float $past): array
    {
        [$w, $h, $board] = [$s['width_mm'], $s['height_mm'], $s['insulation_mm']];

        return [
            $this->edge('head-edge', $s, $used, $at['head-wedge-metal'], 'reveal-head', $h),
            $this->laid(
                'head-flashing',
                $used['strip_material'],
                PieceKind::Membrane,
                $at['head-flashing-out'],
                [
                    $this->patch(
                        'head-flashing.face',
                        'face',
                        [-$past, $h, $w + $past, $h + $s['upstand_mm']],
                        ['h'],
                        $at['head-flashing-out'],
                    ),
                    $this->patch(
                        'head-flashing.out',
                        'reveal-head',
                        [0, $s['metal_mm'] - $s['metal_lap_mm'], $w, $board],
                        ['h'],
                        $at['head-flashing-out'],
                    ),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * $past, $s['upstand_mm'] + $board - $s['metal_mm'] + $s['metal_lap_mm']),
            ),
            $this->courseAbove(
                $s,
                $used['membrane_material'],
                $at['course-over-flashing'],
                $s['upstand_mm'] - $s['membrane_lap_mm'],
            ),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @param  bool  $over  whether the second pan is bonded over the pan, and leads its water out
     * @return list<Piece> boards, the metal at the sill and the second pan
     */
    protected function boardAndSecondPan(array $s, array $used, array $at, bool $over): array
    {
        [$w, $h, $d, $m, $board, $up] = [
            $s['width_mm'],
            $s['height_mm'],
            $s['depth_mm'],
            $s['margin_mm'],
            $s['insulation_mm'],
            $s['second_upturn_mm'],
        ];
        [$pan, $from] = [$at['second-pan-apart'] ?? $at['second-pan-over'], $s['metal_mm'] - $s['metal_lap_mm']];

        return [
            new Piece(
                'boards',
                $used['board_material'],
                PieceKind::Board,
                null,
                false,
                false,
                $at['boards-round'],
                null,
                new Edges,
                array_map(
                    fn (string $side, array $rect) => $this->patch(
                        "boards.$side",
                        'outer-face',
                        $rect,
                        ['b'],
                        $at['boards-round'],
                    ),
                    ['below', 'left', 'right', 'above'],
                    [[-$m, -$m, $w + $m, 0], [-$m, 0, 0, $h], [$w, 0, $w + $m, $h], [-$m, $h, $w + $m, $h + $m]],
                ),
                null,
            ),
            $this->edge('sill-edge', $s, $used, $at['reveal-metal-edge'], 'reveal-sill', 0.0),
            $this->laid(
                'second-pan',
                $used['pan_material'],
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

    /**
     * Metal at the outer edge of the board only, turned down over its face.
     *
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     */
    private function edge(string $id, array $s, array $used, int $step, string $facet, float $y): Piece
    {
        return $this->laid(
            $id,
            $used['edge_material'],
            PieceKind::Metal,
            $step,
            [
                $this->patch("$id.in", $facet, [0, 0, $s['width_mm'], $s['metal_mm']], ['e'], $step),
                $this->patch(
                    "$id.drip",
                    'outer-face',
                    [0, $y - $s['drip_mm'], $s['width_mm'], $y],
                    ['e'],
                    $step,
                    null,
                    true,
                ),
            ],
            null,
            new CutSize($s['width_mm'], $s['metal_mm'] + $s['drip_mm']),
            null,
            false,
        );
    }

    protected function outerBoard(array $s): float
    {
        return $s['insulation_mm'];
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>|null null for a step that any opening has
     */
    protected function figuresBehindBoard(string $does, array $s): ?array
    {
        return match ($does) {
            'head-wedge-metal' => [
                'bevel_deg' => $s['bevel_deg'],
                'leg_mm' => $s['metal_mm'],
                'drip_mm' => $s['drip_mm'],
            ],
            'head-flashing-out' => ['upstand_mm' => $s['upstand_mm'], 'lap_mm' => $s['metal_lap_mm']],
            'course-over-flashing' => [
                'lap_mm' => $s['membrane_lap_mm'],
                'clear_mm' => $s['upstand_mm'] - $s['membrane_lap_mm'],
            ],
            'boards-round' => ['board_mm' => $s['insulation_mm']],
            'reveal-metal-edge' => ['leg_mm' => $s['metal_mm'], 'drip_mm' => $s['drip_mm']],
            'second-pan-apart', 'second-pan-over' => [
                'lap_mm' => $s['metal_lap_mm'],
                'upturn_mm' => $s['second_upturn_mm'],
            ],
            default => null,
        };
    }

    /** @param  array<string, float>  $s */
    protected function demandBoardRoom(array $s): void
    {
        $this->demandBelow(
            $s,
            'metal_mm',
            $s['insulation_mm'],
            'the thickness of the board: metal stays at its outer edge',
        );
        $this->demandBelow($s, 'metal_lap_mm', $s['metal_mm'] + 1, 'the metal that it laps');
        $this->demandBelow($s, 'upstand_mm', $s['margin_mm'], 'the wall above the opening that is drawn');
        $this->demandBelow(
            $s,
            'membrane_lap_mm',
            $s['upstand_mm'] - $s['face_return_mm'] + 1,
            'the upstand less the leg of the head liner, which the flashing covers',
        );
        $this->demandBelow($s, 'second_upturn_mm', $s['height_mm'], 'the height of the opening');
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Exterior insulation round the opening: two planes of water. At the head a flashing reaches back to the sheathing,
 * membrane on a wedge of board with metal only at the outer edge, for metal right through is a large thermal bridge; at
 * the sill a second pan takes what runs on the board's face, and leads the pan's water out where that is the school.
 */
final class BoardOutside extends Part
{
    public function groups(Composition $of): array
    {
        return ['behind-board'];
    }

    public function materials(Composition $of): array
    {
        return [
            'edge_material' => 'aluminium',
            BoardsRound::name($of).'_material' => 'mineral-wool-board',
            'strip_material' => 'flashing-strip',
            self::panIs($of).'_material' => 'flashing-formable',
        ];
    }

    /** The second pan is of what the pan is of, where that can be formed. */
    private static function panIs(Composition $of): string
    {
        return $of->has('dressing', 'formed-pan', 'metal-pan') ? 'pan' : 'second_pan';
    }

    /**
     * Led out, the pan's water crosses onto the second pan by its bond; else it stays on the pan's own leg. What comes
     * of the flashing at the head is the plane's.
     */
    public function worst(Composition $of): Outcome
    {
        return $of->has('drains_to', 'outer-face') ? Outcome::ReliesOnBond : Outcome::Shed;
    }

    public function steps(Scheme $in): array
    {
        return [
            'head-wedge-metal',
            'head-flashing-out',
            'boards-round',
            'reveal-metal-edge',
            self::secondPanStep($in),
        ];
    }

    private static function secondPanStep(Scheme $in): string
    {
        return $in->of->has('drains_to', 'outer-face') ? 'second-pan-over' : 'second-pan-apart';
    }

    public function pieces(Scheme $in): array
    {
        return [
            $this->edge($in, 'head-edge', 'head-wedge-metal', 'reveal-head', $in->mm('height')),
            $this->headFlashing($in),
            BoardsRound::piece($in, 'outer-face', 0.0, $in->at('boards-round')),
            $this->edge($in, 'sill-edge', 'reveal-metal-edge', 'reveal-sill', 0.0),
            $this->secondPan($in),
        ];
    }

    private function headFlashing(Scheme $in): Piece
    {
        [$w, $h, $board, $past] = [$in->mm('width'), $in->mm('height'), $in->mm('insulation'), $in->headCoverSide()];
        [$upstand, $step] = [$in->mm('upstand'), $in->at('head-flashing-out')];
        $from = $in->mm('metal') - $in->mm('metal_lap');

        return Lay::piece(
            'head-flashing',
            $in->material('strip'),
            PieceKind::Membrane,
            $step,
            [
                Lay::patch(
                    'head-flashing.face',
                    'face',
                    [-$past, $h, $w + $past, $h + $upstand],
                    ['h'],
                    $step,
                    $in->of->plane->headEdges($in->of),
                ),
                Lay::patch('head-flashing.out', 'reveal-head', [0, $from, $w, $board], ['h'], $step),
            ],
            PieceRole::HeadFlashing,
            new CutSize($w + 2 * $past, $upstand + $board - $from),
        );
    }

    private function secondPan(Scheme $in): Piece
    {
        [$w, $d, $board, $up] = [
            $in->mm('width'),
            $in->mm('depth'),
            $in->mm('insulation'),
            $in->mm('second_upturn'),
        ];
        [$from, $step] = [$in->mm('metal') - $in->mm('metal_lap'), $in->at(self::secondPanStep($in))];
        $over = $in->of->has('drains_to', 'outer-face');

        return Lay::piece(
            'second-pan',
            $in->material(self::panIs($in->of)),
            PieceKind::Formable,
            $step,
            [
                Lay::patch('second-pan.sill', 'reveal-sill', [0, $from, $w, $board], ['s'], $step),
                Lay::patch('second-pan.left', 'reveal-jamb-left', [$from, 0, $board, $up], ['s'], $step),
                Lay::patch('second-pan.right', 'reveal-jamb-right', [$from, 0, $board, $up], ['s'], $step),
                ...$over ? [Lay::patch('second-pan.over', 'sill', [0, 0, $w, $d], ['s'], $step)] : [],
            ],
            null,
            new CutSize($w + 2 * $up, $board - $from + ($over ? $d : $up)),
        );
    }

    /** Metal at the outer edge of the board only, turned down over its face. */
    private function edge(Scheme $in, string $id, string $does, string $facet, float $y): Piece
    {
        [$w, $metal, $drip, $step] = [$in->mm('width'), $in->mm('metal'), $in->mm('drip'), $in->at($does)];

        return Lay::piece(
            $id,
            $in->material('edge'),
            PieceKind::Metal,
            $step,
            [
                Lay::patch("$id.in", $facet, [0, 0, $w, $metal], ['e'], $step),
                Lay::patch("$id.drip", 'outer-face', [0, $y - $drip, $w, $y], ['e'], $step, null, true),
            ],
            null,
            new CutSize($w, $metal + $drip),
            null,
            false,
        );
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'head-wedge-metal' => [
                'bevel_deg' => $in->figure('bevel_deg'),
                'leg_mm' => $in->mm('metal'),
                'drip_mm' => $in->mm('drip'),
            ],
            'head-flashing-out' => ['upstand_mm' => $in->mm('upstand'), 'lap_mm' => $in->mm('metal_lap')],
            'boards-round' => ['board_mm' => $in->mm('insulation')],
            'reveal-metal-edge' => ['leg_mm' => $in->mm('metal'), 'drip_mm' => $in->mm('drip')],
            'second-pan-apart', 'second-pan-over' => [
                'lap_mm' => $in->mm('metal_lap'),
                'upturn_mm' => $in->mm('second_upturn'),
            ],
            default => null,
        };
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow(
            'metal_mm',
            $in->mm('insulation'),
            'the thickness of the board: metal stays at its outer edge',
        );
        $in->demandBelow('metal_lap_mm', $in->mm('metal') + 1, 'the metal that it laps');
        $in->demandBelow('upstand_mm', $in->mm('margin'), 'the wall above the opening that is drawn');
        $in->demandBelow(
            'membrane_lap_mm',
            $in->mm('upstand') - $in->mm('face_return') + 1,
            'the upstand less the leg of the head liner, which the flashing covers',
        );
        $in->demandBelow('second_upturn_mm', $in->mm('height'), 'the height of the opening');
    }
}

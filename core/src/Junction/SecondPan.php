<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Fold;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\FacetDetail;
use Apron\Trace\Outcome;

/**
 * A sill in two planes: the pan on the framing drains onto a second pan on the cut edge of the thick outer board, which
 * carries the water to its outer face. `sill` and `reveal-sill` are measured up their fall, from outside inward.
 */
final class SecondPan extends FacetDetail
{
    public const NAME = 'second-pan';

    protected const RELEASE = 'sill';

    protected const MATERIALS = [
        'pan_material' => 'flashing-formable',
        'second_material' => 'flashing-strip',
        'edge_material' => 'aluminium',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(array $s, array $chosen): array
    {
        $w = $s['length_mm'];

        return [
            'sill' => [0.0, 0.0, $w, $s['sill_mm']],
            'reveal-sill' => [0.0, 0.0, $w, $s['insulation_mm']],
            'outer-face' => [0.0, 0.0, $w, $s['side_mm']],
        ];
    }

    protected function folds(array $s, array $chosen): array
    {
        return [
            new Fold('sill', 'reveal-sill', $s['insulation_mm']),
            new Fold('reveal-sill', 'outer-face', $s['side_mm']),
        ];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['reveal-metal-edge', ['leg_mm' => $s['metal_mm'], 'drip_mm' => $s['drip_mm']]],
            ['second-pan', ['lap_mm' => $s['metal_lap_mm']]],
            ['pan-over-second', ['over_mm' => $s['over_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side, $reveal, $sill] = [$s['length_mm'], $s['side_mm'], $s['insulation_mm'], $s['sill_mm']];

        return [
            $this->laid(
                'metal-edge',
                $used['edge_material'],
                PieceKind::Metal,
                1,
                [
                    $this->patch('metal-edge.reveal', 'reveal-sill', [0, 0, $w, $s['metal_mm']], ['e'], 1),
                    $this->patch(
                        'metal-edge.drip',
                        'outer-face',
                        [0, $side - $s['drip_mm'], $w, $side],
                        ['e'],
                        1,
                        null,
                        true,
                    ),
                ],
                null,
                new CutSize($w, $s['metal_mm'] + $s['drip_mm']),
                null,
                false,
            ),
            $this->laid(
                'second-pan',
                $used['second_material'],
                PieceKind::Membrane,
                2,
                [
                    $this->patch(
                        'second-pan.reveal',
                        'reveal-sill',
                        [0, $s['metal_mm'] - $s['metal_lap_mm'], $w, $reveal],
                        ['s'],
                        2,
                    ),
                    $this->patch('second-pan.sill', 'sill', [0, 0, $w, $sill / 2], ['s'], 2),
                ],
                null,
                new CutSize($w, $reveal - $s['metal_mm'] + $s['metal_lap_mm'] + $sill / 2),
            ),
            $this->laid(
                'pan',
                $used['pan_material'],
                PieceKind::Formable,
                3,
                [
                    $this->patch('pan.sill', 'sill', [0, 0, $w, $sill], ['p'], 3),
                    $this->patch('pan.over', 'reveal-sill', [0, $reveal - $s['over_mm'], $w, $reveal], ['p'], 3),
                ],
                PieceRole::Pan,
                new CutSize($w, $sill + $s['over_mm']),
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow(
            $s,
            'metal_mm',
            $s['insulation_mm'],
            'the depth of the board: metal stays at its outer edge',
        );
        $this->demandBelow($s, 'metal_lap_mm', $s['metal_mm'] + 1, 'the metal that the second pan laps');
        $this->demandBelow($s, 'over_mm', $s['insulation_mm'], 'the depth of the board');
    }
}

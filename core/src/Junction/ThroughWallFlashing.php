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
 * A flashing from the plane on the sheathing out through thick insulation: membrane on the board cut to a slope, metal
 * only at the outer edge, for metal right through is a large thermal bridge. `ledge` is measured up its slope, from the
 * outer face inward.
 */
final class ThroughWallFlashing extends FacetDetail
{
    public const NAME = 'through-wall-flashing';

    protected const RELEASE = 'sheathing';

    protected const MATERIALS = [
        'edge_material' => 'aluminium',
        'membrane_material' => 'flashing-strip',
        'sheet_material' => 'polyolefin-wrap',
    ];

    /** Metal that drips at its outer edge: nothing relies on a bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(array $s, array $chosen): array
    {
        $w = $s['length_mm'];

        return [
            'sheathing' => [0.0, 0.0, $w, $s['side_mm']],
            'ledge' => [0.0, 0.0, $w, $this->slope($s)],
            'outer-face' => [0.0, 0.0, $w, $s['side_mm']],
        ];
    }

    /** @param  array<string, float>  $s */
    private function slope(array $s): float
    {
        return round($s['insulation_mm'] / cos(deg2rad($s['bevel_deg'])), 1);
    }

    protected function folds(array $s, array $chosen): array
    {
        return [new Fold('sheathing', 'ledge', $this->slope($s)), new Fold('ledge', 'outer-face', $s['side_mm'])];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['bevel-cut', ['bevel_deg' => $s['bevel_deg']]],
            ['metal-edge', ['leg_mm' => $s['metal_mm'], 'drip_mm' => $s['drip_mm']]],
            ['ledge-membrane', ['upstand_mm' => $s['upstand_mm'], 'lap_mm' => $s['metal_lap_mm']]],
            ['sheet-over-upstand', ['lap_mm' => $s['lap_mm'], 'clear_mm' => $s['upstand_mm'] - $s['lap_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side, $slope] = [$s['length_mm'], $s['side_mm'], $this->slope($s)];

        return [
            $this->laid(
                'metal-edge',
                $used['edge_material'],
                PieceKind::Metal,
                2,
                [
                    $this->patch('metal-edge.ledge', 'ledge', [0, 0, $w, $s['metal_mm']], ['e'], 2),
                    $this->patch(
                        'metal-edge.drip',
                        'outer-face',
                        [0, $side - $s['drip_mm'], $w, $side],
                        ['e'],
                        2,
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
                'ledge-membrane',
                $used['membrane_material'],
                PieceKind::Membrane,
                3,
                [
                    $this->patch(
                        'ledge-membrane.ledge',
                        'ledge',
                        [0, $s['metal_mm'] - $s['metal_lap_mm'], $w, $slope],
                        ['m'],
                        3,
                    ),
                    $this->patch('ledge-membrane.sheathing', 'sheathing', [0, 0, $w, $s['upstand_mm']], ['m'], 3),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w, $slope - $s['metal_mm'] + $s['metal_lap_mm'] + $s['upstand_mm']),
            ),
            $this->laid(
                'sheet',
                $used['sheet_material'],
                PieceKind::Sheet,
                4,
                [$this->patch('sheet.sheathing', 'sheathing', [0, $s['upstand_mm'] - $s['lap_mm'], $w, $side], [], 4)],
                PieceRole::Plane,
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow(
            $s,
            'metal_mm',
            $this->slope($s),
            'the slope through the insulation: metal stays at its outer edge',
        );
        $this->demandBelow($s, 'metal_lap_mm', $s['metal_mm'] + 1, 'the metal that the membrane laps');
        $this->demandBelow($s, 'lap_mm', $s['upstand_mm'], 'the upstand on the sheathing');
        $this->demandBelow($s, 'upstand_mm', $s['side_mm'], 'the sheathing that is drawn');
    }
}

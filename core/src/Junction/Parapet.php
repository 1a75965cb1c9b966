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
 * A parapet whose top falls to the roof: roof membrane turned up its inner side, the cap membrane over the top and down
 * over that upturn, a metal coping. `top` is measured up its fall, from the roof side; the wall's membrane ends under
 * the cap membrane on `wall`.
 */
final class Parapet extends FacetDetail
{
    public const NAME = 'parapet';

    protected const RELEASE = 'top';

    protected const MATERIALS = [
        'wall_material' => 'membrane-permeable',
        'roof_material' => 'roof-membrane',
        'cap_material' => 'membrane-sbs',
        'coping_material' => 'aluminium',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(array $s, array $chosen): array
    {
        $w = $s['length_mm'];

        return [
            'top' => [0.0, 0.0, $w, $s['thickness_mm']],
            'inner' => [0.0, 0.0, $w, $s['inner_mm']],
            'roof' => [0.0, 0.0, $w, $s['side_mm']],
            'wall' => [0.0, 0.0, $w, $s['side_mm']],
        ];
    }

    protected function folds(array $s, array $chosen): array
    {
        return [new Fold('top', 'inner', $s['inner_mm']), new Fold('inner', 'roof', $s['side_mm'])];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['wall-to-parapet-top', []],
            ['roof-upturn', ['upturn_mm' => $s['upturn_mm']]],
            ['cap-membrane', ['lap_mm' => $s['lap_mm']]],
            ['coping', ['drip_mm' => $s['drip_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $t, $inner, $side, $up, $lap] = [
            $s['length_mm'],
            $s['thickness_mm'],
            $s['inner_mm'],
            $s['side_mm'],
            $s['upturn_mm'],
            $s['lap_mm'],
        ];

        return [
            $this->laid(
                'wall-membrane',
                $used['wall_material'],
                PieceKind::Membrane,
                1,
                [$this->patch('wall-membrane.wall', 'wall', [0, 0, $w, $side], [], 1)],
                PieceRole::Plane,
            ),
            $this->laid(
                'roof-membrane',
                $used['roof_material'],
                PieceKind::Membrane,
                2,
                [
                    $this->patch('roof-membrane.roof', 'roof', [0, 0, $w, $side], ['r'], 2),
                    $this->patch('roof-membrane.inner', 'inner', [0, 0, $w, $up], ['r'], 2),
                ],
                PieceRole::Plane,
            ),
            $this->laid(
                'cap-membrane',
                $used['cap_material'],
                PieceKind::Membrane,
                3,
                [
                    $this->patch('cap-membrane.top', 'top', [0, 0, $w, $t], ['c'], 3),
                    $this->patch('cap-membrane.inner', 'inner', [0, $up - $lap, $w, $inner], ['c'], 3),
                    $this->patch('cap-membrane.wall', 'wall', [0, $side - $lap, $w, $side], ['c'], 3),
                ],
                null,
                new CutSize($w, $t + $inner - $up + 2 * $lap),
            ),
            $this->laid(
                'coping',
                $used['coping_material'],
                PieceKind::Metal,
                4,
                [
                    $this->patch('coping.top', 'top', [0, 0, $w, $t], ['m'], 4),
                    $this->patch('coping.inner', 'inner', [0, $inner - $s['drip_mm'], $w, $inner], ['m'], 4),
                    $this->patch('coping.wall', 'wall', [0, $side - $s['drip_mm'], $w, $side], ['m'], 4, null, true),
                ],
                null,
                new CutSize($w, $t + 2 * $s['drip_mm']),
                null,
                false,
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'upturn_mm', $s['inner_mm'], 'the inner side of the parapet');
        $this->demandBelow($s, 'lap_mm', min($s['upturn_mm'], $s['side_mm']), 'the upturn of the roof membrane');
        $this->demandBelow(
            $s,
            'drip_mm',
            $s['inner_mm'] - $s['upturn_mm'] + $s['lap_mm'],
            'so that the coping ends on the cap membrane',
        );
    }
}

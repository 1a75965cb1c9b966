<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Fold;
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
 * A parapet whose top falls to the roof: roof membrane turned up its inner side, the cap membrane over the top and down
 * over that upturn, a metal coping. `top` is measured up its fall, from the roof side; the wall's membrane ends under
 * the cap membrane on `wall`.
 */
final class Parapet extends FacetDetail
{
    public const NAME = 'parapet';

    protected const RELEASE = 'top';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const PLANE_MATERIAL = 'wall_material';

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

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $w = $s->mm('length');

        return [
            'top' => [0.0, 0.0, $w, $s->mm('thickness')],
            'inner' => [0.0, 0.0, $w, $s->mm('inner')],
            'roof' => [0.0, 0.0, $w, $s->mm('side')],
            'wall' => [0.0, 0.0, $w, $s->mm('side')],
        ];
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [new Fold('top', 'inner', $s->mm('inner')), new Fold('inner', 'roof', $s->mm('side'))];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['wall-to-parapet-top', []],
            ['roof-upturn', ['upturn_mm' => $s->mm('upturn')]],
            ['cap-membrane', ['lap_mm' => $s->mm('lap')]],
            ['coping', ['drip_mm' => $s->mm('drip')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $t, $inner, $side, $up, $lap] = [
            $s->mm('length'),
            $s->mm('thickness'),
            $s->mm('inner'),
            $s->mm('side'),
            $s->mm('upturn'),
            $s->mm('lap'),
        ];

        return [
            Lay::plane(
                'wall-membrane',
                $used,
                $chosen,
                $at->of('wall-to-parapet-top'),
                'wall',
                [0, 0, $w, $side],
            ),
            Lay::piece(
                'roof-membrane',
                $used->of('roof'),
                PieceKind::Membrane,
                $at->of('roof-upturn'),
                [
                    Lay::patch('roof-membrane.roof', 'roof', [0, 0, $w, $side], ['r'], $at->of('roof-upturn')),
                    Lay::patch('roof-membrane.inner', 'inner', [0, 0, $w, $up], ['r'], $at->of('roof-upturn')),
                ],
                PieceRole::Plane,
            ),
            Lay::piece(
                'cap-membrane',
                $used->of('cap'),
                PieceKind::Membrane,
                $at->of('cap-membrane'),
                [
                    Lay::patch('cap-membrane.top', 'top', [0, 0, $w, $t], ['c'], $at->of('cap-membrane')),
                    Lay::patch(
                        'cap-membrane.inner',
                        'inner',
                        [0, $up - $lap, $w, $inner],
                        ['c'],
                        $at->of('cap-membrane'),
                    ),
                    Lay::patch(
                        'cap-membrane.wall',
                        'wall',
                        [0, $side - $lap, $w, $side],
                        ['c'],
                        $at->of('cap-membrane'),
                    ),
                ],
                null,
                new CutSize($w, $t + $inner - $up + 2 * $lap),
            ),
            Lay::piece(
                'coping',
                $used->of('coping'),
                PieceKind::Metal,
                $at->of('coping'),
                [
                    Lay::patch('coping.top', 'top', [0, 0, $w, $t], ['m'], $at->of('coping')),
                    Lay::patch(
                        'coping.inner',
                        'inner',
                        [0, $inner - $s->mm('drip'), $w, $inner],
                        ['m'],
                        $at->of('coping'),
                    ),
                    Lay::patch(
                        'coping.wall',
                        'wall',
                        [0, $side - $s->mm('drip'), $w, $side],
                        ['m'],
                        $at->of('coping'),
                        null,
                        true,
                    ),
                ],
                null,
                new CutSize($w, $t + 2 * $s->mm('drip')),
                null,
                false,
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('upturn_mm', $s->mm('inner'), 'the inner side of the parapet');
        $s->demandBelow('lap_mm', min($s->mm('upturn'), $s->mm('side')), 'the upturn of the roof membrane');
        $s->demandBelow(
            'drip_mm',
            $s->mm('inner') - $s->mm('upturn') + $s->mm('lap'),
            'so that the coping ends on the cap membrane',
        );
    }
}

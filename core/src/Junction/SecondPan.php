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

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $w = $s->mm('length');

        return [
            'sill' => [0.0, 0.0, $w, $s->mm('sill')],
            'reveal-sill' => [0.0, 0.0, $w, $s->mm('insulation')],
            'outer-face' => [0.0, 0.0, $w, $s->mm('side')],
        ];
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [
            new Fold('sill', 'reveal-sill', $s->mm('insulation')),
            new Fold('reveal-sill', 'outer-face', $s->mm('side')),
        ];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['reveal-metal-edge', ['leg_mm' => $s->mm('metal'), 'drip_mm' => $s->mm('drip')]],
            ['second-pan', ['lap_mm' => $s->mm('metal_lap')]],
            ['pan-over-second', ['over_mm' => $s->mm('over')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $reveal, $sill] = [$s->mm('length'), $s->mm('side'), $s->mm('insulation'), $s->mm('sill')];

        return [
            Lay::piece(
                'metal-edge',
                $used->of('edge'),
                PieceKind::Metal,
                $at->of('reveal-metal-edge'),
                [
                    Lay::patch(
                        'metal-edge.reveal',
                        'reveal-sill',
                        [0, 0, $w, $s->mm('metal')],
                        ['e'],
                        $at->of('reveal-metal-edge'),
                    ),
                    Lay::patch(
                        'metal-edge.drip',
                        'outer-face',
                        [0, $side - $s->mm('drip'), $w, $side],
                        ['e'],
                        $at->of('reveal-metal-edge'),
                        null,
                        true,
                    ),
                ],
                null,
                new CutSize($w, $s->mm('metal') + $s->mm('drip')),
                null,
                false,
            ),
            Lay::piece(
                'second-pan',
                $used->of('second'),
                PieceKind::Membrane,
                $at->of('second-pan'),
                [
                    Lay::patch(
                        'second-pan.reveal',
                        'reveal-sill',
                        [0, $s->mm('metal') - $s->mm('metal_lap'), $w, $reveal],
                        ['s'],
                        $at->of('second-pan'),
                    ),
                    Lay::patch('second-pan.sill', 'sill', [0, 0, $w, $sill / 2], ['s'], $at->of('second-pan')),
                ],
                null,
                new CutSize($w, $reveal - $s->mm('metal') + $s->mm('metal_lap') + $sill / 2),
            ),
            Lay::piece(
                'pan',
                $used->of('pan'),
                PieceKind::Formable,
                $at->of('pan-over-second'),
                [
                    Lay::patch('pan.sill', 'sill', [0, 0, $w, $sill], ['p'], $at->of('pan-over-second')),
                    Lay::patch(
                        'pan.over',
                        'reveal-sill',
                        [0, $reveal - $s->mm('over'), $w, $reveal],
                        ['p'],
                        $at->of('pan-over-second'),
                    ),
                ],
                PieceRole::Pan,
                new CutSize($w, $sill + $s->mm('over')),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow(
            'metal_mm',
            $s->mm('insulation'),
            'the depth of the board: metal stays at its outer edge',
        );
        $s->demandBelow('metal_lap_mm', $s->mm('metal') + 1, 'the metal that the second pan laps');
        $s->demandBelow('over_mm', $s->mm('insulation'), 'the depth of the board');
    }
}

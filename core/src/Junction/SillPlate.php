<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
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
 * A sill plate on concrete: on two gaskets, or on a metal shield that breaks the capillary rise, stops insects and
 * drips over the top of the board below. `plate` is the top of the foundation, v from its outer edge inward; no rain
 * reaches it while the plane hangs over its edge.
 */
final class SillPlate extends FacetDetail
{
    use OnFoundation {
        OnFoundation::facets as wallAndFoundation;
    }

    public const NAME = 'sill-plate';

    protected const RELEASE = 'wall';

    protected const MATERIALS = [
        'gasket_material' => 'polyethylene-foam',
        'shield_material' => 'steel-galvanised',
        'bead_material' => 'sealant-polyurethane',
        'coat_material' => 'dampproofing',
        'sheet_material' => 'polyolefin-wrap',
    ];

    protected const CHOICES = ['on' => ['gaskets', 'metal-shield']];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return $this->wallAndFoundation($s, $chosen) + ['plate' => [0.0, 0.0, $s->mm('length'), $s->mm('plate')]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['foundation-coat', []],
            $chosen->is('on', 'gaskets') ? ['plate-gaskets', []] : ['plate-shield', ['drip_mm' => $s->mm('drip')]],
            ['plane-overhang', ['overhang_mm' => $s->mm('overhang')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $plate, $drip, $over] = [
            $s->mm('length'),
            $s->mm('side'),
            $s->mm('plate'),
            $s->mm('drip'),
            $s->mm('overhang'),
        ];
        $sealed = Edges::all(Edge::Sealed);
        $on = (int) $at->firstOf('plate-gaskets', 'plate-shield');
        $under = $chosen->is('on', 'gaskets')
            ? array_map(
                fn (int $i) => Lay::piece(
                    "gasket-$i",
                    $used->of('gasket'),
                    PieceKind::Tape,
                    $on,
                    [
                        Lay::patch(
                            "gasket-$i.plate",
                            'plate',
                            $i === 1 ? [0, 0, $w, $plate / 3] : [0, ($plate * 2) / 3, $w, $plate],
                            [],
                            $on,
                        ),
                    ],
                    null,
                    new CutSize($w, $plate / 3),
                    $sealed,
                ),
                [1, 2],
            )
            : [
                Lay::piece(
                    'shield',
                    $used->of('shield'),
                    PieceKind::Metal,
                    $on,
                    [
                        Lay::patch('shield.plate', 'plate', [0, 0, $w, $plate], ['s'], $on),
                        Lay::patch(
                            'shield.drip',
                            'foundation',
                            [0, $side - $drip, $w, $side],
                            ['s'],
                            $on,
                            null,
                            true,
                        ),
                    ],
                    null,
                    new CutSize($w, $plate + $drip + $s->mm('out')),
                    null,
                    false,
                ),
            ];

        return [
            $this->foundationCoat($s, $used->of('coat'), $at),
            ...$under,
            Lay::piece(
                'plane',
                $used->of('sheet'),
                PieceKind::Sheet,
                $at->of('plane-overhang'),
                [
                    Lay::patch('plane.wall', 'wall', [0, 0, $w, $side], ['p'], $at->of('plane-overhang')),
                    Lay::patch(
                        'plane.foot',
                        'foundation',
                        [0, $side - $over, $w, $side],
                        ['p'],
                        $at->of('plane-overhang'),
                    ),
                ],
                PieceRole::Plane,
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('overhang_mm', $s->mm('side'), 'the foundation that is drawn');
        $s->demandBelow('drip_mm', $s->mm('side'), 'the foundation that is drawn');
    }
}

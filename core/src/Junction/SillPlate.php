<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
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

    protected const PLANES = WallPlane::SHEET_FIRST;

    protected const MATERIALS = [
        'gasket_material' => 'polyethylene-foam',
        'shield_material' => 'steel-galvanised',
        'bead_material' => 'sealant-polyurethane',
        'coat_material' => 'dampproofing',
    ];

    protected const CHOICES = ['on' => ['gaskets', 'metal-shield']];

    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::Shed;
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        return parent::materialsIn($plane) + ($plane?->standsFirst() ? ['strip_material' => 'flashing-strip'] : []);
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
            ...match ($chosen->plane()) {
                WallPlane::Fluid => [['coat-over-foot', ['lap_mm' => $s->mm('overhang')]]],
                WallPlane::FastenedSheet, WallPlane::SelfAdhered => [
                    ['plane-overhang', ['overhang_mm' => $s->mm('overhang')]],
                ],
                default => [
                    ['boards-on-wall', []],
                    ['foot-taped', ['wall_mm' => $s->mm('strip_up'), 'down_mm' => $s->mm('overhang')]],
                ],
            },
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
            ...$chosen->stands()
                ? self::boardsAndStrip($s, $used, $chosen, $at)
                : [$this->overhang($s, $used, $chosen, $at)],
        ];
    }

    /**
     * Boards stop at the plate, and a strip takes their foot out over it.
     *
     * @return list<Piece>
     */
    private static function boardsAndStrip(Sizes $s, Used $used, Choices $chosen, StepNumbers $at): array
    {
        [$w, $side, $up, $over, $strip] = [
            $s->mm('length'),
            $s->mm('side'),
            $s->mm('strip_up'),
            $s->mm('overhang'),
            $at->of('foot-taped'),
        ];

        return [
            Lay::plane('plane', $used, $chosen, $at->of('boards-on-wall'), 'wall', [0, 0, $w, $side]),
            Lay::piece(
                'foot-strip',
                $used->of('strip'),
                PieceKind::Membrane,
                $strip,
                [
                    Lay::patch('foot-strip.wall', 'wall', [0, 0, $w, $up], ['f'], $strip),
                    Lay::patch('foot-strip.foundation', 'foundation', [0, $side - $over, $w, $side], ['f'], $strip),
                ],
                null,
                new CutSize($w, $up + $over),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('overhang_mm', $s->mm('side'), 'the foundation that is drawn');
        $s->demandBelow('drip_mm', $s->mm('side'), 'the foundation that is drawn');
    }
}

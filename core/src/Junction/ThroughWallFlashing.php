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
 * A flashing from the plane on the sheathing out through thick insulation: membrane on the board cut to a slope, metal
 * only at the outer edge, for metal right through is a large thermal bridge. `ledge` is measured up its slope, from the
 * outer face inward.
 */
final class ThroughWallFlashing extends FacetDetail
{
    public const NAME = 'through-wall-flashing';

    protected const RELEASE = 'sheathing';

    protected const PLANES = WallPlane::SHEET_FIRST;

    protected const MATERIALS = [
        'edge_material' => 'aluminium',
        'membrane_material' => 'flashing-strip',
    ];

    /** Metal that drips at its outer edge: nothing relies on a bond, but where boards stand before the upstand. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::Shed;
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        return parent::materialsIn($plane) + ($plane?->standsFirst() ? ['tape_material' => 'seam-tape'] : []);
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $w = $s->mm('length');

        return [
            'sheathing' => [0.0, 0.0, $w, $s->mm('side')],
            'ledge' => [0.0, 0.0, $w, $this->slope($s)],
            'outer-face' => [0.0, 0.0, $w, $s->mm('side')],
        ];
    }

    private function slope(Sizes $s): float
    {
        return round($s->mm('insulation') / cos(deg2rad($s->figure('bevel_deg'))), 1);
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [new Fold('sheathing', 'ledge', $this->slope($s)), new Fold('ledge', 'outer-face', $s->mm('side'))];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ...$chosen->stands() ? [['boards-on-wall', []]] : [],
            ['bevel-cut', ['bevel_deg' => $s->figure('bevel_deg')]],
            ['metal-edge', ['leg_mm' => $s->mm('metal'), 'drip_mm' => $s->mm('drip')]],
            ['ledge-membrane', ['upstand_mm' => $s->mm('upstand'), 'lap_mm' => $s->mm('metal_lap')]],
            $chosen->stands()
                ? ['upstand-taped', ['tape_mm' => $s->mm('tape')]]
                : OverUpstand::step($s),
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $slope] = [$s->mm('length'), $s->mm('side'), $this->slope($s)];

        return [
            Lay::piece(
                'metal-edge',
                $used->of('edge'),
                PieceKind::Metal,
                $at->of('metal-edge'),
                [
                    Lay::patch(
                        'metal-edge.ledge',
                        'ledge',
                        [0, 0, $w, $s->mm('metal')],
                        ['e'],
                        $at->of('metal-edge'),
                    ),
                    Lay::patch(
                        'metal-edge.drip',
                        'outer-face',
                        [0, $side - $s->mm('drip'), $w, $side],
                        ['e'],
                        $at->of('metal-edge'),
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
                'ledge-membrane',
                $used->of('membrane'),
                PieceKind::Membrane,
                $at->of('ledge-membrane'),
                [
                    Lay::patch(
                        'ledge-membrane.ledge',
                        'ledge',
                        [0, $s->mm('metal') - $s->mm('metal_lap'), $w, $slope],
                        ['m'],
                        $at->of('ledge-membrane'),
                    ),
                    Lay::patch(
                        'ledge-membrane.sheathing',
                        'sheathing',
                        [0, 0, $w, $s->mm('upstand')],
                        ['m'],
                        $at->of('ledge-membrane'),
                    ),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w, $slope - $s->mm('metal') + $s->mm('metal_lap') + $s->mm('upstand')),
            ),
            ...OverUpstand::plane('sheathing', $side, $s, $used, $chosen, $at),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow(
            'metal_mm',
            $this->slope($s),
            'the slope through the insulation: metal stays at its outer edge',
        );
        $s->demandBelow('metal_lap_mm', $s->mm('metal') + 1, 'the metal that the membrane laps');
        $s->demandBelow('lap_mm', $s->mm('upstand'), 'the upstand on the sheathing');
        $s->demandBelow('upstand_mm', $s->mm('side'), 'the sheathing that is drawn');
    }
}

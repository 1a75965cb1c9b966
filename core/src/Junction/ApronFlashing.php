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
 * A wall above a roof: the roof's underlay turned up the wall, a metal apron over the roof covering, the wall's sheet
 * over its upstand; over boards the upstand is taped.
 */
final class ApronFlashing extends FacetDetail
{
    public const NAME = 'apron-flashing';

    protected const RELEASE = 'wall';

    protected const PLANES = WallPlane::SHEET_FIRST;

    protected const MATERIALS = [
        'underlay_material' => 'membrane-sbs',
        'covering_material' => 'asphalt-shingle',
        'apron_material' => 'aluminium',
    ];

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
        return [
            'wall' => [0.0, 0.0, $s->mm('length'), $s->mm('side')],
            'roof' => [0.0, 0.0, $s->mm('length'), $s->mm('side')],
        ];
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [new Fold('wall', 'roof', $s->mm('side'))];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ...$chosen->stands() ? [['boards-on-wall', []]] : [],
            ['underlay-upturn', ['upturn_mm' => $s->mm('underlay_up')]],
            ['roof-covering', []],
            ['apron', ['upstand_mm' => $s->mm('upstand'), 'apron_mm' => $s->mm('apron')]],
            $chosen->stands()
                ? ['upstand-taped', ['tape_mm' => $s->mm('tape')]]
                : OverUpstand::step($s),
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side] = [$s->mm('length'), $s->mm('side')];

        return [
            Lay::piece('underlay', $used->of('underlay'), PieceKind::Membrane, $at->of('underlay-upturn'), [
                Lay::patch('underlay.roof', 'roof', [0, 0, $w, $side], ['u'], $at->of('underlay-upturn')),
                Lay::patch(
                    'underlay.wall',
                    'wall',
                    [0, 0, $w, $s->mm('underlay_up')],
                    ['u'],
                    $at->of('underlay-upturn'),
                ),
            ]),
            Lay::piece(
                'roof-covering',
                $used->of('covering'),
                PieceKind::Board,
                $at->of('roof-covering'),
                [Lay::patch('roof-covering.roof', 'roof', [0, 0, $w, $side], [], $at->of('roof-covering'))],
                null,
                null,
                null,
                false,
            ),
            Lay::piece(
                'apron',
                $used->of('apron'),
                PieceKind::Metal,
                $at->of('apron'),
                [
                    Lay::patch('apron.wall', 'wall', [0, 0, $w, $s->mm('upstand')], ['a'], $at->of('apron')),
                    Lay::patch(
                        'apron.roof',
                        'roof',
                        [0, $side - $s->mm('apron'), $w, $side],
                        ['a'],
                        $at->of('apron'),
                        null,
                        true,
                    ),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w, $s->mm('upstand') + $s->mm('apron')),
                null,
                false,
            ),
            ...OverUpstand::plane('wall', $side, $s, $used, $chosen, $at),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('lap_mm', $s->mm('upstand'), 'the upstand, so that the sheet ends clear of the roof');
        $s->demandBelow('upstand_mm', $s->mm('side'), 'the wall that is drawn');
        $s->demandBelow('underlay_up_mm', $s->mm('side'), 'the wall that is drawn');
        $s->demandBelow('apron_mm', $s->mm('side'), 'the roof that is drawn');
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
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
 * An inside or outside corner of two walls, unrolled flat with the arris at u = 0: the corner itself dressed first by a
 * fluid coat, a tape or a moulded strip over solid backing, then the plane round it. Water runs beside the arris and
 * never across it.
 */
final class WallCorner extends FacetDetail
{
    public const NAME = 'wall-corner';

    protected const EXTENTS = ['height_mm' => [300.0, 6000.0]];

    protected const MATERIALS = [
        'fluid_material' => 'fluid-flashing',
        'tape_material' => 'flashing-strip',
        'moulded_material' => 'corner-moulded',
        'bead_material' => 'sealant-silyl',
        'membrane_material' => 'membrane-permeable',
    ];

    protected const CHOICES = ['corner' => ['outside', 'inside'], 'dressed_with' => ['fluid', 'tape', 'moulded']];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return ['face' => [-$s->mm('side'), 0.0, $s->mm('side'), $s->mm('height')]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $inside = $chosen->is('corner', 'inside');

        return [
            ...$inside ? [['corner-bead', ['past_mm' => $s->mm('bond_breaker_past')]]] : [],
            ["corner-{$chosen->of('dressed_with')}", ['leg_mm' => $s->mm('leg')]],
            ['plane-to-corner', ['wrap_mm' => $s->mm('wrap')]],
            ['plane-round-corner', ['lap_mm' => $s->mm('wrap')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$h, $side, $leg, $wrap] = [$s->mm('height'), $s->mm('side'), $s->mm('leg'), $s->mm('wrap')];
        $inside = $chosen->is('corner', 'inside');
        $strip = $at->of('corner-'.$chosen->of('dressed_with'));
        [$to, $round] = [$at->of('plane-to-corner'), $at->of('plane-round-corner')];
        $kind = ['fluid' => PieceKind::Fluid, 'tape' => PieceKind::Membrane, 'moulded' => PieceKind::Moulded][
            $chosen->of('dressed_with')
        ];
        $bead = fn () => Lay::piece('corner-bead', $used->of('bead'), PieceKind::Sealant, $at->of('corner-bead'), [
            Lay::patch(
                'corner-bead.face',
                'face',
                [-2 * $s->mm('bond_breaker_past'), 0, 2 * $s->mm('bond_breaker_past'), $h],
                [],
                $at->of('corner-bead'),
            ),
        ]);

        return [
            ...$inside ? [$bead()] : [],
            Lay::piece(
                'corner-strip',
                $used->of($chosen->of('dressed_with')),
                $kind,
                $strip,
                [Lay::patch('corner-strip.face', 'face', [-$leg, 0, $leg, $h], [], $strip)],
                null,
                $kind === PieceKind::Fluid ? null : new CutSize($h, 2 * $leg),
            ),
            Lay::piece(
                'plane-left',
                $used->of('membrane'),
                PieceKind::Membrane,
                $to,
                [Lay::patch('plane-left.face', 'face', [-$side, 0, $wrap, $h], [], $to)],
                PieceRole::Plane,
            ),
            Lay::piece(
                'plane-right',
                $used->of('membrane'),
                PieceKind::Membrane,
                $round,
                [Lay::patch('plane-right.face', 'face', [0, 0, $side, $h], [], $round)],
                PieceRole::Plane,
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('leg_mm', $s->mm('side'), 'the wall beside the corner that is drawn');
        $s->demandBelow('wrap_mm', $s->mm('side'), 'the wall beside the corner that is drawn');
        $s->demandBelow('bond_breaker_past_mm', $s->mm('leg') / 2, 'so that the bead lies under the strip');
    }
}

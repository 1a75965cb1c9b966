<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
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
 * An inside or outside corner of two walls, unrolled flat with the arris at u = 0: the corner itself dressed first by a
 * fluid coat, a tape or a moulded strip over solid backing, then the plane round it; boards stand first and are dressed
 * over. Water runs beside the arris and never across it.
 */
final class WallCorner extends FacetDetail
{
    public const NAME = 'wall-corner';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['height_mm' => [300.0, 6000.0]];

    protected const MATERIALS = [
        'fluid_material' => 'fluid-flashing',
        'tape_material' => 'flashing-strip',
        'moulded_material' => 'corner-moulded',
        'bead_material' => 'sealant-silyl',
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

        $plane = match (true) {
            $chosen->stands() => [],
            $chosen->plane() === WallPlane::Fluid => [['wall-coat', []]],
            default => [
                ['plane-to-corner', ['wrap_mm' => $s->mm('wrap')]],
                ['plane-round-corner', ['lap_mm' => $s->mm('wrap')]],
            ],
        };

        return [
            ...$chosen->stands() ? [['boards-on-wall', []]] : [],
            ...$inside ? [['corner-bead', ['past_mm' => $s->mm('bond_breaker_past')]]] : [],
            ["corner-{$chosen->of('dressed_with')}", ['leg_mm' => $s->mm('leg')]],
            ...$plane,
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$h, $side, $leg, $wrap] = [$s->mm('height'), $s->mm('side'), $s->mm('leg'), $s->mmIfAsked('wrap')];
        $inside = $chosen->is('corner', 'inside');
        $strip = $at->of('corner-'.$chosen->of('dressed_with'));
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
            ...$this->planeOf($side, $h, $wrap, $used, $chosen, $at),
        ];
    }

    /**
     * Boards butt at the arris, a coat goes round it in one, and a sheet or a membrane laps there.
     *
     * @return list<Piece>
     */
    private function planeOf(
        float $side,
        float $h,
        float $wrap,
        Used $used,
        Choices $chosen,
        StepNumbers $at,
    ): array {
        if ($chosen->plane() === WallPlane::Fluid) {
            return [Lay::plane('plane', $used, $chosen, $at->of('wall-coat'), 'face', [-$side, 0, $side, $h])];
        }
        [$left, $right, $past] = $chosen->stands()
            ? [$at->of('boards-on-wall'), $at->of('boards-on-wall'), 0.0]
            : [$at->of('plane-to-corner'), $at->of('plane-round-corner'), $wrap];

        return [
            Lay::plane('plane-left', $used, $chosen, $left, 'face', [-$side, 0, $past, $h]),
            Lay::plane('plane-right', $used, $chosen, $right, 'face', [0, 0, $side, $h]),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('leg_mm', $s->mm('side'), 'the wall beside the corner that is drawn');
        $s->demandBelow('wrap_mm', $s->mm('side'), 'the wall beside the corner that is drawn');
        $s->demandBelow('bond_breaker_past_mm', $s->mm('leg') / 2, 'so that the bead lies under the strip');
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PlacedFastener;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * A bracket or girt screwed through the plane: a self-sealing patch under it, its screws made for that patch, water
 * behind it out at its open foot.
 */
final class CladdingBracket extends FacetDetail
{
    public const NAME = 'cladding-bracket';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['width_mm' => [20.0, 3000.0], 'height_mm' => [20.0, 3000.0]];

    protected const MATERIALS = [
        'patch_material' => 'membrane-butyl',
        'bracket_material' => 'steel-galvanised',
    ];

    /** Behind the bracket on the patch, and out below it; the patch's own top edge holds by its bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $s->mm('width') + $m, $s->mm('height') + $m]];
    }

    protected function fasteners(Sizes $s, Choices $chosen): array
    {
        $through = ['bracket', 'bracket-patch', 'plane'];

        return array_map(
            fn (int $i): PlacedFastener => new PlacedFastener(
                "screw-$i",
                'face',
                ($s->mm('width') * $i) / 3,
                $s->mm('height') / 2,
                $through,
                $through,
            ),
            [1, 2],
        );
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [['plane-over-wall', []], ['bracket-patch', ['past_mm' => $s->mm('patch')]], ['bracket', []]];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h, $m, $p] = [$s->mm('width'), $s->mm('height'), $s->mm('margin'), $s->mm('patch')];

        return [
            Lay::plane(
                'plane',
                $used,
                $chosen,
                $at->of('plane-over-wall'),
                'face',
                [-$m, -$m, $w + $m, $h + $m],
            ),
            Lay::piece(
                'bracket-patch',
                $used->of('patch'),
                PieceKind::Membrane,
                $at->of('bracket-patch'),
                [
                    Lay::patch(
                        'bracket-patch.face',
                        'face',
                        [-$p, -$p, $w + $p, $h + $p],
                        [],
                        $at->of('bracket-patch'),
                    ),
                ],
                null,
                new CutSize($w + 2 * $p, $h + 2 * $p),
            ),
            Lay::piece(
                'bracket',
                $used->of('bracket'),
                PieceKind::Metal,
                $at->of('bracket'),
                [Lay::patch('bracket.face', 'face', [0, 0, $w, $h], [], $at->of('bracket'))],
                null,
                null,
                null,
                false,
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('patch_mm', $s->mm('margin'), 'the wall round the bracket that is drawn');
    }
}

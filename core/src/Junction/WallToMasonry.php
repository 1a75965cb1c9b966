<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
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
 * A wall that ends against masonry, the arris at u = 0: a strip from the primed masonry onto the wall, the plane over
 * it, and in the joint before that a backer rod and a bead. The rain is let go on the wall: what runs down the masonry
 * beside it is the masonry's.
 */
final class WallToMasonry extends FacetDetail
{
    public const NAME = 'wall-to-masonry';

    protected const RELEASE = 'wall';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['height_mm' => [300.0, 6000.0]];

    protected const MATERIALS = [
        'strip_material' => 'flashing-strip',
        'rod_material' => 'backer-rod',
        'sealant_material' => 'sealant-silicone',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return [
            'wall' => [-$s->mm('side'), 0.0, 0.0, $s->mm('height')],
            'masonry' => [0.0, 0.0, $s->mm('strip') + $s->mm('gap'), $s->mm('height')],
        ];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $strip = ['masonry-strip', ['past_mm' => $s->mm('strip')]];
        $plane = match ($chosen->plane()) {
            WallPlane::FacedSheathing, WallPlane::TapedInsulation => ['boards-on-wall', []],
            WallPlane::Fluid => ['wall-coat', []],
            default => ['plane-to-masonry', ['lap_mm' => $s->mm('strip')]],
        };

        return [
            ...$chosen->stands() ? [$plane, $strip] : [$strip, $plane],
            ['masonry-rod', ['gap_mm' => $s->mm('gap'), 'recess_mm' => $s->mm('recess')]],
            ['masonry-bead', ['gap_mm' => $s->mm('gap')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$h, $strip, $gap] = [$s->mm('height'), $s->mm('strip'), $s->mm('gap')];
        $plane = (int) $at->firstOf('plane-to-masonry', 'wall-coat', 'boards-on-wall');
        [$stripped, $rod, $bead] = [$at->of('masonry-strip'), $at->of('masonry-rod'), $at->of('masonry-bead')];

        return [
            Lay::piece(
                'masonry-strip',
                $used->of('strip'),
                PieceKind::Membrane,
                $stripped,
                [
                    Lay::patch('masonry-strip.wall', 'wall', [-$strip, 0, 0, $h], ['s'], $stripped),
                    Lay::patch('masonry-strip.masonry', 'masonry', [0, 0, $strip, $h], ['s'], $stripped),
                ],
                null,
                new CutSize($h, 2 * $strip),
            ),
            Lay::plane('plane', $used, $chosen, $plane, 'wall', [-$s->mm('side'), 0, 0, $h]),
            Lay::piece(
                'joint-rod',
                $used->of('rod'),
                PieceKind::Board,
                $rod,
                [Lay::patch('joint-rod.wall', 'wall', [-$gap, 0, 0, $h], [], $rod)],
                null,
                null,
                null,
                false,
            ),
            Lay::piece('joint-bead', $used->of('sealant'), PieceKind::Sealant, $bead, [
                Lay::patch('joint-bead.wall', 'wall', [-$gap, 0, 0, $h], ['b'], $bead),
                Lay::patch('joint-bead.masonry', 'masonry', [0, 0, $gap, $h], ['b'], $bead),
            ]),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('strip_mm', $s->mm('side'), 'the wall beside the joint that is drawn');
        $s->demandBelow('gap_mm', $s->mm('strip'), 'the strip behind the joint');
        $s->demandBelow('recess_mm', 13.5, 'half an inch, or the bead is too deep to move');
    }
}

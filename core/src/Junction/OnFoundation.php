<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\Fold;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;

/** A wall that stands on a foundation: water that runs off the foot of the one runs on down the other. */
trait OnFoundation
{
    /** @var array<string, array{string, string}> planes that hang past nothing: why, and what can be made */
    final public const NO_OVERHANG = [
        'fluid' => ['a coat ends on what it is laid on', 'sheathing-to-foundation'],
        'faced-sheathing' => ['sheathing stands clear of the concrete', 'sheathing-to-foundation'],
        'taped-insulation' => ['a board stands in its drained starter', 'sheathing-to-foundation'],
    ];

    /**
     * @return array<string, array{float, float, float, float}>
     */
    protected function facets(Sizes $s, Choices $chosen): array
    {
        return [
            'wall' => [0.0, 0.0, $s->mm('length'), $s->mm('side')],
            'foundation' => [0.0, 0.0, $s->mm('length'), $s->mm('side')],
        ];
    }

    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [new Fold('wall', 'foundation', $s->mm('side'))];
    }

    /** The plane of the wall, past the plate and over the top of the foundation. */
    protected function overhang(Sizes $s, Used $used, Choices $chosen, StepNumbers $at): Piece
    {
        [$w, $side, $step] = [$s->mm('length'), $s->mm('side'), (int) $at->firstOf('plane-overhang', 'coat-over-foot')];

        return Lay::piece(
            'plane',
            $used->of('plane'),
            $chosen->plane()->kind(),
            $step,
            [
                Lay::patch('plane.wall', 'wall', [0, 0, $w, $side], ['p'], $step),
                Lay::patch('plane.foot', 'foundation', [0, $side - $s->mm('overhang'), $w, $side], ['p'], $step),
            ],
            PieceRole::Plane,
        );
    }

    protected function foundationCoat(Sizes $s, Material $material, StepNumbers $at): Piece
    {
        return Lay::piece(
            'foundation-coat',
            $material,
            PieceKind::Fluid,
            $at->of('foundation-coat'),
            [
                Lay::patch(
                    'foundation-coat.face',
                    'foundation',
                    [0, 0, $s->mm('length'), $s->mm('side')],
                    [],
                    $at->of('foundation-coat'),
                ),
            ],
            null,
            null,
            null,
            false,
        );
    }
}

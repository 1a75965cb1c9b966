<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\Fold;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Material\Material;

/** A wall that stands on a foundation: water that runs off the foot of the one runs on down the other. */
trait OnFoundation
{
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

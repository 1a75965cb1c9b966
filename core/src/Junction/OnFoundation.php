<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\Fold;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
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

    protected function foundationCoat(Sizes $s, Material $material): Piece
    {
        return $this->laid(
            'foundation-coat',
            $material,
            PieceKind::Fluid,
            1,
            [$this->patch('foundation-coat.face', 'foundation', [0, 0, $s->mm('length'), $s->mm('side')], [], 1)],
            null,
            null,
            null,
            false,
        );
    }
}

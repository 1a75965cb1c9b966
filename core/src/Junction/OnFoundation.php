<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\Fold;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Material\Material;

/** A wall that stands on a foundation: water that runs off the foot of the one runs on down the other. */
trait OnFoundation
{
    /**
     * @param  array<string, float>  $s
     * @param  array<string, string>  $chosen
     * @return array<string, array{float, float, float, float}>
     */
    protected function facets(array $s, array $chosen): array
    {
        return [
            'wall' => [0.0, 0.0, $s['length_mm'], $s['side_mm']],
            'foundation' => [0.0, 0.0, $s['length_mm'], $s['side_mm']],
        ];
    }

    protected function folds(array $s, array $chosen): array
    {
        return [new Fold('wall', 'foundation', $s['side_mm'])];
    }

    /** @param  array<string, float>  $s */
    protected function foundationCoat(array $s, Material $material): Piece
    {
        return $this->laid(
            'foundation-coat',
            $material,
            PieceKind::Fluid,
            1,
            [$this->patch('foundation-coat.face', 'foundation', [0, 0, $s['length_mm'], $s['side_mm']], [], 1)],
            null,
            null,
            null,
            false,
        );
    }
}

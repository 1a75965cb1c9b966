<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/** Fillets and one coat over sill, jambs and head and out onto the face on every side: no lap, no cut, no corner. */
final class FluidCoat extends Part
{
    public function materials(Composition $of): array
    {
        return ['flashing_material' => 'fluid-flashing'];
    }

    public function steps(Scheme $in): array
    {
        return ['detail-coat'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $d, $face] = [$in->mm('width'), $in->mm('height'), $in->mm('depth'), $in->mm('face_return')];
        $step = $in->at('detail-coat');

        return [
            Lay::piece(
                'detail-coat',
                $in->material('flashing'),
                PieceKind::Fluid,
                $step,
                [
                    Lay::patch('detail-coat.sill', 'sill', [0, 0, $w, $d], ['d'], $step),
                    Lay::patch('detail-coat.jamb-left', 'jamb-left', [0, 0, $d, $h], ['d'], $step),
                    Lay::patch('detail-coat.jamb-right', 'jamb-right', [0, 0, $d, $h], ['d'], $step),
                    Lay::patch('detail-coat.head', 'head', [0, 0, $w, $d], ['d'], $step),
                    Lay::patch('detail-coat.below', 'face', [-$face, -$face, $w + $face, 0], ['d'], $step),
                    Lay::patch('detail-coat.left', 'face', [-$face, 0, 0, $h], ['d'], $step),
                    Lay::patch('detail-coat.right', 'face', [$w, 0, $w + $face, $h], ['d'], $step),
                    Lay::patch('detail-coat.above', 'face', [-$face, $h, $w + $face, $h + $face], ['d'], $step),
                ],
                PieceRole::Pan,
            ),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'detail-coat' ? ['face_mm' => $in->mm('face_return')] : null;
    }
}

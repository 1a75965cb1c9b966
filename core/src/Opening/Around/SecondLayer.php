<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * A second layer of sheet over the flashing of the head, hung from the joint above and not fastened below it: one
 * school asks for it over every flashing with an upstand.
 */
final class SecondLayer extends Part
{
    public function groups(Composition $of): array
    {
        return ['second-layer'];
    }

    public function steps(Scheme $in): array
    {
        return ['second-layer-hung'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $m, $past, $foot] = [
            $in->mm('width'),
            $in->mm('height'),
            $in->mm('margin'),
            $in->headCoverSide() + $in->mm('layer_past'),
            $in->mm('layer_foot'),
        ];

        return [
            Lay::onFace(
                'second-layer',
                $in->material('sheet'),
                PieceKind::Sheet,
                $in->at('second-layer-hung'),
                [-$past, $h + $foot, $w + $past, $h + $m],
                null,
                new CutSize($w + 2 * $past, $m - $foot),
            ),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'second-layer-hung'
            ? ['past_mm' => $in->mm('layer_past'), 'foot_mm' => $in->mm('layer_foot')]
            : null;
    }

    public function demandRoom(Scheme $in): void
    {
        if ($in->headCoverSide() + $in->mm('layer_past') >= $in->mm('margin')) {
            throw new CannotGenerate(
                'layer_past_mm',
                $in->mm('layer_past'),
                sprintf(
                    'less than %g mm, where the wall that is drawn ends',
                    $in->mm('margin') - $in->headCoverSide(),
                ),
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/** The four boards of a buck that lines the opening of a solid wall, bedded in sealant. */
final class BuckInReturn extends Part
{
    public function groups(Composition $of): array
    {
        return ['buck'];
    }

    public function materials(Composition $of): array
    {
        return ['insulating_buck_material' => 'eps-dense', 'wood_buck_material' => 'lumber-treated'];
    }

    public function steps(Scheme $in): array
    {
        return ["solid-buck-{$in->of->of('buck')}"];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $d, $less] = [$in->mm('width'), $in->mm('height'), $in->mm('depth'), $in->mm('buck_shorter')];
        $kind = $in->of->of('buck');
        $step = $in->at("solid-buck-$kind");
        $pieces = [];
        foreach (
            [
                'sill' => [0, 0, $w, $d],
                'jamb-left' => [0, 0, $d, $h],
                'jamb-right' => [0, 0, $d, $h],
                'head' => [0, 0, $w, $d],
            ] as $facet => $rect
        ) {
            $length = in_array($facet, ['sill', 'head'], true) ? $w : $h;
            $board = Lay::piece(
                "buck-$facet",
                $in->material("{$kind}_buck"),
                PieceKind::Board,
                $step,
                [Lay::patch("buck-$facet.in", $facet, $rect, [], $step)],
                null,
                new CutSize($length - $less, $d),
                Edges::all(Edge::Sealed),
            );
            // Under a sheet that is only fastened the solid wall holds the air, and the buck bedded to it goes on.
            $pieces[] = $in->of->has('plane', 'fastened-sheet') ? $board->asAirLayer() : $board;
        }

        return $pieces;
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return str_starts_with($does, 'solid-buck-') ? ['less_mm' => $in->mm('buck_shorter')] : null;
    }
}

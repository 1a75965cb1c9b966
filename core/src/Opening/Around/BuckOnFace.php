<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * A buck round the opening, insulating or of wood: bedded in sealant to the plane, corners sealed and pinned, left to
 * cure, then dressed, the unit set in it. It is drawn flat on the face; how far it stands out of that is outside of the
 * model.
 */
final class BuckOnFace extends Part
{
    public function groups(Composition $of): array
    {
        return ['buck', 'buck-on-face'];
    }

    public function materials(Composition $of): array
    {
        return ['insulating_buck_material' => 'eps-dense', 'wood_buck_material' => 'plywood'];
    }

    public function steps(Scheme $in): array
    {
        return ["buck-{$in->of->of('buck')}"];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $b, $less] = [$in->mm('width'), $in->mm('height'), $in->mm('buck_face'), $in->mm('buck_shorter')];
        $kind = $in->of->of('buck');
        $step = $in->at("buck-$kind");
        $pieces = [];
        foreach (
            [
                'sill' => [-$b, -$b, $w + $b, 0],
                'left' => [-$b, 0, 0, $h],
                'right' => [$w, 0, $w + $b, $h],
                'head' => [-$b, $h, $w + $b, $h + $b],
            ] as $side => $rect
        ) {
            $length = in_array($side, ['sill', 'head'], true) ? $w + 2 * $b : $h;
            $pieces[] = Lay::piece(
                "buck-$side",
                $in->material("{$kind}_buck"),
                PieceKind::Board,
                $step,
                [Lay::patch("buck-$side.face", 'face', $rect, [], $step)],
                null,
                new CutSize($length - $less, $b),
                Edges::all(Edge::Sealed),
            );
        }

        return $pieces;
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return str_starts_with($does, 'buck-')
            ? ['face_mm' => $in->mm('buck_face'), 'less_mm' => $in->mm('buck_shorter')]
            : null;
    }

    public function demandRoom(Scheme $in): void
    {
        $most = min(
            $in->mm('face_return'),
            $in->of->held->besideReach($in) - $in->least('membrane_lap'),
            max($in->mm('face_return'), $in->of->held->sheetCut($in)),
        );
        if ($in->mm('buck_face') > $most) {
            throw new CannotGenerate(
                'buck_face_mm',
                $in->mm('buck_face'),
                sprintf('no more than %g mm, so that pan, strips and flap reach the plane past it', $most),
            );
        }
    }
}

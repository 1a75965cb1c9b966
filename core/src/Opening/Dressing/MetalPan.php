<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * A pan of metal with soldered or welded end dams and a drip leg on the face, bedded in sealant; strips line the jambs
 * over its end dams, a formed piece the head. Metal has no bond to rely on; its corners are as tight as their solder.
 */
final class MetalPan extends Part
{
    public function materials(Composition $of): array
    {
        return [
            'metal_pan_material' => 'aluminium',
            'pan_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
        ];
    }

    public function steps(Scheme $in): array
    {
        return ['metal-pan', 'jamb-liners', 'head-liner'];
    }

    public function pieces(Scheme $in): array
    {
        $step = $in->at('metal-pan');
        $bedded = new Edges(['left' => Edge::Sealed, 'right' => Edge::Sealed, 'top' => Edge::Sealed]);

        return [
            Liners::pan(
                $in,
                $in->material('metal_pan'),
                PieceKind::Moulded,
                $step,
                $in->sillLeg(),
                $in->sillLegDown($step),
                $bedded,
            ),
            ...Liners::jambs($in, $in->material('strip'), $in->at('jamb-liners')),
            Liners::head($in, $in->material('pan'), $in->at('head-liner')),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'metal-pan'
            ? [
                'upturn_mm' => $in->mm('pan_upturn'),
                'face_mm' => $in->sillLeg(),
                'dam_mm' => $in->mm('back_dam'),
            ]
            : (new FormedPan)->figures($does, $in);
    }
}

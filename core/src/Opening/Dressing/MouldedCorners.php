<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\PieceKind;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Flat strips slit at the corners, with a corner moulded in one piece over each slit: it has no fold that could open.
 */
final class MouldedCorners extends Part
{
    public function groups(Composition $of): array
    {
        return ['slit-strips'];
    }

    public function materials(Composition $of): array
    {
        return [
            'pan_material' => 'flashing-strip',
            'moulded_material' => 'corner-moulded',
            'strip_material' => 'flashing-strip',
        ];
    }

    public function steps(Scheme $in): array
    {
        return ['sill-tape-slit', 'moulded-corners-sill', 'jamb-liners', 'head-tape-slit', 'moulded-corners-head'];
    }

    public function pieces(Scheme $in): array
    {
        [$leg, $corner, $d] = [$in->mm('corner_patch') / 2, $in->material('moulded'), $in->mm('depth')];
        $face = $in->mm('face_return');
        $sill = $in->at('sill-tape-slit');

        return [
            Liners::slit(
                'pan',
                $in,
                $in->material('pan'),
                PieceKind::Membrane,
                $sill,
                $in->sillLeg(),
                $d,
                0.0,
                $in->sillLegDown($sill),
            ),
            ...Liners::corners('sill', $in, $corner, PieceKind::Moulded, $in->at('moulded-corners-sill'), $leg),
            ...Liners::jambs($in, $in->material('strip'), $in->at('jamb-liners'), $leg - $in->least('membrane_lap')),
            Liners::slit(
                'head-liner',
                $in,
                $in->material('pan'),
                PieceKind::Membrane,
                $in->at('head-tape-slit'),
                $face,
                $d,
            ),
            ...Liners::corners('head', $in, $corner, PieceKind::Moulded, $in->at('moulded-corners-head'), $leg),
        ];
    }

    /** Water on the sill comes onto the corner pieces over their bonded inner edges. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'moulded-corners-sill', 'moulded-corners-head' => ['patch_mm' => $in->mm('corner_patch')],
            default => (new SlitStrips)->figures($does, $in),
        };
    }

    public function demandRoom(Scheme $in): void
    {
        (new SlitStrips)->demandRoom($in);
    }
}

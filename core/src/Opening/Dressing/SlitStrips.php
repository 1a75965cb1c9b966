<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\PieceKind;
use Apron\Drafting\CannotGenerate;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Flat strips, slit at the corners, with a corner piece of formable membrane over each slit: sill and its corners,
 * jambs, head and its corners. Slit tape alone leaves pinholes.
 */
final class SlitStrips extends Part
{
    public function groups(Composition $of): array
    {
        return ['slit-strips'];
    }

    public function materials(Composition $of): array
    {
        return [
            'pan_material' => 'flashing-strip',
            'corner_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
        ];
    }

    public function steps(Scheme $in): array
    {
        return SlitLining::steps('corner-patches');
    }

    public function pieces(Scheme $in): array
    {
        $lining = new SlitLining(
            sill: $in->material('pan'),
            jambs: $in->material('strip'),
            strips: PieceKind::Membrane,
            corner: $in->material('corner'),
            corners: PieceKind::Corner,
            cornerStep: 'corner-patches',
            inside: $in->mm('depth'),
        );

        return $lining->pieces($in);
    }

    /** Water on the sill comes onto the corner pieces over their bonded inner edges. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'sill-tape-slit' => ['upturn_mm' => $in->mm('pan_upturn'), 'face_mm' => $in->sillLeg()],
            'head-tape-slit' => ['lap_mm' => $in->mm('membrane_lap'), 'face_mm' => $in->mm('face_return')],
            'corner-patches-sill', 'corner-patches-head' => ['patch_mm' => $in->mm('corner_patch')],
            'jamb-liners' => ['lap_mm' => $in->mm('membrane_lap'), 'face_mm' => $in->mm('face_return')],
            default => null,
        };
    }

    public function demandRoom(Scheme $in): void
    {
        $leg = $in->mm('corner_patch') / 2;
        $most = min($in->mm('depth'), $in->mm('face_return'), $in->mm('pan_upturn') / 2);
        if ($leg < $in->least('membrane_lap') || $leg > $most) {
            throw new CannotGenerate(
                'corner_patch_mm',
                $in->mm('corner_patch'),
                sprintf('%g to %g mm, within the tapes it patches', 2 * $in->least('membrane_lap'), 2 * $most),
            );
        }
    }
}

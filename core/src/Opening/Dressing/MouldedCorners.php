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
        return SlitLining::steps('moulded-corners');
    }

    public function pieces(Scheme $in): array
    {
        $lining = new SlitLining(
            sill: $in->material('pan'),
            jambs: $in->material('strip'),
            strips: PieceKind::Membrane,
            corner: $in->material('moulded'),
            corners: PieceKind::Moulded,
            cornerStep: 'moulded-corners',
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
            'moulded-corners-sill', 'moulded-corners-head' => ['patch_mm' => $in->mm('corner_patch')],
            default => (new SlitStrips)->figures($does, $in),
        };
    }

    public function demandRoom(Scheme $in): void
    {
        (new SlitStrips)->demandRoom($in);
    }
}

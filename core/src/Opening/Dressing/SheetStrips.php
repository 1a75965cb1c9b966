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
 * Strips of building paper or sheet, folded in and slit, with formable corner pieces: cheap, and made with what is
 * there. They reach in past the unit's frame and no further; the air seal lies behind them, on the framing or the buck.
 */
final class SheetStrips extends Part
{
    public function groups(Composition $of): array
    {
        return ['slit-strips', 'sheet-strips'];
    }

    public function materials(Composition $of): array
    {
        return [
            'sheet_strip_material' => 'building-paper',
            'corner_material' => 'flashing-formable',
        ];
    }

    public function steps(Scheme $in): array
    {
        return SlitLining::steps('corner-patches');
    }

    public function pieces(Scheme $in): array
    {
        $lining = new SlitLining(
            sill: $in->material('sheet_strip'),
            jambs: $in->material('sheet_strip'),
            strips: PieceKind::Sheet,
            corner: $in->material('corner'),
            corners: PieceKind::Corner,
            cornerStep: 'corner-patches',
            inside: $in->mm('strip_inside'),
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
        return (new SlitStrips)->figures($does, $in);
    }

    public function demandRoom(Scheme $in): void
    {
        (new SlitStrips)->demandRoom($in);
        if ($in->mm('strip_inside') > $in->mm('depth') || $in->mm('strip_inside') < $in->mm('corner_patch') / 2) {
            throw new CannotGenerate(
                'strip_inside_mm',
                $in->mm('strip_inside'),
                sprintf('%g mm to the return of the opening', $in->mm('corner_patch') / 2),
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\CannotGenerate;
use Apron\Trace\Outcome;

/**
 * A unit without flange in a fastened sheet: the sheet is cut at the head itself, its flap comes down over the head
 * liner to the arris and drips off there. Beside the flap the sheet only meets itself along the cut: the slit tapes
 * cover that and rely on their bond.
 */
final class StrappedUnitInFastenedSheet extends DressedOpening
{
    use InFastenedSheet, OnStraps {
        OnStraps::demandRoom as demandSill;
        OnStraps::figuresOf as strapFigures;
    }

    public const NAME = 'strapped-unit-in-fastened-sheet';

    protected const GROUPS = ['straps', 'sheet'];

    protected const MATERIALS = [
        'sheet_material' => 'polyolefin-wrap',
        'pan_material' => 'flashing-formable',
        'strip_material' => 'flashing-strip',
        'tape_material' => 'seam-tape',
    ];

    protected const CHOICES = ['held_by' => ['straps', 'clips'], 'air_seal' => ['sealant', 'tape', 'outer-tape']];

    /** Over the slits of the flap and the cut beside it the tapes rely on their bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function order(array $chosen, array $s): array
    {
        return $this->coupled(
            [
                'sheet-cut-and-turned-in',
                'sill-pan',
                'jamb-liners',
                'head-liner',
                'flap-to-arris',
                'slit-tapes',
                ...$this->setAndSealed($chosen),
            ],
            $s,
        );
    }

    protected function pieces(array $s, array $used, array $at, array $chosen): array
    {
        return [
            $this->sheet($s, $used['sheet_material'], $at['sheet-cut-and-turned-in'], $at['flap-to-arris']),
            $this->pan($s, $used['pan_material'], $at['sill-pan']),
            ...$this->jambLiners($s, $used['strip_material'], $at['jamb-liners']),
            $this->headLiner($s, $used['pan_material'], $at['head-liner']),
            ...$this->slitTapes($s, $used['tape_material'], $at['slit-tapes']),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandSill($s);
        $this->demandFlapRoom($s);
        if ($s['flap_mm'] < $s['face_return_mm'] + $this->least['membrane_lap_mm']) {
            throw new CannotGenerate(
                'flap_mm',
                $s['flap_mm'],
                sprintf('a flap that reaches %g mm above the head liner', $this->least['membrane_lap_mm']),
            );
        }
        if ($this->least['slit_tape_side_mm'] > $s['slit_tape_mm'] / 2) {
            throw new CannotGenerate(
                'slit_tape_mm',
                $s['slit_tape_mm'],
                sprintf(
                    '%g mm or more, so that the tape reaches the head liner',
                    2 * $this->least['slit_tape_side_mm'],
                ),
            );
        }
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>
     */
    protected function figuresOf(string $does, array $s): array
    {
        return $this->sheetFigures($does, $s) +
            ($does === 'flap-to-arris' ? ['lap_mm' => $s['face_return_mm']] : []) +
            $this->strapFigures($does, $s);
    }
}

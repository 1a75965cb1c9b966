<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
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

    protected function order(Choices $chosen, Sizes $s): array
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

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            $this->sheet($s, $used->of('sheet'), $at->of('sheet-cut-and-turned-in'), $at->of('flap-to-arris')),
            $this->pan($s, $used->of('pan'), $at->of('sill-pan')),
            ...$this->jambLiners($s, $used->of('strip'), $at->of('jamb-liners')),
            $this->headLiner($s, $used->of('pan'), $at->of('head-liner')),
            ...$this->slitTapes($s, $used->of('tape'), $at->of('slit-tapes')),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $this->demandSill($s);
        $this->demandFlapRoom($s);
        if ($s->mm('flap') < $s->mm('face_return') + $this->least['membrane_lap_mm']) {
            throw new CannotGenerate(
                'flap_mm',
                $s->mm('flap'),
                sprintf('a flap that reaches %g mm above the head liner', $this->least['membrane_lap_mm']),
            );
        }
        if ($this->least['slit_tape_side_mm'] > $s->mm('slit_tape') / 2) {
            throw new CannotGenerate(
                'slit_tape_mm',
                $s->mm('slit_tape'),
                sprintf(
                    '%g mm or more, so that the tape reaches the head liner',
                    2 * $this->least['slit_tape_side_mm'],
                ),
            );
        }
    }

    /**
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return $this->sheetFigures($does, $s) +
            ($does === 'flap-to-arris' ? ['lap_mm' => $s->mm('face_return')] : []) +
            $this->strapFigures($does, $s);
    }
}

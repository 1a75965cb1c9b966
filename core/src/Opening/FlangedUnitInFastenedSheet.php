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
 * A unit with a nailing flange in a mechanically fastened sheet: sheet cut and turned in, head flap held up, sill pan,
 * jamb liners over the pan's upturns, unit, jamb strips over the flange, head strip, flap down, slits taped.
 *
 * Every lap sheds but the two slit tapes beside the flap, which rely on their bond. The sheet is cut straight across
 * above the head, as high as the jamb strips reach, and slit upward where the head strip ends: so the flap is as wide
 * as the head strip and its whole top edge lies under sheet. The jamb strips stop level with the sill, so that no
 * bonded edge closes the drain under the bottom flange.
 */
class FlangedUnitInFastenedSheet extends DressedOpening
{
    use Flanged, InFastenedSheet {
        Flanged::figuresOf as flangedFigures;
    }

    public const NAME = 'flanged-unit-in-fastened-sheet';

    protected const GROUPS = ['flanged', 'sheet'];

    protected const MATERIALS =
        [
            'sheet_material' => 'polyolefin-wrap',
            'pan_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
            'tape_material' => 'seam-tape',
            'unit_material' => 'window-unit',
        ] + self::TRIM_MATERIALS;

    protected const CHOICES = self::TRIM;

    /** Over the slits of the flap the tapes rely on their bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(['sheet-cut-and-turned-in', ...$this->dressed()], $s, $chosen);
    }

    /** @return list<string> the steps once the sheet is on */
    protected function dressed(): array
    {
        return [
            'sill-pan',
            'jamb-liners',
            'head-liner',
            'unit-in-sealant',
            'jamb-strips',
            'head-strip',
            'flap-down',
            'slit-tapes',
            'inner-air-seal',
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            $this->sheet($s, $used->of('sheet'), $at->of('sheet-cut-and-turned-in'), $at->of('flap-down')),
            ...$this->dressing($s, $used, $at),
        ];
    }

    /**
     * Everything but the sheet.
     *
     * @return list<\Apron\Detail\Piece>
     */
    protected function dressing(Sizes $s, Used $used, StepNumbers $at): array
    {
        return [
            $this->pan($s, $used->of('pan'), $at->of('sill-pan')),
            ...$this->jambLiners($s, $used->of('strip'), $at->of('jamb-liners')),
            $this->headLiner($s, $used->of('pan'), $at->of('head-liner')),
            ...$this->units($s, $used, $at),
            ...$this->jambStrips($s, $used->of('strip'), $at->of('jamb-strips')),
            $this->headStrip($s, $used->of('strip'), $at->of('head-strip')),
            ...$this->slitTapes($s, $used->of('tape'), $at->of('slit-tapes')),
        ];
    }

    protected function demandHeadRoom(Sizes $s): void
    {
        $this->demandFlapRoom($s);
        if ($s->mm('jamb_strip_past_head') > $s->mm('sheet_cut_above_head')) {
            throw new CannotGenerate(
                'jamb_strip_past_head_mm',
                $s->mm('jamb_strip_past_head'),
                sprintf(
                    'no more than the cut above the head, %g mm, so that the jamb strips lie on sheet',
                    $s->mm('sheet_cut_above_head'),
                ),
            );
        }
        $lap = $this->headStripTop($s) - $s->mm('sheet_cut_above_head');
        if ($lap < $this->least['flap_over_head_strip_mm']) {
            throw new CannotGenerate(
                'head_strip_mm',
                $s->mm('head_strip'),
                sprintf('enough for the flap to lap it by %g mm', $this->least['flap_over_head_strip_mm']),
            );
        }
        if ($lap >= $s->mm('flap')) {
            throw new CannotGenerate('flap_mm', $s->mm('flap'), 'a flap that reaches above the head strip');
        }
    }

    /**
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return $this->sheetFigures($does, $s) +
            ($does === 'flap-down' ? ['lap_mm' => $this->headStripTop($s) - $s->mm('sheet_cut_above_head')] : []) +
            $this->flangedFigures($does, $s);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Sizes;
use Apron\Material\Material;

/**
 * The water plane is a mechanically fastened sheet: cut, turned in, its head flap held up until the head is dressed.
 * The flap is as wide as what it lies over and slit upward at its ends; the two slits are taped, and rely on the bond
 * of their tapes.
 */
trait InFastenedSheet
{
    protected function flapTop(Sizes $s): float
    {
        return $s->mm('height') + $this->cutAbove($s) + $s->mm('flap');
    }

    protected function demandFlapRoom(Sizes $s): void
    {
        $needed = max(
            $this->flapSide($s) + $s->mm('slit_tape') / 2,
            $this->flapTop($s) + $s->mm('slit_tape') / 2 - $s->mm('height'),
        );
        if ($s->mm('margin') <= $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $s->mm('margin'),
                sprintf('more than %g mm, where the slit tapes end', $needed),
            );
        }
    }

    /**
     * @param  float  $foot  where the sheet beside the opening starts, below the sill
     */
    protected function sheet(Sizes $s, Material $material, int $step, int $flap, ?float $foot = null): Piece
    {
        [$w, $h, $m, $d] = [$s->mm('width'), $s->mm('height'), $s->mm('margin'), $s->mm('depth')];
        $cut = $h + $this->cutAbove($s);
        [$side, $top] = [$this->flapSide($s), $this->flapTop($s)];
        $below =
            $foot === null
                ? [$this->patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['field', 'in-sill'], $step)]
                : [];
        $turned = $foot === null ? [$this->patch('sheet.in-sill', 'sill', [0, 0, $w, $d], ['in-sill'], $step)] : [];

        return $this->laid(
            'sheet',
            $material,
            PieceKind::Sheet,
            $step,
            [
                ...$below,
                $this->patch('sheet.left', 'face', [-$m, $foot ?? 0, 0, $cut], ['field', 'in-left'], $step),
                $this->patch('sheet.right', 'face', [$w, $foot ?? 0, $w + $m, $cut], ['field', 'in-right'], $step),
                $this->patch('sheet.above-left', 'face', [-$m, $cut, -$side, $top], ['field'], $step),
                $this->patch('sheet.above-right', 'face', [$w + $side, $cut, $w + $m, $top], ['field'], $step),
                $this->patch('sheet.above', 'face', [-$m, $top, $w + $m, $h + $m], ['field', 'flap'], $step),
                $this->patch('sheet.flap', 'face', [-$side, $cut, $w + $side, $top], ['flap'], $flap),
                ...$turned,
                $this->patch('sheet.in-left', 'jamb-left', [0, 0, $d, $h], ['in-left'], $step),
                $this->patch('sheet.in-right', 'jamb-right', [0, 0, $d, $h], ['in-right'], $step),
            ],
            PieceRole::Plane,
        );
    }

    /**
     * @return list<Piece>
     */
    protected function slitTapes(Sizes $s, Material $material, int $step): array
    {
        $half = $s->mm('slit_tape') / 2;
        [$foot, $top] = [$s->mm('height') + $this->cutAbove($s) - $half, $this->flapTop($s) + $half];
        $tapes = [];
        foreach (
            ['left' => -$this->flapSide($s), 'right' => $s->mm('width') + $this->flapSide($s)] as $hand => $slit
        ) {
            $tapes[] = $this->laid(
                "slit-tape-$hand",
                $material,
                PieceKind::Tape,
                $step,
                [
                    $this->patch(
                        "slit-tape-$hand.face",
                        'face',
                        [$slit - $half, $foot, $slit + $half, $top],
                        [],
                        $step,
                    ),
                ],
                null,
                new CutSize($top - $foot, $s->mm('slit_tape')),
            );
        }

        return $tapes;
    }

    /**
     * @return array<string, float>
     */
    protected function sheetFigures(string $does, Sizes $s): array
    {
        return match ($does) {
            'sheet-cut-and-turned-in', 'sheet-cut-over-under-sill' => [
                'cut_above_mm' => $this->cutAbove($s),
                'cut_past_mm' => $this->flapSide($s),
                'slit_mm' => $s->mm('flap'),
            ],
            'slit-tapes' => ['side_mm' => $s->mm('slit_tape') / 2],
            default => [],
        };
    }
}

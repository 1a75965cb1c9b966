<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Material\Material;

/**
 * The water plane is a mechanically fastened sheet: cut, turned in, its head flap held up until the head is dressed.
 * The flap is as wide as what it lies over and slit upward at its ends; the two slits are taped, and rely on the bond
 * of their tapes.
 */
trait InFastenedSheet
{
    /** @param  array<string, float>  $s */
    protected function flapTop(array $s): float
    {
        return $s['height_mm'] + $this->cutAbove($s) + $s['flap_mm'];
    }

    /** @param  array<string, float>  $s */
    protected function demandFlapRoom(array $s): void
    {
        $needed = max(
            $this->flapSide($s) + $s['slit_tape_mm'] / 2,
            $this->flapTop($s) + $s['slit_tape_mm'] / 2 - $s['height_mm'],
        );
        if ($s['margin_mm'] <= $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $s['margin_mm'],
                sprintf('more than %g mm, where the slit tapes end', $needed),
            );
        }
    }

    /**
     * @param  array<string, float>  $s
     * @param  float  $foot  where the sheet beside the opening starts, below the sill
     */
    protected function sheet(array $s, Material $material, int $step, int $flap, ?float $foot = null): Piece
    {
        [$w, $h, $m, $d] = [$s['width_mm'], $s['height_mm'], $s['margin_mm'], $s['depth_mm']];
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
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    protected function slitTapes(array $s, Material $material, int $step): array
    {
        $half = $s['slit_tape_mm'] / 2;
        [$foot, $top] = [$s['height_mm'] + $this->cutAbove($s) - $half, $this->flapTop($s) + $half];
        $tapes = [];
        foreach (['left' => -$this->flapSide($s), 'right' => $s['width_mm'] + $this->flapSide($s)] as $hand => $slit) {
            $tapes[] = $this->laid(
                "slit-tape-$hand",
                $material,
                PieceKind::Tape,
                $step,
                [$this->patch("slit-tape-$hand.face", 'face', [$slit - $half, $foot, $slit + $half, $top], [], $step)],
                null,
                new CutSize($top - $foot, $s['slit_tape_mm']),
            );
        }

        return $tapes;
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>
     */
    protected function sheetFigures(string $does, array $s): array
    {
        return match ($does) {
            'sheet-cut-and-turned-in', 'sheet-cut-over-under-sill' => [
                'cut_above_mm' => $this->cutAbove($s),
                'cut_past_mm' => $this->flapSide($s),
                'slit_mm' => $s['flap_mm'],
            ],
            'slit-tapes' => ['side_mm' => $s['slit_tape_mm'] / 2],
            default => [],
        };
    }
}

<?php

namespace Apron\Sequence;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;

/** A duct or box through the wall: strips folded along it, sill, jambs, head, their corners filled with sealant, the course above over the head strip. */
final class RectangularPenetration extends RoundPenetration
{
    public const NAME = 'rectangular-penetration';

    protected const EXTENTS = ['width_mm' => [60.0, 3000.0], 'height_mm' => [60.0, 3000.0]];

    protected const MATERIALS = ['membrane_material' => 'membrane-permeable', 'strip_material' => 'flashing-formable'];

    protected function through(array $s): array
    {
        return [$s['width_mm'], $s['height_mm']];
    }

    protected function sealedToIt(): array
    {
        return ['strip-sill', 'strip-left', 'strip-right', 'strip-head'];
    }

    protected function does(array $s, array $chosen): array
    {
        $figures = ['past_mm' => $s['collar_mm'], 'along_mm' => $s['along_pipe_mm']];

        return [['plane-to-pipe', ['hole_mm' => $s['hole_past_mm']]], ['duct-strip-sill', $figures], ['duct-strips-jamb', $figures], ['duct-strip-head', $figures], ['plane-over-collar', ['lap_mm' => $s['lap_mm']]]];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $h] = $this->through($s);
        [$c, $strip, $along, $over] = [$s['collar_mm'], $used['strip_material'], $s['along_pipe_mm'], $s['lap_mm']];
        $piece = fn (string $id, array $rect, int $step, float $length, ?PieceRole $role = null) => $this->laid($id, $strip, PieceKind::Formable, $step, [$this->patch("$id.face", 'face', $rect, [], $step)], $role, new CutSize($length, $c + $along));

        return [
            $this->below($s, $used['membrane_material']),
            // What is sealed to the duct is drawn straight over it, once.
            $piece('strip-sill', [-$c, -$c, $w + $c, $h], 2, $w + 2 * $c),
            $piece('strip-left', [-$c, -$over, 0, $h + $over], 3, $h + 2 * $over),
            $piece('strip-right', [$w, -$over, $w + $c, $h + $over], 3, $h + 2 * $over),
            $piece('strip-head', [-$c, $h - $along, $w + $c, $h + $c], 4, $w + 2 * $c, PieceRole::HeadFlashing),
            $this->above($s, $used['membrane_material'], 5, $h + $c),
        ];
    }

    protected function demandRoom(array $s): void
    {
        parent::demandRoom($s);
        $this->demandBelow($s, 'along_pipe_mm', $s['height_mm'], 'the height of the duct that the head strip is folded onto');
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;

/**
 * A duct or box through the wall: strips folded along it, sill, jambs, head, their corners filled with sealant, the
 * course above over the head strip.
 */
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

        return [
            ['plane-to-pipe', ['hole_mm' => $s['hole_past_mm']]],
            ['duct-strip-sill', $figures],
            ['duct-strips-jamb', $figures],
            ['duct-strip-head', $figures],
            ['plane-over-collar', ['lap_mm' => $s['lap_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $h] = $this->through($s);
        [$c, $strip, $along, $over] = [$s['collar_mm'], $used['strip_material'], $s['along_pipe_mm'], $s['lap_mm']];
        $kind = PieceKind::Formable;

        return [
            $this->below($s, $used['membrane_material']),
            // What is sealed to the duct is drawn straight over it, once.
            $this->onFace(
                'strip-sill',
                $strip,
                $kind,
                2,
                [-$c, -$c, $w + $c, $h],
                null,
                new CutSize($w + 2 * $c, $c + $along),
            ),
            $this->onFace(
                'strip-left',
                $strip,
                $kind,
                3,
                [-$c, -$over, 0, $h + $over],
                null,
                new CutSize($h + 2 * $over, $c + $along),
            ),
            $this->onFace(
                'strip-right',
                $strip,
                $kind,
                3,
                [$w, -$over, $w + $c, $h + $over],
                null,
                new CutSize($h + 2 * $over, $c + $along),
            ),
            $this->onFace(
                'strip-head',
                $strip,
                $kind,
                4,
                [-$c, $h - $along, $w + $c, $h + $c],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * $c, $c + $along),
            ),
            $this->above($s, $used['membrane_material'], 5, $h + $c),
        ];
    }

    protected function demandRoom(array $s): void
    {
        parent::demandRoom($s);
        $this->demandBelow(
            $s,
            'along_pipe_mm',
            $s['height_mm'],
            'the height of the duct that the head strip is folded onto',
        );
    }
}

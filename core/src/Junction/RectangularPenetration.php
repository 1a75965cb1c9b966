<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;

/**
 * A duct or box through the wall: strips folded along it, sill, jambs, head, their corners filled with sealant, the
 * course above over the head strip.
 */
final class RectangularPenetration extends RoundPenetration
{
    public const NAME = 'rectangular-penetration';

    protected const EXTENTS = ['width_mm' => [60.0, 3000.0], 'height_mm' => [60.0, 3000.0]];

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'strip_material' => 'flashing-formable',
    ];

    protected function through(Sizes $s): array
    {
        return [$s->mm('width'), $s->mm('height')];
    }

    protected function sealedToIt(): array
    {
        return ['strip-sill', 'strip-left', 'strip-right', 'strip-head'];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $figures = ['past_mm' => $s->mm('collar'), 'along_mm' => $s->mm('along_pipe')];

        return [
            ['plane-to-pipe', ['hole_mm' => $s->mm('hole_past')]],
            ['duct-strip-sill', $figures],
            ['duct-strips-jamb', $figures],
            ['duct-strip-head', $figures],
            ['plane-over-collar', ['lap_mm' => $s->mm('lap')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h] = $this->through($s);
        [$c, $strip, $along, $over] = [$s->mm('collar'), $used->of('strip'), $s->mm('along_pipe'), $s->mm('lap')];
        $kind = PieceKind::Formable;

        return [
            $this->below($s, $used->of('membrane'), $at),
            // What is sealed to the duct is drawn straight over it, once.
            $this->onFace(
                'strip-sill',
                $strip,
                $kind,
                $at->of('duct-strip-sill'),
                [-$c, -$c, $w + $c, $h],
                null,
                new CutSize($w + 2 * $c, $c + $along),
            ),
            $this->onFace(
                'strip-left',
                $strip,
                $kind,
                $at->of('duct-strips-jamb'),
                [-$c, -$over, 0, $h + $over],
                null,
                new CutSize($h + 2 * $over, $c + $along),
            ),
            $this->onFace(
                'strip-right',
                $strip,
                $kind,
                $at->of('duct-strips-jamb'),
                [$w, -$over, $w + $c, $h + $over],
                null,
                new CutSize($h + 2 * $over, $c + $along),
            ),
            $this->onFace(
                'strip-head',
                $strip,
                $kind,
                $at->of('duct-strip-head'),
                [-$c, $h - $along, $w + $c, $h + $c],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * $c, $c + $along),
            ),
            $this->above($s, $used->of('membrane'), 5, $h + $c),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        parent::demandRoom($s);
        $this->demandBelow(
            $s,
            'along_pipe_mm',
            $s->mm('height'),
            'the height of the duct that the head strip is folded onto',
        );
    }
}

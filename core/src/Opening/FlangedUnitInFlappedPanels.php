<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;

/**
 * A flanged unit in panels with factory flaps: upright seams before level ones, the flap of the upper panel over the
 * lower, the spare flap at the head of the wall cut off, the foot in a drained starter strip. At the opening it is
 * dressed like a taped facer.
 */
final class FlangedUnitInFlappedPanels extends FlangedUnitInFacedSheathing
{
    public const NAME = 'flanged-unit-in-flapped-panels';

    protected const MATERIALS =
        [
            'panel_material' => 'eps-film-faced',
            'tape_material' => 'seam-tape',
            'starter_material' => 'steel-galvanised',
            'pan_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
            'unit_material' => 'window-unit',
        ] +
        self::SPOT_MATERIALS +
        self::TRIM_MATERIALS;

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            $this->spotted(
                ['starter-strip', 'flapped-panels', 'upright-seams', 'panel-flaps', ...$this->dressed()],
                'flapped-panels',
                $chosen,
            ),
            $s,
            $chosen,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $m] = [$s->mm('width'), $s->mm('margin')];
        $starter = $this->laid(
            'starter-strip',
            $used->of('starter'),
            PieceKind::Metal,
            1,
            [$this->patch('starter-strip.face', 'face', [-$m, -$m, $w + $m, -$m + 50], [], 1, null, true)],
            null,
            new CutSize($w + 2 * $m, 100),
            null,
            false,
        );

        return [
            $starter,
            ...$this->boards(
                $s,
                $used->of('panel'),
                $at->of('flapped-panels'),
                $s->mm('panel_flap'),
                $at->of('panel-flaps'),
            ),
            ...$this->spots($s, $used, $at, $chosen),
            ...$this->uprightTapes($s, $used->of('tape'), $at->of('upright-seams')),
            $this->pan($s, $used->of('pan'), $at->of('sill-tape')),
            ...$this->dressing($s, $used, $at),
        ];
    }

    /** Its level joints are flaps: no tape lies over them. */
    protected function tapedLevels(Sizes $s): array
    {
        return [];
    }

    protected function figuresOf(string $does, Sizes $s): array
    {
        return $does === 'panel-flaps' ? ['flap_mm' => $s->mm('panel_flap')] : parent::figuresOf($does, $s);
    }
}

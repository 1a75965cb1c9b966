<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A unit whose flange is nailed to the sheathing, behind thick exterior insulation: dressed at the sheathing as in one
 * plane, the head flashing carried out over the board that is set round it afterwards. The pan drains under the open
 * flange and down the sheathing; it cannot be led out, for the board's edge comes last. What runs on the unit falls on
 * the second pan.
 */
final class FlangedUnitInTwoPlanes extends DressedOpening
{
    use BehindBoard, Flanged, InSelfAdhered {
        Flanged::demandRoom as private demandFlange;
        Flanged::figuresOf as private flanged;
    }

    public const NAME = 'flanged-unit-in-two-planes';

    protected const GROUPS = ['flanged', 'behind-board'];

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'pan_material' => 'flashing-formable',
        'strip_material' => 'flashing-strip',
        'unit_material' => 'window-unit',
        'edge_material' => 'aluminium',
        'board_material' => 'mineral-wool-board',
    ];

    /** What leaks at the unit comes out behind its flange's open foot. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Recovered;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            [
                'membrane-below-and-beside',
                'sill-pan',
                'jamb-liners',
                'head-liner',
                'unit-in-sealant',
                'jamb-strips',
                'head-wedge-metal',
                'head-flashing-out',
                'course-over-flashing',
                'boards-round',
                'reveal-metal-edge',
                'second-pan-apart',
                'inner-air-seal',
            ],
            $s,
            $chosen,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            ...$this->atSheathing($s, $used, $at),
            ...$this->units($s, $used, $at),
            ...$this->jambStrips($s, $used->of('strip'), $at->of('jamb-strips')),
            // Past the jamb strips, so that their tops are covered.
            ...$this->headFlashing($s, $used, $at, $this->flapSide($s)),
            ...$this->boardAndSecondPan($s, $used, $at, false),
        ];
    }

    protected function figuresOf(string $does, Sizes $s): array
    {
        return $this->figuresBehindBoard($does, $s) ?? $this->flanged($does, $s);
    }

    protected function demandRoom(Sizes $s): void
    {
        $this->demandFlange($s);
        $this->demandBoardRoom($s);
        $this->demandBelow(
            $s,
            'jamb_strip_past_head_mm',
            $s->mm('upstand') - $s->mm('membrane_lap') + 1,
            'the upstand less its lap, so that the head flashing covers the jamb strips',
        );
        $this->demandBelow(
            $s,
            'flange_mm',
            $s->mm('upstand') + $s->mm('clearance'),
            'so that the head flashing covers the flange',
        );
    }

    protected function demandHeadRoom(Sizes $s): void
    {
        $this->demandBelow(
            $s,
            'jamb_strip_mm',
            $s->mm('margin') + $this->stripInner($s) - $s->mm('head_strip_past_jamb'),
            'so that the head flashing past the jamb strips stays on the wall that is drawn',
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A unit without flange near the sheathing, behind thick exterior insulation: the pan drains down the sheathing, or out
 * over a second pan, which takes what runs on the board's face in either school.
 */
final class UnitInTwoPlanes extends DressedOpening
{
    use BehindBoard, InSelfAdhered, OnStraps {
        demandRoom as private demandOnStraps;
        figuresOf as private strapped;
    }

    public const NAME = 'unit-in-two-planes';

    protected const GROUPS = ['straps', 'behind-board'];

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'pan_material' => 'flashing-formable',
        'strip_material' => 'flashing-strip',
        'edge_material' => 'aluminium',
        'board_material' => 'mineral-wool-board',
    ];

    protected const CHOICES = [
        'held_by' => ['straps', 'clips'],
        'air_seal' => ['sealant', 'tape', 'outer-tape'],
        'drains_to' => ['sheathing', 'outer-face'],
    ];

    /**
     * Led out, the pan's water crosses onto the second pan by its bond; should that fail it is on the pan's own leg.
     */
    public function worst(array $parameters = []): Outcome
    {
        return ($parameters['drains_to'] ?? 'sheathing') === 'outer-face' ? Outcome::ReliesOnBond : Outcome::Shed;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->coupled(
            [
                'membrane-below-and-beside',
                'sill-pan',
                'jamb-liners',
                'head-liner',
                'head-wedge-metal',
                'head-flashing-out',
                'course-over-flashing',
                'boards-round',
                'reveal-metal-edge',
                $chosen->is('drains_to', 'sheathing') ? 'second-pan-apart' : 'second-pan-over',
                ...$this->setAndSealed($chosen),
            ],
            $s,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            ...$this->atSheathing($s, $used, $at),
            // Past the head liner at both sides, so that its top is covered too.
            ...$this->headFlashing($s, $used, $at, $s->mm('face_return') + $this->least['slit_tape_side_mm']),
            ...$this->boardAndSecondPan($s, $used, $at, $chosen->is('drains_to', 'outer-face')),
        ];
    }

    protected function figuresOf(string $does, Sizes $s): array
    {
        return $this->figuresBehindBoard($does, $s) ?? $this->strapped($does, $s);
    }

    protected function demandRoom(Sizes $s): void
    {
        $this->demandOnStraps($s);
        $this->demandBoardRoom($s);
    }
}

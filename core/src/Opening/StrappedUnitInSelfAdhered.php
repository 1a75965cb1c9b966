<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A unit without flange, held by straps or clips at a given depth of the opening, in a self-adhered membrane: the
 * membrane goes on over the head liner down to the arris, so that water drips off there, clear of the unit, onto the
 * pan.
 */
class StrappedUnitInSelfAdhered extends DressedOpening
{
    use InSelfAdhered, OnStraps;

    public const NAME = 'strapped-unit-in-self-adhered';

    protected const GROUPS = ['straps'];

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'pan_material' => 'flashing-formable',
        'strip_material' => 'flashing-strip',
    ];

    protected const CHOICES = ['held_by' => ['straps', 'clips'], 'air_seal' => ['sealant', 'tape', 'outer-tape']];

    /** Nothing lies over anything that water must get out from behind. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->coupled(
            [
                'membrane-below-and-beside',
                'sill-pan',
                'jamb-liners',
                'head-liner',
                'course-to-arris',
                ...$this->setAndSealed($chosen),
            ],
            $s,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            $this->field($s, $used->of('membrane'), $at->of('membrane-below-and-beside'), $s->mm('membrane_lap')),
            $this->pan($s, $used->of('pan'), (int) $at->firstOf('sill-pan', 'threshold-pan')),
            ...$this->jambLiners($s, $used->of('strip'), $at->of('jamb-liners')),
            $this->headLiner($s, $used->of('pan'), $at->of('head-liner')),
            $this->courseAbove($s, $used->of('membrane'), $at->of('course-to-arris'), 0.0),
        ];
    }
}

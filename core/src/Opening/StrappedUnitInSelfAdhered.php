<?php

declare(strict_types=1);

namespace Apron\Opening;

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

    protected function order(array $chosen, array $s): array
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

    protected function pieces(array $s, array $used, array $at, array $chosen): array
    {
        return [
            $this->field($s, $used['membrane_material'], $at['membrane-below-and-beside'], $s['membrane_lap_mm']),
            $this->pan($s, $used['pan_material'], $at['sill-pan'] ?? $at['threshold-pan']),
            ...$this->jambLiners($s, $used['strip_material'], $at['jamb-liners']),
            $this->headLiner($s, $used['pan_material'], $at['head-liner']),
            $this->courseAbove($s, $used['membrane_material'], $at['course-to-arris'], 0.0),
        ];
    }
}

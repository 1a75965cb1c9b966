<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Edge;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;

/**
 * A joint in three stages: outside a seal against rain that lets vapour out, insulation, inside a tighter seal. Either
 * membranes are put on the unit before it is set, or a pre-compressed tape outside and a membrane inside. The outer
 * joint at the sill stays open, or is sealed like the others: a school of its own, which the check of the sill names.
 */
final class ThreeStageJoint extends StrappedUnitInSelfAdhered
{
    public const NAME = 'three-stage-joint';

    protected const CHOICES = [
        'outer' => ['precompressed-tape', 'membranes'],
        'outer_sill' => ['open', 'weather-sealed'],
    ];

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->coupled(
            [
                'membrane-below-and-beside',
                'sill-pan',
                'jamb-liners',
                'head-liner',
                'course-to-arris',
                ...$chosen->is('outer', 'membranes')
                    ? ['unit-with-membranes', 'joint-insulation', 'membranes-pressed', 'inner-membrane']
                    : ['unit-with-tape', 'tape-grown', 'joint-insulation', 'inner-membrane'],
            ],
            $s,
        );
    }

    protected function set(Sizes $s, Choices $chosen): Unit
    {
        $joints = $this->joints();
        if ($chosen->is('outer_sill', 'weather-sealed')) {
            $joints['sill'] = new UnitJoint(Edge::Sealed, true, true);
        }

        return new Unit($s->mm('setback'), $s->mm('setback') + $s->mm('frame_depth'), null, $joints);
    }
}

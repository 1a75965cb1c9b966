<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;

/**
 * A door that is stepped over nothing: its sill is set down below the finished floor, the pan is formed into that
 * recess and drains out under the threshold into a channel. The recess is the only dam there is: the trace says what
 * wind it holds against.
 */
final class DoorWithFlushThreshold extends StrappedUnitInSelfAdhered
{
    public const NAME = 'door-with-flush-threshold';

    protected const CHOICES = ['air_seal' => ['sealant', 'tape']];

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->coupled(
            [
                'membrane-below-and-beside',
                'threshold-pan',
                'jamb-liners',
                'head-liner',
                'course-to-arris',
                'door-on-blocks',
                'outer-seals',
                $chosen->is('air_seal', 'tape') ? 'inner-tape' : 'inner-air-seal',
                'threshold-channel',
            ],
            $s,
        );
    }

    protected function backDam(Sizes $s): float
    {
        return $s->mm('recess');
    }
}

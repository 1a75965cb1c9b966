<?php

declare(strict_types=1);

namespace Apron\Opening\Holding;

use Apron\Detail\Edge;
use Apron\Detail\UnitJoint;
use Apron\Opening\Composition;

/** Where the air seal round a unit is, and what it is made of. */
enum InnerSeal: string
{
    case Sealant = 'sealant';
    case Tape = 'tape';
    case Membrane = 'membrane';
    /** Closed outside, by tape or by the flange and what is pressed over it; inside only the sill has a bead. */
    case Outside = 'outer-tape';

    public static function of(Composition $of): self
    {
        return self::from($of->of('air_seal'));
    }

    public function step(): string
    {
        return match ($this) {
            self::Sealant => 'inner-air-seal',
            self::Tape => 'inner-tape',
            self::Membrane => 'inner-membrane',
            self::Outside => 'inner-sill-bead',
        };
    }

    /** @return array<string, UnitJoint> by side */
    public function joints(Edge $outer, Edge $sill): array
    {
        $closed = new UnitJoint($outer, true, $this !== self::Outside);

        return [
            'sill' => new UnitJoint($sill, true, true),
            'head' => $closed,
            'jamb-left' => $closed,
            'jamb-right' => $closed,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Control;

/** By what a control layer is handed over at a joint. */
enum HandedOver: string
{
    case Lap = 'lap';
    case Tape = 'tape';
    case Bead = 'bead';
    case Gasket = 'gasket';
    case Fluid = 'fluid';
    case Foam = 'foam';
    case Metal = 'metal';
    case Continuous = 'continuous';
    case Butt = 'butt';
    case None = 'none';

    /** Whether it carries that control over (common practice). */
    public function carries(Control $control): bool
    {
        return match ($this) {
            self::None => false,
            self::Butt => $control === Control::Heat,
            self::Lap, self::Metal => $control === Control::Water,
            self::Foam => $control === Control::Air || $control === Control::Heat,
            self::Tape, self::Bead, self::Gasket, self::Fluid => $control !== Control::Heat,
            self::Continuous => true,
        };
    }
}

<?php

declare(strict_types=1);

namespace Apron\Brief;

/** By what a target of airtightness is counted; the name is that of its key in a project file. */
enum AirTargetUnit: string
{
    /** air changes an hour at 50 Pa */
    case ChangesAt50 = 'n50_1_h';
    /** m³/(h·m²) at 50 Pa */
    case FlowPerAreaAt50 = 'q50_m3_h_m2';
    /** L/(s·m²) at 75 Pa */
    case FlowPerAreaAt75 = 'q75_l_s_m2';

    public function unit(): string
    {
        return match ($this) {
            self::ChangesAt50 => 'changes an hour at 50 Pa',
            self::FlowPerAreaAt50 => 'm³/(h·m²) at 50 Pa',
            self::FlowPerAreaAt75 => 'L/(s·m²) at 75 Pa',
        };
    }

    /** The most that anybody sets. */
    public function most(): float
    {
        return match ($this) {
            self::ChangesAt50 => 20.0,
            self::FlowPerAreaAt50 => 50.0,
            self::FlowPerAreaAt75 => 20.0,
        };
    }
}

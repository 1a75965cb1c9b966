<?php

declare(strict_types=1);

namespace Apron\Brief;

use Apron\Rules\RuleFigures;

/** How tight a building is to be, as targets are set: by its volume, or by the area of its envelope. */
final readonly class AirTarget
{
    public function __construct(public AirTargetUnit $unit, public float $value)
    {
    }

    /**
     * @param  float  $volume  m³
     * @param  float  $area  m² of envelope
     * @return float L/s at 75 Pa
     */
    public function flowAt75(float $volume, float $area): float
    {
        $from50 = (75 / 50) ** RuleFigures::of('leakage')->figure('flow_exponent');

        return match ($this->unit) {
            AirTargetUnit::ChangesAt50 => (($this->value * $volume) / 3.6) * $from50,
            AirTargetUnit::FlowPerAreaAt50 => (($this->value * $area) / 3.6) * $from50,
            AirTargetUnit::FlowPerAreaAt75 => $this->value * $area,
        };
    }
}

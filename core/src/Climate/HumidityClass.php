<?php

declare(strict_types=1);

namespace Apron\Climate;

use Apron\Rules\RuleFigures;

/**
 * Indoor air by the humidity classes of ISO 13788:2012, annex A: an excess of vapour pressure over outdoors that is
 * constant at and below 0 °C outdoors and falls in a line to nothing at 20 °C. The upper limit of the class is taken.
 */
final readonly class HumidityClass implements IndoorAir
{
    public function __construct(public int $class, public float $celsius, public float $margin)
    {
    }

    public function during(int $month, Month $outdoors): array
    {
        $share = max(0.0, min(1.0, (20 - $outdoors->celsius) / 20));
        $excess =
            RuleFigures::of('physics')->table('humidity_class_pa')["class-$this->class"]['most'] *
            $share *
            $this->margin;

        return [
            'celsius' => $this->celsius,
            'pressure' => min($outdoors->vapourPressure() + $excess, Air::saturation($this->celsius)),
        ];
    }

    /** Whether the class asks for more than the air of the room can hold in such a month; it is capped there. */
    public function caps(Month $outdoors): bool
    {
        return $this->during(0, $outdoors)['pressure'] >= Air::saturation($this->celsius) * (1 - 1e-9);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Climate;

/**
 * Indoor air by the humidity classes of ISO 13788:2012, annex A: an excess of vapour pressure over outdoors that is
 * constant at and below 0 °C outdoors and falls in a line to nothing at 20 °C. The upper limit of the class is taken.
 */
final readonly class HumidityClass implements IndoorAir
{
    /**
     * Upper limits in Pa at and below 0 °C. Classes 1 to 4: ISO 13788 figure A.1; class 5 has none there, 1360 from
     * memory.
     */
    public const UPPER_LIMIT_PA = [1 => 270.0, 2 => 540.0, 3 => 810.0, 4 => 1080.0, 5 => 1360.0];

    public function __construct(public int $class, public float $celsius, public float $margin)
    {
    }

    public function during(int $month, Month $outdoors): array
    {
        $share = max(0.0, min(1.0, (20 - $outdoors->celsius) / 20));
        $excess = self::UPPER_LIMIT_PA[$this->class] * $share * $this->margin;

        return ['celsius' => $this->celsius, 'pressure' => $outdoors->vapourPressure() + $excess];
    }
}

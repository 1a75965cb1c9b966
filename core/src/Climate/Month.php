<?php

namespace Apron\Climate;

/** Mean air of one month, or of any other stretch: °C and % relative humidity. */
final readonly class Month
{
    public const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    public function __construct(public float $celsius, public float $humidity)
    {
    }

    /** Pa */
    public function vapourPressure(): float
    {
        return $this->humidity / 100 * Air::saturation($this->celsius);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Plan;

/** The weather of one day, forecast. */
final readonly class DayWeather
{
    public function __construct(
        public int $day,
        /** °C, of its coldest hour and its warmest */
        public float $low,
        public float $high,
        /** mm */
        public float $rain,
        /** % mean relative humidity */
        public ?float $humidity = null,
        /** m/s */
        public ?float $wind = null,
    ) {
        if ($low > $high) {
            throw new \InvalidArgumentException("a coldest hour of $low °C and a warmest of $high");
        }
    }

    public function mean(): float
    {
        return ($this->low + $this->high) / 2;
    }

    /** @return array<string, float|string> as the file has it */
    public function toArray(): array
    {
        return ['date' => Day::written($this->day), 'low_c' => $this->low, 'high_c' => $this->high] +
            ['rain_mm' => $this->rain] +
            array_filter(
                ['rh_pct' => $this->humidity, 'wind_m_s' => $this->wind],
                fn (?float $said): bool => $said !== null,
            );
    }
}

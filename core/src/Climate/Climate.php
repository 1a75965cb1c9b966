<?php

declare(strict_types=1);

namespace Apron\Climate;

/** Twelve months of outdoor air, January first. */
final readonly class Climate
{
    /**
     * @param  list<Month>  $months twelve
     *
     * @throws \InvalidArgumentException where they are not twelve
     */
    public function __construct(
        public string $name,
        public array $months,
        /** of the North American energy codes, `4C` say; null where nobody has said */
        public ?string $zone = null,
        /** °C, for sizing: colder in one hour of a hundred or so */
        public ?float $designWinter = null,
        /** degrees north; null where nobody has said */
        public ?float $latitude = null,
        /** its hours as they were measured; null where a year is made from its months */
        public ?HourlyYear $hours = null,
    ) {
        if (count($months) !== 12) {
            throw new \InvalidArgumentException('a climate has twelve months, and not '.count($months));
        }
    }

    public function withHours(HourlyYear $hours): self
    {
        return new self($this->name, $this->months, $this->zone, $this->designWinter, $this->latitude, $hours);
    }

    /** °C over the year */
    public function mean(): float
    {
        return array_sum(array_map(fn (Month $month): float => $month->celsius, $this->months)) / 12;
    }

    /** Index of the coldest month, 0 for January; the first of equals. */
    public function coldest(): int
    {
        $coldest = 0;
        foreach ($this->months as $i => $month) {
            if ($month->celsius < $this->months[$coldest]->celsius) {
                $coldest = $i;
            }
        }

        return $coldest;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Climate;

/** A climate as somebody brings it: a weather file of hours, or a table of twelve months. */
final readonly class ClimateFile
{
    /** Degrees from north of the four faces that driving rain is told for. */
    private const SIDES = ['north' => 0.0, 'east' => 90.0, 'south' => 180.0, 'west' => 270.0];

    private function __construct(
        public Climate $climate,
        /** null where months were brought */
        public ?HourlyYear $hours,
    ) {
    }

    /**
     * @param  string  $name  of the file: a table of months has no other
     *
     * @throws ClimateFileRefused with the line and what was wrong with it
     */
    public static function read(string $text, string $name): self
    {
        $weather = str_starts_with(strtoupper(ltrim($text)), 'LOCATION') || str_ends_with(strtolower($name), '.epw');
        if ($weather) {
            $hours = EpwReader::read($text);

            return new self($hours->climate(), $hours);
        }
        $title = mb_substr(pathinfo($name, PATHINFO_FILENAME), 0, 200);

        return new self(MonthTable::read(mb_scrub($text), $title === '' ? 'months from a table' : $title), null);
    }

    /** @return array<string, mixed> the climate, and how it came about */
    public function toArray(): array
    {
        return [
            'climate' => ClimateFormat::writeClimate($this->climate),
            'hours' => $this->hours === null ? 0 : count($this->hours->hours),
            'weather' => $this->hours === null ? null : WeatherFormat::write($this->hours),
            'driving_rain_mm' => $this->hours === null ? null : array_map($this->hours->drivingRain(...), self::SIDES),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** A fan pressurisation test as somebody wrote it down. */
final readonly class FanSheet
{
    /**
     * @param  list<array{pressure: float, flow: float, weight?: float}>  $points  Pa as read, m³/h at the fan
     * @param  list<float>  $before  Pa at no flow, with their signs
     * @param  list<float>  $after
     * @param  array<string, float>  $targets  by figure: n50_1_h, q50_m3_h_m2, q75_l_s_m2
     * @param  list<Leak>  $leaks  found with smoke or by infrared while the fan ran
     */
    public function __construct(
        public string $id,
        public string $title,
        public FanConvention $convention,
        public array $points,
        public array $before,
        public array $after,
        /** °C */
        public float $indoors,
        public float $outdoors,
        /** Pa */
        public float $barometer,
        /** % */
        public ?float $indoorHumidity = null,
        public ?float $outdoorHumidity = null,
        /** m³ */
        public ?float $volume = null,
        /** m² */
        public ?float $envelope = null,
        public array $targets = [],
        public bool $isSimulated = false,
        public ?string $date = null,
        /** before the insulation covers the air layer, or at the end; null where nobody has said */
        public ?Stage $stage = null,
        public array $leaks = [],
    ) {
    }

    /**
     * What it leaves open filled from the building and the brief.
     *
     * @param  float|null  $volume  m³
     * @param  float|null  $envelope  m²
     * @param  array<string, float>  $targets
     */
    public function filled(?float $volume, ?float $envelope, array $targets): self
    {
        return new self(
            $this->id,
            $this->title,
            $this->convention,
            $this->points,
            $this->before,
            $this->after,
            $this->indoors,
            $this->outdoors,
            $this->barometer,
            $this->indoorHumidity,
            $this->outdoorHumidity,
            $this->volume ?? $volume,
            $this->envelope ?? $envelope,
            $this->targets === [] ? $targets : $this->targets,
            $this->isSimulated,
            $this->date,
            $this->stage,
            $this->leaks,
        );
    }

    /** @return array{float|null, float|null} mean zero-flow pressure before and after, Pa */
    public function offsets(): array
    {
        $mean = fn (array $read): ?float => $read === [] ? null : array_sum($read) / count($read);

        return [$mean($this->before), $mean($this->after)];
    }
}

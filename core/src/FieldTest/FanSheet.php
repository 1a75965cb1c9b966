<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Json\Written;

/** A fan pressurisation test as somebody wrote it down. */
final readonly class FanSheet extends TestSheet
{
    /**
     * @param  list<array{pressure: float, flow: float, weight?: float}>  $points  Pa as read, m³/h at the fan
     * @param  list<float>  $before  Pa at no flow, with their signs
     * @param  list<float>  $after
     * @param  array<string, float>  $targets  by figure: n50_1_h, q50_m3_h_m2, q75_l_s_m2
     * @param  list<Leak>  $leaks  found with smoke or by infrared while the fan ran
     */
    public function __construct(
        TestHead $head,
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
        public array $leaks = [],
        /** the test of the same house the other way */
        public ?string $otherWay = null,
    ) {
        parent::__construct($head);
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
            $this->head,
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
            $this->leaks,
            $this->otherWay,
        );
    }

    public function write(): array
    {
        return [
            'convention' => $this->convention->value,
            'points' => array_map(
                fn (array $point): array => ['pressure_pa' => $point['pressure'], 'flow_m3_h' => $point['flow']] +
                    (isset($point['weight']) ? ['weight' => $point['weight']] : []),
                $this->points,
            ),
        ] + Written::without([
            'zero_flow_before_pa' => $this->before,
            'zero_flow_after_pa' => $this->after,
            'indoor_c' => $this->indoors,
            'outdoor_c' => $this->outdoors,
            'barometer_pa' => $this->barometer,
            'indoor_rh_pct' => $this->indoorHumidity,
            'outdoor_rh_pct' => $this->outdoorHumidity,
            'volume_m3' => $this->volume,
            'envelope_m2' => $this->envelope,
            'target' => $this->targets,
            'leaks' => array_map(fn (Leak $leak): array => $leak->write(), $this->leaks),
            'other_way' => $this->otherWay,
        ]);
    }

    /** @return array{float|null, float|null} mean zero-flow pressure before and after, Pa */
    public function offsets(): array
    {
        $mean = fn (array $read): ?float => $read === [] ? null : array_sum($read) / count($read);

        return [$mean($this->before), $mean($this->after)];
    }

    /** 1 where the house was blown into, −1 where it was drawn out of; 0 where nothing was read. */
    public function way(): int
    {
        return ($this->points[0]['pressure'] ?? 0.0) <=> 0.0;
    }
}

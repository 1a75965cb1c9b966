<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Climate\Air;

/** Temperature and vapour pressure through an assembly in one steady pair of airs. */
final readonly class Profile
{
    /** W/m² outward */
    public float $heatFlux;

    /** @var list<float> °C at each node of the path */
    public array $temperatures;

    /** @var list<float> Pa */
    public array $saturation;

    /** @var list<float> m of still air to each node, in this state */
    public array $sd;

    /** m²K/W through the main path, surfaces included, in this state */
    public float $resistance;

    /** @var list<float> Pa: the taut string, at or below saturation */
    public array $pressure;

    /** @var list<float> Pa: plain diffusion, as if nothing condensed */
    public array $uncapped;

    /** @var array<int, float> node => condensation, kg/(m²s) */
    public array $condensation;

    /** Whether the indoor air condenses on the inside surface itself. */
    public bool $surfaceWet;

    /**
     * @param  float  $indoorPressure  Pa
     * @param  float  $outdoorPressure  Pa
     */
    public function __construct(
        public Path $path,
        public string $name,
        public float $indoors,
        public float $indoorPressure,
        public float $outdoors,
        public float $outdoorPressure,
    ) {
        [$resistances, $this->resistance] = $path->warmth($indoors, $outdoors);
        $this->heatFlux = ($indoors - $outdoors) / $this->resistance;
        $temperatures = [];
        foreach ($resistances as $resistance) {
            $temperatures[] = $indoors - $resistance * $this->heatFlux;
        }
        $this->temperatures = $temperatures;
        $this->saturation = array_map(Air::saturation(...), $temperatures);
        $last = count($path->sd) - 1;
        $this->surfaceWet = $indoorPressure > $this->saturation[0];
        $from = min($indoorPressure, $this->saturation[0]);
        $to = min($outdoorPressure, $this->saturation[$last]);
        $this->sd = $path->openness($this->saturation, $from, $to);
        $touched = TautString::touches($this->sd, $this->saturation, 0, $last, $from, $to);
        $at = [];
        foreach ($touched as $node) {
            $at[$node] = $this->saturation[$node];
        }
        $at[0] = $from;
        $at[$last] = $to;
        $this->pressure = TautString::pressures($this->sd, $touched, $at);
        $this->uncapped = TautString::pressures(
            $this->sd,
            [0, $last],
            [0 => $indoorPressure, $last => $outdoorPressure],
        );
        $this->condensation = self::rates($this->sd, $touched, $at);
    }

    /**
     * What is left behind at each touched node between the ends: δ₀ times the change of slope there, kg/(m²s).
     *
     * @param  list<float>  $sd
     * @param  list<int>  $touched
     * @param  array<int, float>  $at
     * @return array<int, float>
     */
    private static function rates(array $sd, array $touched, array $at): array
    {
        $rates = [];
        for ($t = 1; $t < count($touched) - 1; $t++) {
            [$a, $b, $c] = [$touched[$t - 1], $touched[$t], $touched[$t + 1]];
            $rates[$b] =
                Air::VAPOUR_PERMEABILITY *
                (($at[$a] - $at[$b]) / ($sd[$b] - $sd[$a]) - ($at[$b] - $at[$c]) / ($sd[$c] - $sd[$b]));
        }

        return $rates;
    }

    /** The node at an interface. */
    public function at(int $interface): int
    {
        return (int) array_search($interface, $this->path->interface, true);
    }

    /** Condensation of all planes together, g/(m²h). */
    public function totalRate(): float
    {
        return array_sum($this->condensation) * 3.6e6;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        $interfaces = $condensation = [];
        foreach ($this->path->interface as $node => $interface) {
            if ($interface >= 0) {
                $interfaces[] = [
                    'position_mm' => $this->path->positionMm[$node],
                    'temperature_c' => $this->temperatures[$node],
                    'saturation_pa' => $this->saturation[$node],
                    'vapour_pressure_pa' => $this->pressure[$node],
                    'vapour_pressure_uncapped_pa' => $this->uncapped[$node],
                    'dew_point_c' => Air::dewPoint($this->pressure[$node]),
                ];
            }
        }
        foreach ($this->condensation as $node => $rate) {
            $condensation[] = $this->path->place($node) + ['rate_g_m2_h' => $rate * 3.6e6];
        }

        return [
            'name' => $this->name,
            'outdoor_c' => $this->outdoors,
            'outdoor_pa' => $this->outdoorPressure,
            'indoor_c' => $this->indoors,
            'indoor_pa' => $this->indoorPressure,
            'heat_flux_w_m2' => $this->heatFlux,
            'r_main_path_m2k_w' => $this->resistance,
            'interfaces' => $interfaces,
            'condensation' => $condensation,
        ];
    }
}

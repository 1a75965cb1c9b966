<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Climate\Air;
use Apron\Climate\MoistureProduction;
use Apron\Climate\Month;
use Apron\Rules\RuleFigures;

/**
 * Water that leaking indoor air could leave at a cold plane: a bound from above. All of the leak is taken to flow
 * outward past the plane, to cool to its temperature and not to warm it; the truth lies between nothing and this.
 */
final readonly class AirLeak
{
    /** m³/(s·m²) at the month's pressure */
    public float $flow;

    /** Pa */
    public float $pressure;

    /** g/(m²·day) */
    public float $bound;

    /**
     * @param  float  $leakage  L/(s·m²) at 75 Pa
     * @param  array{celsius: float, pressure: float}  $indoors
     * @param  float  $plane  °C there
     */
    public function __construct(float $leakage, array $indoors, Month $outdoors, float $plane)
    {
        $rules = RuleFigures::of('practice');
        // Stack: the weight of two columns of air, 3463 = 101 325 Pa · M·g/R; wind: half ρv² times a mean suction.
        $stack =
            3463 *
            $rules->figure('stack_height_m') *
            (1 / ($outdoors->celsius + 273.15) - 1 / ($indoors['celsius'] + 273.15));
        $wind =
            0.6 * ($outdoors->wind ?? $rules->figure('wind_m_s')) ** 2 * $rules->figure('wind_pressure_coefficient');
        $this->pressure = max(0.0, $stack) + $wind;
        $this->flow = ($leakage / 1000) * ($this->pressure / 75) ** $rules->figure('leak_exponent');
        $density = fn (float $pascal, float $celsius): float => $pascal /
            (MoistureProduction::VAPOUR_GAS * ($celsius + 273.15));
        $left = max(
            0.0,
            $density($indoors['pressure'], $indoors['celsius']) - $density(Air::saturation($plane), $plane),
        );
        $this->bound = $this->flow * $left * 86400 * 1000;
    }
}

<?php

declare(strict_types=1);

namespace App\Station;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Stands in for a fan where there is none: a leakage law with wind on the gauge and noise on the flow, drawing out.
 * Seeded, so that a run can be had again.
 */
final class SimulatedFan implements Fan
{
    /** Exponent of its law: between sharp holes and long cracks. */
    public const EXPONENT = 0.65;

    /** Pa that wind shakes the gauge by, and the share that the flow is read wrong by */
    private const WIND_PA = 0.4;

    private const NOISE = 0.01;

    private const PRESSURES = [10, 20, 30, 40, 50, 60];

    private readonly Randomizer $chance;

    public function __construct(int $seed = 1)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function isSimulated(): bool
    {
        return true;
    }

    public function run(float $flow50): array
    {
        // Stack and wind with the fan off, the same under every reading.
        $offset = round(-1.5 + $this->drawn(), 2);
        $points = [];
        foreach (self::PRESSURES as $pressure) {
            $true = $pressure + self::WIND_PA * $this->drawn();
            $points[] = [
                'pressure_pa' => round($offset - $pressure, 1),
                'flow_m3_h' => round(
                    $flow50 * ($true / 50) ** self::EXPONENT * (1 + self::NOISE * $this->drawn()),
                    1,
                ),
            ];
        }
        $zero = fn (): array => array_map(fn (): float => round($offset + 0.2 * $this->drawn(), 1), [1, 2, 3]);

        return ['points' => $points, 'zero_flow_before_pa' => $zero(), 'zero_flow_after_pa' => $zero()];
    }

    /** −1 to 1, small ones oftener */
    private function drawn(): float
    {
        $sum = 0;
        for ($i = 0; $i < 3; $i++) {
            $sum += $this->chance->getInt(-1000, 1000);
        }

        return $sum / 3000;
    }
}

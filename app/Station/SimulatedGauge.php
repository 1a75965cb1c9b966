<?php

declare(strict_types=1);

namespace App\Station;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Stands in for a gauge where there is none: readings about a true value with noise, some of them of a place that is
 * not as it should be. Seeded, so that they can be had again.
 */
final class SimulatedGauge implements Gauge
{
    /** One reading in so many is of a defect: a wet foot, a thin spot, a draught. */
    public const DEFECT_EVERY = 8;

    private readonly Randomizer $chance;

    public function __construct(int $seed = 1)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function name(): string
    {
        return 'simulated gauge';
    }

    public function isSimulated(): bool
    {
        return true;
    }

    /** @return array{float, float, float} the true value, how far readings lie about it at the most, and the defect */
    public static function truth(GaugeKind $kind): array
    {
        return match ($kind) {
            GaugeKind::Pins => [13.5, 1.2, 24.0],
            GaugeKind::Film => [420.0, 30.0, 210.0],
            GaugeKind::Thermometer => [16.0, 0.4, 9.0],
        };
    }

    public function read(GaugeKind $kind, int $count): array
    {
        [$true, $noise, $defect] = self::truth($kind);
        $readings = [];
        for ($i = 1; $i <= $count; $i++) {
            $about = $i % self::DEFECT_EVERY === 0 ? $defect : $true;
            $readings[] = round($about + ($noise * $this->chance->getInt(-1000, 1000)) / 1000, 1);
        }

        return $readings;
    }
}

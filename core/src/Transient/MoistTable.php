<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Climate\Air;
use Apron\Material\Curve;
use Apron\Material\Material;

/**
 * What one material does with heat and water, as tables over relative humidity that are read without a search: steps of
 * 0.001 up to 0.95, of 0.00001 from there on, where pores fill.
 */
final class MoistTable
{
    public const COARSE = 1000.0;

    public const FINE = 100_000.0;

    public const KNEE = 0.95;

    /** of the steps below the knee */
    public const BELOW = 950;

    /** steps in all */
    public const LAST = 5950;

    /** kg/m³ for each unit of relative humidity above 1: water that stands in a cell raises it by next to nothing */
    public const BEYOND = 1_000_000.0;

    /** J/(kg·K) of water */
    public const WATER_HEAT = 4187.0;

    /** K: liquid conductivity is turned into a potential at this temperature */
    public const AT = 293.15;

    /** ρw·Rv, Pa/K */
    public const SUCTION = 1000.0 * 461.5;

    /** kg/m³ at saturation of what nobody has said a sorption of */
    private const HARDLY_ANY = 0.2;

    /** relative humidity below which no water is liquid enough to flow, where only the absorption is known */
    private const FLOWS_FROM = 0.8;

    /** of relative humidity: means between the two cups at which permeances are measured, 0/50 and 50/93 % */
    private const DRY_CUP = 0.25;

    private const WET_CUP = 0.715;

    /** W/(m·K), kg/m³ and J/(kg·K) of what nobody has said */
    private const USUAL = [0.1, 300.0, 1000.0];

    /** @var list<float> kg/m³ */
    public array $water = [];

    /** @var list<float> kg/(m·s), whose gradient is the flow of liquid water */
    public array $potential = [];

    /** @var list<float> kg/(m·s·Pa) */
    public array $permeability = [];

    /** @var list<float> W/(m·K) */
    public array $conductivity = [];

    /** @var list<float> K·ρw·Rv, kg/(m·s·K); empty where suction does not drive it */
    public array $suction = [];

    /** J/(m³·K), dry */
    public float $heat;

    public bool $carriesLiquid;

    /** @var list<string> figures that were not said and were taken as usual */
    public array $assumed = [];

    public readonly Material $material;

    public function __construct(private readonly Part $part)
    {
        $this->material = $part->material;
        $this->tabulateWater();
        $this->tabulateVapour($part->thicknessMm);
        $this->tabulateHeat();
        $this->tabulateLiquid();
    }

    public static function index(float $humidity): int
    {
        return $humidity < self::KNEE
            ? (int) ($humidity * self::COARSE)
            : min(self::LAST - 1, self::BELOW + (int) (($humidity - self::KNEE) * self::FINE));
    }

    public static function humidityAt(int $index): float
    {
        return $index <= self::BELOW ? $index / self::COARSE : self::KNEE + ($index - self::BELOW) / self::FINE;
    }

    /** kg/m³ at a relative humidity */
    public function waterAt(float $humidity): float
    {
        $i = self::index($humidity);
        $from = self::humidityAt($i);
        $share = ($humidity - $from) / (self::humidityAt($i + 1) - $from);

        return $humidity >= 1.0
            ? $this->water[self::LAST] + self::BEYOND * ($humidity - 1.0)
            : $this->water[$i] + $share * ($this->water[$i + 1] - $this->water[$i]);
    }

    /** kg/(m·s), whose gradient is the flow of liquid water */
    public function potentialAt(float $humidity): float
    {
        $i = self::index(min(1.0, $humidity));
        $from = self::humidityAt($i);

        return $this->potential[$i] + (($humidity - $from) / (self::humidityAt($i + 1) - $from))
            * ($this->potential[$i + 1] - $this->potential[$i]);
    }

    /** The relative humidity at which it holds so much, kg/m³. */
    public function humidityOf(float $water): float
    {
        if ($water >= $this->water[self::LAST]) {
            return 1.0 + ($water - $this->water[self::LAST]) / self::BEYOND;
        }
        [$low, $high] = [0, self::LAST];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->water[$middle] <= $water) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        $rise = $this->water[$high] - $this->water[$low];
        $share = $rise > 0 ? ($water - $this->water[$low]) / $rise : 0.0;

        return self::humidityAt($low) + $share * (self::humidityAt($high) - self::humidityAt($low));
    }

    /** kg/m³ when its pores are full of what they take up by themselves */
    public function full(): float
    {
        return $this->water[self::LAST];
    }

    private function tabulateWater(): void
    {
        $curve = $this->material->sorptionCurve;
        $free = $this->material->freeSaturation;
        $last = $curve === null ? 0.0 : $curve->at[count($curve->at) - 1] / 100;
        $most = $curve === null ? 0.0 : $curve->values[count($curve->values) - 1];
        // From the last point that was measured to saturation the pores fill late: the form of Künzel (1995), through
        // both.
        $share = $free !== null && $free > $most && $last < 1.0 && $last > 0.0 ? $most / $free : null;
        $b = $share === null ? null : ($last - $share * $last) / ($last - $share);
        for ($i = 0; $i <= self::LAST; $i++) {
            $humidity = self::humidityAt($i);
            $this->water[] = match (true) {
                $curve === null && $free !== null => $free * $humidity,
                $curve === null => self::HARDLY_ANY * $humidity,
                $humidity > $last && $b !== null => ((float) $free * ($b - 1) * $humidity) / ($b - $humidity),
                default => self::from($curve, $humidity),
            };
        }
    }

    /** From nothing at 0 to the first point, between points as they are, and on as before after the last. */
    private static function from(Curve $curve, float $humidity): float
    {
        $at = 100 * $humidity;
        [$first, $last] = [$curve->at[0], count($curve->at) - 1];
        if ($at < $first) {
            return ($curve->values[0] * $at) / $first;
        }
        if ($at > $curve->at[$last]) {
            $rise = ($curve->values[$last] - $curve->values[$last - 1]) / ($curve->at[$last] - $curve->at[$last - 1]);

            return $curve->values[$last] + $rise * ($at - $curve->at[$last]);
        }

        return $curve->value($at);
    }

    private function tabulateVapour(float $thicknessMm): void
    {
        $metres = $thicknessMm / 1000;
        $table = $this->material->moisture?->permeability;
        $open = $this->material->permeanceCurve;
        $dry = (Air::VAPOUR_PERMEABILITY * $metres) / $this->material->sdOf($thicknessMm);
        $wet = (Air::VAPOUR_PERMEABILITY * $metres) / $this->material->sdOf($thicknessMm, true);
        for ($i = 0; $i <= self::LAST; $i++) {
            $humidity = self::humidityAt($i);
            $share = max(0.0, min(1.0, ($humidity - self::DRY_CUP) / (self::WET_CUP - self::DRY_CUP)));
            $this->permeability[] = match (true) {
                $table !== null => $table->value(100 * $humidity),
                $open !== null => $open->value(100 * $humidity) * 1e-12 * $metres,
                default => $dry + $share * ($wet - $dry),
            };
        }
    }

    private function tabulateHeat(): void
    {
        [$lambda, $density, $heat] = self::USUAL;
        $byWater = $this->material->moisture?->conductivity;
        $resistance = $this->material->resistance;
        $own = $this->part->conductivity ?? $this->material->conductivity
            ?? ($resistance === null ? null : $this->part->thicknessMm / 1000 / $resistance);
        if ($this->material->density === null || $this->material->specificHeat === null) {
            $this->assumed[] = $this->material->id;
        }
        $this->heat = ($this->material->density ?? $density) * ($this->material->specificHeat ?? $heat);
        foreach ($this->water as $water) {
            $this->conductivity[] = $byWater?->value($water) ?? $own ?? $lambda;
        }
    }

    private function tabulateLiquid(): void
    {
        $moisture = $this->material->moisture;
        $by = match (true) {
            $moisture?->liquidConductivity !== null => $this->bySuction($moisture->liquidConductivity),
            $moisture?->diffusivity !== null => $this->byDiffusivity($moisture->diffusivity->value(...)),
            default => $this->byAbsorption(),
        };
        $this->carriesLiquid = $by;
        if (! $by) {
            $this->potential = array_fill(0, self::LAST + 1, 0.0);
        }
    }

    /** Flow = K · gradient of suction ρw·Rv·T·|ln φ|: K between its points in its logarithm. */
    private function bySuction(Curve $conductivity): bool
    {
        $logs = new Curve($conductivity->at, array_map(log(...), $conductivity->values));
        $sum = 0.0;
        $before = 0.0;
        foreach ($this->water as $i => $water) {
            $k = exp($logs->value($water)) * self::SUCTION;
            $humidity = self::humidityAt($i);
            if ($i > 1) {
                $from = self::humidityAt($i - 1);
                $sum += 0.5 * ($k + $before) * self::AT * log($humidity / $from);
            }
            $this->potential[] = $sum;
            $this->suction[] = $k;
            $before = $k;
        }

        return true;
    }

    /** @param  callable(float): float  $diffusivity  m²/s by kg/m³ */
    private function byDiffusivity(callable $diffusivity): bool
    {
        $sum = 0.0;
        foreach ($this->water as $i => $water) {
            if ($i > 0) {
                $from = $this->water[$i - 1];
                $sum += 0.5 * ($diffusivity($from) + $diffusivity($water)) * ($water - $from);
            }
            $this->potential[] = $sum;
        }

        return true;
    }

    /** From the water absorption coefficient, after Künzel (1995): D = 3.8·(A/wf)²·1000^(w/wf − 1). */
    private function byAbsorption(): bool
    {
        $a = $this->material->waterAbsorption;
        $full = $this->full();
        if ($a === null || $this->material->freeSaturation === null) {
            return false;
        }
        $from = $this->waterAt(self::FLOWS_FROM);

        return $this->byDiffusivity(
            fn (float $water): float => $water < $from ? 0.0 : 3.8 * ($a / $full) ** 2 * 1000 ** ($water / $full - 1),
        );
    }
}

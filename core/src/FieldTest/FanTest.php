<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Climate\Air;

/**
 * A fan pressurisation test: flow Q = C·Δp^n by weighted regression of ln Q on ln Δp, ISO 9972:2015 (annexes B and C)
 * or ASTM E779-19 (clauses and formulae from memory). Pressures are signed, building less outdoors: a test that
 * depressurises has them below zero, and so has its zero-flow offset where the stack pulls.
 */
final readonly class FanTest
{
    /** Reference air, 20 °C at sea level, kg/m³. */
    public const REFERENCE_DENSITY = 1.204;

    /** Student's t, two-sided 95 %, by degrees of freedom (handbook table); beyond thirty as for thirty. */
    private const T95 = [
        1 => 12.706,
        4.303,
        3.182,
        2.776,
        2.571,
        2.447,
        2.365,
        2.306,
        2.262,
        2.228,
        2.201,
        2.179,
        2.16,
        2.145,
        2.131,
        2.12,
        2.11,
        2.101,
        2.093,
        2.086,
        2.08,
        2.074,
        2.069,
        2.064,
        2.06,
        2.056,
        2.052,
        2.048,
        2.045,
        2.042,
    ];

    /** m³/(s·Pa^n), in reference air */
    public float $coefficient;

    public float $exponent;

    /** half of the 95 % interval of the exponent */
    public float $exponentInterval;

    /** r², of ln Q on ln Δp */
    public float $determination;

    private float $lnCoefficient;

    private float $meanX;

    private float $sumXX;

    private float $residual;

    private float $weights;

    private int $points;

    /**
     * @param  list<array{pressure: float, flow: float, weight?: float}>  $points  Pa as read, m³/s at the fan; weights
     *   equal where left out
     * @param  list<float>  $zeroFlow  Pa before and after, with their signs
     * @param  float  $barometer  Pa
     * @param  float|null  $indoorHumidity  %, taken for dry where not known; E779 reckons with dry air
     *
     * @throws CannotTest
     */
    public function __construct(
        array $points,
        array $zeroFlow,
        float $indoors,
        float $outdoors,
        public FanConvention $convention = FanConvention::Iso9972,
        float $barometer = 101325.0,
        ?float $indoorHumidity = null,
        ?float $outdoorHumidity = null,
    ) {
        if (count($points) < 5) {
            throw new CannotTest(count($points).' readings', 'at least five pressures');
        }
        $offset = $zeroFlow === [] ? 0.0 : array_sum($zeroFlow) / count($zeroFlow);
        $sign = $points[0]['pressure'] <=> 0.0;
        $isDry = $convention === FanConvention::AstmE779;
        $inside = self::density($indoors, $barometer, $isDry ? null : $indoorHumidity);
        $outside = self::density($outdoors, $barometer, $isDry ? null : $outdoorHumidity);
        // The fan moves the air of the side it draws from; what goes through the envelope has the density of the other.
        $ratio = $sign < 0 ? $inside / $outside : $outside / $inside;
        $x = $y = $w = [];
        foreach ($points as $i => $point) {
            // The offset is taken off with its sign, before the size of the pressure is looked at.
            $pressure = ($point['pressure'] - $offset) * $sign;
            if ($pressure <= 0 || $point['flow'] <= 0) {
                throw new CannotTest(
                    'reading '.($i + 1).sprintf(': %g Pa and %g m³/s', $point['pressure'], $point['flow']),
                    'pressures of one sign, larger than the zero-flow offset, and a flow above nothing',
                );
            }
            $x[] = log($pressure);
            $y[] = log($point['flow'] * $ratio);
            $w[] = $point['weight'] ?? 1.0;
        }
        [$exponent, $lnC, $this->weights, $this->meanX, $this->sumXX, $left, $about] = self::fit($x, $y, $w);
        $this->residual = $left / (count($points) - 2);
        $this->determination = $about > 0 ? 1 - $left / $about : 0.0;
        $this->points = count($points);
        $through = $sign < 0 ? $outside : $inside;
        $air = (1 - $exponent) * log($through / self::REFERENCE_DENSITY);
        // E779 corrects for viscosity as well, by (μ/μ₀)^(2n−1).
        $viscous =
            $convention === FanConvention::AstmE779
                ? (2 * $exponent - 1) * log(self::viscosity($sign < 0 ? $outdoors : $indoors) / self::viscosity(20.0))
                : 0.0;
        $this->exponent = $exponent;
        $this->lnCoefficient = $lnC + $air + $viscous;
        $this->coefficient = exp($this->lnCoefficient);
        $this->exponentInterval = self::T95[min(30, count($points) - 2)] * sqrt($this->residual / $this->sumXX);
    }

    /** Flow at a pressure, m³/s. */
    public function flow(float $pressure): float
    {
        return $this->coefficient * $pressure ** $this->exponent;
    }

    /** @return array{float, float} the 95 % interval of the flow at a pressure, m³/s */
    public function interval(float $pressure): array
    {
        $spread =
            self::T95[min(30, $this->freedom())] *
            sqrt($this->residual * (1 / $this->weights + (log($pressure) - $this->meanX) ** 2 / $this->sumXX));
        $flow = $this->flow($pressure);

        return [$flow * exp(-$spread), $flow * exp($spread)];
    }

    /** Air changes an hour at a pressure, of a volume in m³. */
    public function airChanges(float $pressure, float $volume): float
    {
        return ($this->flow($pressure) * 3600) / $volume;
    }

    /** L/(s·m²) at a pressure, of an envelope in m². */
    public function leakage(float $pressure, float $area): float
    {
        return ($this->flow($pressure) * 1000) / $area;
    }

    /**
     * Effective leakage area at a pressure, m²: C·√(ρ₀/2)·Δp^(n−½), over a discharge coefficient of 1, as ISO 9972 and
     * E779 at 4 Pa have it; at 10 Pa some take 0.611.
     */
    public function leakageArea(float $pressure, float $discharge = 1.0): float
    {
        return ($this->coefficient * sqrt(self::REFERENCE_DENSITY / 2) * $pressure ** ($this->exponent - 0.5)) /
            $discharge;
    }

    /** Density of air, kg/m³; dry where no humidity is given (ISO 9972:2015, annex B, from memory). */
    public static function density(float $celsius, float $barometer = 101325.0, ?float $humidity = null): float
    {
        $vapour = $humidity === null ? 0.0 : ($humidity / 100) * Air::saturation($celsius);

        return ($barometer - 0.378 * $vapour) / (287.055 * ($celsius + 273.15));
    }

    /** Sutherland's formula, Pa·s. */
    private static function viscosity(float $celsius): float
    {
        $kelvin = $celsius + 273.15;

        return (1.458e-6 * $kelvin ** 1.5) / ($kelvin + 110.4);
    }

    private function freedom(): int
    {
        return $this->points - 2;
    }

    /**
     * @param  non-empty-list<float>  $x
     * @param  non-empty-list<float>  $y
     * @param  non-empty-list<float>  $w
     * @return array{float, float, float, float, float, float, float} slope, intercept, sum of weights, mean of x, its
     *   squares about that, squares of y left over, and about its mean
     */
    private static function fit(array $x, array $y, array $w): array
    {
        // Weights scaled to the number of readings, so that equal ones are as none.
        $scale = count($w) / array_sum($w);
        [$sum, $mx, $my] = [0.0, 0.0, 0.0];
        foreach ($x as $i => $value) {
            $sum += $w[$i] * $scale;
            $mx += $w[$i] * $scale * $value;
            $my += $w[$i] * $scale * $y[$i];
        }
        [$mx, $my, $xx, $xy] = [$mx / $sum, $my / $sum, 0.0, 0.0];
        foreach ($x as $i => $value) {
            $xx += $w[$i] * $scale * ($value - $mx) ** 2;
            $xy += $w[$i] * $scale * ($value - $mx) * ($y[$i] - $my);
        }
        if ($xx < 1e-6) {
            throw new CannotTest('readings all at one pressure', 'pressures that span a range, 10 to 60 Pa say');
        }
        $slope = $xy / $xx;
        $left = $about = 0.0;
        foreach ($x as $i => $value) {
            $about += $w[$i] * $scale * ($y[$i] - $my) ** 2;
            $left += $w[$i] * $scale * ($y[$i] - $my - $slope * ($value - $mx)) ** 2;
        }

        return [$slope, $my - $slope * $mx, $sum, $mx, $xx, $left, $about];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;
use Apron\Brief\Brief;
use Apron\Climate\Climate;
use Apron\Judgement\AssemblyAssessment;
use Apron\Rules\Severity;
use Apron\Vapour\Gathering;
use Apron\Vapour\YearVerdict;

/** One thickness of one layer taken from thin to thick in each of several climates, all else as the project has it. */
final class Sweep
{
    private const POINTS = 13;

    /**
     * @param  list<Climate>  $climates
     * @return list<array{climate: string, zone: string|null, points: list<array{mm: float, peak_g_m2: float,
     *   verdict: string, worst: string, u_w_m2k: float|null, plane_margin_k: float|null}>}>
     */
    public static function over(Brief $brief, Assembly $assembly, int $layer, array $climates): array
    {
        $now = $assembly->layers[$layer]->thicknessMm;
        $rows = [];
        foreach ($climates as $climate) {
            $there = $brief->in($climate);
            $points = [];
            for ($k = 0; $k < self::POINTS; $k++) {
                // From nearly nothing to twice what it is, or 200 mm; what it is now is one of the points.
                $mm = $k === 0 ? max(1.0, $now / 12) : (max($now, 100.0) * 2 * $k) / (self::POINTS - 1);
                $points[] = self::point(
                    $there,
                    $assembly->withLayer($layer, $assembly->layers[$layer]->changed(thicknessMm: $mm)),
                    $mm,
                );
            }
            $rows[] = ['climate' => $climate->name, 'zone' => $climate->zone, 'points' => $points];
        }

        return $rows;
    }

    /** kg/m² in the zone that holds most, however many slices it lies in */
    private static function most(AssemblyAssessment $assessed): float
    {
        $peaks = array_map(fn (Gathering $zone): float => $zone->peak, $assessed->gatherings());

        return $peaks === [] ? 0.0 : max($peaks);
    }

    /**
     * @return array{mm: float, peak_g_m2: float, verdict: string, worst: string, u_w_m2k: float|null,
     *   plane_margin_k: float|null}
     */
    private static function point(Brief $brief, Assembly $assembly, float $mm): array
    {
        $assessed = new AssemblyAssessment($brief, $assembly);
        $worst = Severity::Pass;
        $margin = null;
        foreach ($assessed->findings() as $finding) {
            // Who carries which control, and how steel is reckoned, no thickness settles.
            if (str_starts_with($finding->code, 'control.') || str_starts_with($finding->code, 'heat.')) {
                continue;
            }
            $worst = $finding->severity->rank() < $worst->rank() ? $finding->severity : $worst;
            if (isset($finding->figures['plane_c'], $finding->figures['dew_point_c'])) {
                $margin = (float) $finding->figures['plane_c'] - (float) $finding->figures['dew_point_c'];
            }
        }

        return [
            'mm' => $mm,
            'peak_g_m2' => 1000 * self::most($assessed),
            'verdict' => ($assessed->year?->verdict() ?? YearVerdict::Dry)->value,
            'worst' => $worst->value,
            'u_w_m2k' => $assessed->heat->overallU(),
            'plane_margin_k' => $margin,
        ];
    }
}

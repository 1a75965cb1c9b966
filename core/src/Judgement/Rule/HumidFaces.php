<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Ply;
use Apron\Climate\Climate;
use Apron\Climate\Month;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Vapour\MoistureYear;
use Apron\Vapour\Path;

/**
 * Relative humidity in every month at every face that mould lives on, against a limit that depends on temperature: two
 * months running above it, and how far. What is no damper than the air beside it is the weather, or the room.
 */
final class HumidFaces implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$year, $climate] = [$assessed->year, $assessed->climate];
        if ($year === null || $climate === null || $assessed->assembly->soil !== null) {
            return [];
        }
        $faces = self::faces($assessed);
        if ($faces === []) {
            return [];
        }
        $states = array_map($year->humidity(...), range(0, 11));
        $worst = null;
        foreach ($faces as $node) {
            $over = array_map(
                fn (int $m): float => self::byAmount($year, $climate, $node, $m)
                    ? 0.0
                    : self::over($states[$m][$node], $year->airs[$m]),
                range(0, 11),
            );
            $found = self::running($over, $states, $node, $climate);
            if ($found !== null && ($worst === null || $found['rank'] > $worst['rank'])) {
                $worst = $found + ['node' => $node];
            }
        }
        if ($worst === null) {
            return [];
        }
        [$inside, $outside] = [$assessed->path->inside($worst['node']), $assessed->path->outside($worst['node'])];
        $figures = [
            'inner' => $inside?->name() ?? '',
            'outer' => $outside?->name() ?? '',
            'month' => $worst['month'] + 1,
            'rh_pct' => 100 * $states[$worst['month']][$worst['node']]['humidity'],
            'limit_pct' => self::limit($states[$worst['month']][$worst['node']]['celsius']),
            'at_c' => $states[$worst['month']][$worst['node']]['celsius'],
            'months' => $worst['count'],
        ];
        $sensitive = $inside?->family()?->feedsMould === true ? $inside : $outside;

        return [
            new Finding(
                $worst['grave'] ? 'humid.mould' : 'humid.damp',
                $worst['grave'] ? Severity::Fail : Severity::Caution,
                $sensitive === null ? $assessed->subject() : $assessed->subject($sensitive->layer),
                $figures,
                RuleFigures::of('physics')->source('mould_rh_cubic'),
            ),
        ];
    }

    /**
     * % relative humidity above which mould grows on a sensitive face at so many °C; more than air can hold in frost.
     */
    public static function limit(float $celsius): float
    {
        $physics = RuleFigures::of('physics');
        if ($celsius <= 0) {
            return 101.0;
        }
        [$a, $b, $c, $d] = $physics->numbers('mould_rh_cubic');

        return $celsius >= 20
            ? $physics->figure('mould_rh_pct')
            : min(100.0, $a * $celsius ** 3 + $b * $celsius ** 2 + $c * $celsius + $d);
    }

    /**
     * Nodes between two plies of which one feeds mould, the two surfaces left out; and the inner face of a cavity,
     * where its plates and studs stand.
     *
     * @return list<int>
     */
    private static function faces(AssemblyAssessment $assessed): array
    {
        $path = $assessed->path;
        $wood = self::anyWood($assessed);
        $faces = [];
        for ($node = 1; $node < count($path->sd) - 1; $node++) {
            [$inside, $outside] = [$path->inside($node), $path->outside($node)];
            $feeds = $inside?->family()?->feedsMould === true || $outside?->family()?->feedsMould === true;
            $lining = $inside !== null && $inside->family()?->metal !== true && ! self::open($path, $inside);
            $cavity = $wood && $lining && self::open($path, $outside);
            if ($inside !== $outside && ! self::same($inside, $outside) && ($feeds || $cavity)) {
                $faces[] = $node;
            }
        }

        return $faces;
    }

    /** One material drawn as two layers has no face there. */
    private static function same(?Ply $inside, ?Ply $outside): bool
    {
        return $inside?->facer === null &&
            $outside?->facer === null &&
            $inside?->layer->material->id === $outside?->layer->material->id;
    }

    /** Water that gathers there in the cold half of the year is judged by its amount. */
    private static function byAmount(MoistureYear $year, Climate $climate, int $node, int $month): bool
    {
        return isset($year->accumulated[$node]) && $climate->months[$month]->celsius <= $climate->mean();
    }

    private static function open(Path $path, ?Ply $ply): bool
    {
        return $ply !== null && $ply->facer === null && $path->assembly->whole($ply->at)->letsAirThrough();
    }

    private static function anyWood(AssemblyAssessment $assessed): bool
    {
        foreach ($assessed->plies as $ply) {
            if ($ply->family()?->timber !== null || $ply->layer->framing?->material->family?->timber !== null) {
                return true;
            }
        }

        return false;
    }

    /**
     * Points of humidity above the limit; zero or less where it is in order, or no damper than the air beside it.
     *
     * @param  array{celsius: float, humidity: float}  $state
     * @param  array{inside: float, outside: float}  $airs
     */
    private static function over(array $state, array $airs): float
    {
        $spared = 100 * max($airs) + RuleFigures::of('physics')->figure('air_dampness_spared_points');
        $humidity = 100 * $state['humidity'];
        $over = $humidity - self::limit($state['celsius']);

        return $humidity <= $spared || $over <= RuleFigures::of('physics')->figure('mould_tolerance_points')
            ? 0.0
            : $over;
    }

    /**
     * The months in which one is above the limit with its neighbour; grave where two running in the warm half of the
     * year are far above it or as good as wet.
     *
     * @param  list<float>  $over  points above the limit in each month
     * @param  list<list<array{celsius: float, humidity: float}>>  $states
     * @return array{rank: float, month: int, count: int, grave: bool}|null
     */
    private static function running(array $over, array $states, int $node, Climate $climate): ?array
    {
        $physics = RuleFigures::of('physics');
        [$points, $wet] = [$physics->figure('mould_grave_points'), $physics->figure('mould_grave_rh_pct')];
        $mean = $climate->mean();
        $running = $grave = [];
        for ($m = 0; $m < 12; $m++) {
            $next = ($m + 1) % 12;
            if ($over[$m] <= 0 || $over[$next] <= 0) {
                continue;
            }
            $running[$m] = $over[$m];
            $running[$next] = $over[$next];
            $far = array_filter(
                [$m, $next],
                fn (int $k): bool => $climate->months[$k]->celsius > $mean &&
                    ($over[$k] >= $points || 100 * $states[$k][$node]['humidity'] >= $wet),
            );
            $grave = count($far) === 2 ? [...$grave, $m] : $grave;
        }
        if ($running === []) {
            return null;
        }
        $month = (int) array_search(max($running), $running, true);

        return [
            'rank' => ($grave === [] ? 0.0 : 1000.0) + $running[$month],
            'month' => $month,
            'count' => count($running),
            'grave' => $grave !== [],
        ];
    }
}

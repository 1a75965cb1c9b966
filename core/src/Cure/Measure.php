<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
use Apron\Rules\RuleFigures;
use Apron\Vapour\Profile;

/** The one figure that a finding turns on, and where it stops being one: what a curve of cures is drawn by. */
final readonly class Measure
{
    /** Findings of insulation outside that is less than a zone asks for. */
    private const ASKED_BY_ZONE = [
        'practice.exterior-r-short',
        'practice.no-retarder-inside',
        'practice.roof-r-short',
    ];

    private function __construct(
        /** ends in its unit, as figures of findings do */
        public string $figure,
        public float $limit,
        /** whether the cure lies above the limit, or below */
        public bool $above,
        /** @var \Closure(AssemblyAssessment): ?float */
        private \Closure $of,
    ) {
    }

    public function of(AssemblyAssessment $assessed): ?float
    {
        return ($this->of)($assessed);
    }

    /** Null for a finding that turns on no single figure. */
    public static function behind(string $code, string $discriminator, AssemblyAssessment $now): ?self
    {
        $residue = fn (AssemblyAssessment $a): ?float => $a->year === null
            ? null
            : 1000 * array_sum(array_map(fn (array $ends): float => $ends[11], $a->year->accumulated));
        $peak = fn (AssemblyAssessment $a): float => 1000 * ($a->year?->most() ?? 0.0);
        $plane = fn (AssemblyAssessment $a): ?float => $a->airPath->interface === null || $a->profiles === []
            ? null
            : $a->profiles[0]->temperatures[$a->profiles[0]->at($a->airPath->interface)];
        $dew = $now->profiles === [] ? 0.0 : Air::dewPoint($now->profiles[0]->indoorPressure);

        return match (true) {
            str_starts_with($code, 'year.accumulates') => new self('residue_g_m2', 0.1, false, $residue),
            str_starts_with($code, 'year.dries') => new self(
                'peak_g_m2',
                RuleFigures::of('controls')->figure('runoff_g_m2'),
                false,
                $peak,
            ),
            str_starts_with($code, 'steady.condenses') => new self(
                'rate_g_m2_h',
                0.0,
                false,
                fn (AssemblyAssessment $a): ?float => self::profile($a, $discriminator)?->totalRate(),
            ),
            $code === 'surface.mould' => new self(
                'frsi',
                (float) $now->surface?->leastForMould,
                true,
                fn (AssemblyAssessment $a): ?float => $a->surface?->factor,
            ),
            $code === 'surface.wet' => new self(
                'surface_c',
                self::dewOf($now, $discriminator),
                true,
                fn (AssemblyAssessment $a): ?float => self::profile($a, $discriminator)?->temperatures[0],
            ),
            in_array($code, ['practice.plane-below-dew-point', 'practice.leak-condenses'], true) => new self(
                'plane_c',
                $dew,
                true,
                $plane,
            ),
            in_array($code, self::ASKED_BY_ZONE, true) => self::exteriorR($now, $code),
            in_array(
                $code,
                [
                    'practice.double-barrier',
                    'practice.double-retarder',
                    'practice.double-barrier-roof',
                    'drying.hardly',
                    'drying.leak-too-much',
                ],
                true,
            ) => new self(
                'dries_g_m2',
                1000 * self::neededDrying($now),
                true,
                fn (AssemblyAssessment $a): float => 1000 * self::leastDrying($a),
            ),
            default => null,
        };
    }

    private static function profile(AssemblyAssessment $assessed, string $name): ?Profile
    {
        foreach ($assessed->profiles as $profile) {
            if ($profile->name === $name) {
                return $profile;
            }
        }

        return null;
    }

    private static function dewOf(AssemblyAssessment $assessed, string $name): float
    {
        $profile = self::profile($assessed, $name);

        return $profile === null ? 0.0 : Air::dewPoint($profile->indoorPressure);
    }

    private static function exteriorR(AssemblyAssessment $now, string $code): ?self
    {
        foreach ($now->findings() as $finding) {
            if ($finding->code === $code && isset($finding->figures['least_m2k_w'])) {
                return new self(
                    'exterior_m2k_w',
                    (float) $finding->figures['least_m2k_w'],
                    true,
                    fn (AssemblyAssessment $a): float => $a->airPath->exteriorR,
                );
            }
        }

        return null;
    }

    private static function leastDrying(AssemblyAssessment $assessed): float
    {
        $least = INF;
        foreach ($assessed->drying as $drying) {
            if ($drying->run->material()->harmedByWater()) {
                $least = min($least, $drying->year());
            }
        }

        return $least === INF ? 0.0 : $least;
    }

    private static function neededDrying(AssemblyAssessment $assessed): float
    {
        $needed = RuleFigures::of('practice')->figure('hardly_dries_g_m2_year') / 1000;
        foreach ($assessed->drying as $drying) {
            $needed = max($needed, array_sum($drying->leak ?? []));
        }

        return $needed;
    }
}

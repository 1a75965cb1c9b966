<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
use Apron\Rules\Finding;
use Apron\Vapour\Profile;

/** The one figure that a finding turns on, and where it stops being one: what a curve of cures is drawn by. */
final readonly class Measure
{
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
    public static function behind(Finding $finding, AssemblyAssessment $now): ?self
    {
        $code = $finding->code;
        $name = $finding->discriminator;

        return match (true) {
            str_starts_with($code, 'year.') && isset($finding->figures['bears_g_m2']) => new self(
                'borne_g_m2',
                (float) $finding->figures['bears_g_m2'],
                false,
                // Of another limit in another place the same share of it.
                fn (AssemblyAssessment $a): float => (float) $finding->figures['bears_g_m2'] * self::most($a),
            ),
            str_starts_with($code, 'steady.condenses') => new self(
                'rate_g_m2_h',
                0.0,
                false,
                fn (AssemblyAssessment $a): ?float => self::profile($a, $name)?->totalRate(),
            ),
            in_array($code, ['surface.mould', 'surface.mould-at-bridge'], true) => new self(
                'frsi',
                (float) $now->surface?->leastForMould,
                true,
                fn (AssemblyAssessment $a): ?float => $a->surface === null
                    ? null
                    : min($a->surface->factor ?? 1.0, $a->surface->atBridge ?? 1.0),
            ),
            $code === 'surface.wet' => new self(
                'surface_c',
                self::dewOf($now, $name),
                true,
                fn (AssemblyAssessment $a): ?float => self::profile($a, $name)?->temperatures[0],
            ),
            in_array(
                $code,
                ['practice.plane-below-dew-point', 'practice.leak-condenses', 'practice.leak-condenses-alone'],
                true,
            ) => new self(
                'plane_c',
                $now->profiles === [] ? 0.0 : Air::dewPoint($now->profiles[0]->indoorPressure),
                true,
                self::plane(...),
            ),
            isset($finding->figures['least_m2k_w']) => new self(
                'exterior_m2k_w',
                (float) $finding->figures['least_m2k_w'],
                true,
                fn (AssemblyAssessment $a): float => $a->airPath->exteriorLabelR,
            ),
            isset($finding->figures['reserve_g_m2'], $finding->figures['asked_g_m2']) => new self(
                'reserve_g_m2',
                (float) $finding->figures['asked_g_m2'],
                true,
                self::reserve(...),
            ),
            default => null,
        };
    }

    private static function plane(AssemblyAssessment $assessed): ?float
    {
        [$at, $profile] = [$assessed->airPath->interface, $assessed->profiles[0] ?? null];

        return $at === null || $profile === null ? null : $profile->temperatures[$profile->at($at)];
    }

    /** What gathers as a share of what it may, where that is most. */
    private static function most(AssemblyAssessment $assessed): float
    {
        $most = 0.0;
        foreach ($assessed->gatherings() as $zone) {
            $most = max($most, $zone->bears > 0 ? $zone->borne / $zone->bears : 0.0);
        }

        return $most;
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

    /** g/m² of what water harms and has the least */
    private static function reserve(AssemblyAssessment $assessed): float
    {
        $reserves = [];
        foreach ($assessed->drying as $drying) {
            if ($drying->run->material()->harmedByWater()) {
                $reserves[] = 1000 * $drying->reserve;
            }
        }

        return $reserves === [] ? 0.0 : min($reserves);
    }
}

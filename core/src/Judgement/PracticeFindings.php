<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Climate\Air;
use Apron\Climate\Month;
use Apron\Material\VapourClass;
use Apron\Quantity\Conversion;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\AirLeak;
use Apron\Vapour\AirPath;
use Apron\Vapour\Drying;
use Apron\Vapour\Profile;

/** The rules of practice: each a question that the trade asks of a wall or roof, answered from its own figures. */
final class PracticeFindings
{
    private RuleFigures $rules;

    private Assembly $assembly;

    private string $subject;

    /** @param  array<string, string>  $schools  of the project: question => choice */
    public function __construct(private readonly AssemblyAssessment $assessed, private readonly array $schools)
    {
        $this->rules = RuleFigures::of('practice');
        $this->assembly = $assessed->assembly;
        $this->subject = 'assemblies/'.$this->assembly->id;
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $barriers = $this->doubleBarriers();

        return [
            ...$this->exteriorR(),
            ...$this->coldPlane(),
            ...$barriers,
            ...$this->inwardDrive(),
            ...$this->tightOverFilm(),
            ...$this->drying($barriers),
            ...$this->closedFoam(),
            ...$this->nailBase(),
        ];
    }

    /** @return list<Finding> least exterior insulation, where the zone is known and leaking air meets a cold face */
    private function exteriorR(): array
    {
        $zone = $this->assessed->climate?->zone;
        $path = $this->assessed->airPath;
        if ($zone === null || $path->interface === null) {
            return [];
        }

        return match ($this->assembly->kind) {
            AssemblyKind::Wall => $this->wallExteriorR($zone, $path, $path->interface),
            AssemblyKind::Roof => $this->roofExteriorR($zone, $path),
            default => [],
        };
    }

    /** @return list<Finding> */
    private function wallExteriorR(string $zone, AirPath $path, int $plane): array
    {
        $asked = $this->rules->cell(
            'wall_exterior_r',
            self::row($zone),
            $path->cavityMm > $this->rules->figure('deep_cavity_mm') ? 'deep' : 'shallow',
        );
        $tightest = $this->tightest(array_slice($this->assembly->layers, 0, $plane));
        if ($asked === null || $tightest === null) {
            return [];
        }
        $source = $this->rules->source('wall_exterior_r');
        $class = $tightest->vapourClass();
        $figures = [
            'zone' => $zone,
            'inner' => $tightest->material->name,
            'class' => $class->value,
            'permeance_ng_pa_s_m2' => $tightest->permeance(),
        ];
        if ($class === VapourClass::I || $class === VapourClass::II) {
            return [new Finding('practice.retarder-inside', Severity::Pass, $this->subject, $figures, $source)];
        }
        $least = $asked * Conversion::RSI_PER_R;
        $figures += ['exterior_m2k_w' => $path->exteriorR, 'least_m2k_w' => $least];
        $vented =
            in_array($zone, ['4C', '5A', '5B', '5C'], true) &&
            $this->assembly->ventilatedAt() !== null &&
            $this->rules->lists('wall_vented_families', $this->assembly->layers[$plane]->material->family);
        if ($vented && $path->exteriorR < $least) {
            return [
                new Finding(
                    'practice.vented-cladding-instead',
                    Severity::Note,
                    $this->subject,
                    $figures,
                    $this->rules->source('wall_vented_families'),
                ),
            ];
        }
        $enough = $path->exteriorR >= $least - 1e-9;

        return [
            match (true) {
                $class === VapourClass::Open && ! $enough => new Finding(
                    'practice.no-retarder-inside',
                    Severity::Caution,
                    $this->subject,
                    $figures,
                    $source,
                ),
                ! $enough => new Finding(
                    'practice.exterior-r-short',
                    Severity::Caution,
                    $this->subject,
                    $figures,
                    $source,
                ),
                default => new Finding(
                    'practice.exterior-r-enough',
                    Severity::Pass,
                    $this->subject,
                    $figures,
                    $source,
                ),
            },
        ];
    }

    /** @return list<Finding> */
    private function roofExteriorR(string $zone, AirPath $path): array
    {
        $asked =
            $this->rules->cell('roof_exterior_r', self::row($zone), 'r') ??
            $this->rules->cell('roof_exterior_r', $zone[0], 'r');
        if ($asked === null || $this->assembly->ventilatedAt() !== null) {
            return [];
        }
        $share =
            $this->rules->cell('roof_exterior_share', self::row($zone), 'share') ??
            $this->rules->cell('roof_exterior_share', $zone[0], 'share');
        $least = $asked * Conversion::RSI_PER_R;
        $figures = [
            'zone' => $zone,
            'exterior_m2k_w' => $path->exteriorR,
            'least_m2k_w' => $least,
            'share_pct' => 100 * $path->share(),
            'least_share_pct' => 100 * (float) $share,
        ];
        $enough = $path->exteriorR >= $least - 1e-9;

        return [
            new Finding(
                $enough ? 'practice.roof-r-enough' : 'practice.roof-r-short',
                $enough ? Severity::Pass : Severity::Caution,
                $this->subject,
                $figures,
                $this->rules->source('roof_exterior_r'),
            ),
        ];
    }

    /**
     * @return list<Finding> the face that leaking air meets against the indoor dew point, and what a leak could leave
     *   there
     */
    private function coldPlane(): array
    {
        $interface = $this->assessed->airPath->interface;
        [$climate, $indoors] = [$this->assessed->climate, $this->assessed->indoors];
        if ($interface === null || $climate === null || $indoors === null || $this->assembly->soil !== null) {
            return [];
        }
        $coldest = $climate->coldest();
        $profile = $this->assessed->profiles[0];
        $outdoors = $climate->months[$coldest];
        $plane = $profile->temperatures[$profile->at($interface)];
        $dew = Air::dewPoint($profile->indoorPressure);
        $path = $this->assessed->airPath;
        $figures = [
            'place' => $this->assembly->layers[$interface]->material->name,
            'plane_c' => $plane,
            'dew_point_c' => $dew,
            'outdoor_c' => $outdoors->celsius,
            'share_pct' => 100 * $path->share(),
            'needed_pct' => 100 * max(0.0, ($dew - $outdoors->celsius) / ($profile->indoors - $outdoors->celsius)),
        ];
        $source = Source::commonPractice(
            'common practice: a sheathing above the indoor dew point in the mean of the coldest month',
        );
        if ($plane >= $dew) {
            return [new Finding('practice.plane-warm', Severity::Pass, $this->subject, $figures, $source)];
        }
        $leakage = $this->assembly->airLeakage ?? $this->rules->figure('air_leakage_l_s_m2');
        $air = ['celsius' => $profile->indoors, 'pressure' => $profile->indoorPressure];
        $leak = new AirLeak($leakage, $air, $outdoors, $plane);
        $behind = $this->assembly->layers[$interface];
        $outward = null;
        foreach ($this->assessed->drying as $drying) {
            $outward =
                $drying->layer->id === $behind->id
                    ? ($drying->months[$coldest]['outward'] / Month::DAYS[$coldest]) * 1000
                    : $outward;
        }
        $gathers = $outward === null || $leak->bound > $outward;

        return [
            new Finding('practice.plane-below-dew-point', Severity::Note, $this->subject, $figures, $source),
            new Finding(
                'practice.leak-condenses',
                $gathers ? Severity::Caution : Severity::Note,
                $this->subject,
                [
                    'place' => $behind->material->name,
                    'month' => $coldest + 1,
                    'bound_g_m2' => $leak->bound,
                    'leakage_l_s_m2' => $leakage,
                    'at_pa' => $leak->pressure,
                    'plane_c' => $plane,
                    'outward_g_m2' => $outward ?? 0.0,
                ],
                Source::computed(
                    'upper bound: all of the leak flows outward past the plane, cools to its temperature and does not warm it; stack over 2.5 m, mean wind',
                ),
            ),
        ];
    }

    /** @return list<Finding> */
    private function doubleBarriers(): array
    {
        [$retarder, $barrier] = [$this->rules->permeance('retarder'), $this->rules->permeance('barrier')];
        $layers = $this->assembly->reckonedLayers();
        $findings = [];
        foreach ($layers as $i => $layer) {
            if (
                ! $this->rules->lists('harmed_by_water_families', $layer->material->family) ||
                $this->assembly->soil !== null
            ) {
                continue;
            }
            [$inner, $outer] = [
                $this->tightest(array_slice($layers, 0, $i)),
                $this->tightest(array_slice($layers, $i + 1)),
            ];
            if ($inner === null || $outer === null || max($inner->permeance(), $outer->permeance()) > $retarder) {
                continue;
            }
            $figures = [
                'layer' => $layer->material->name,
                'inner' => $inner->material->name,
                'outer' => $outer->material->name,
                'inner_ng_pa_s_m2' => $inner->permeance(),
                'outer_ng_pa_s_m2' => $outer->permeance(),
            ];
            $subject = "$this->subject/layers/$layer->id";
            $drying = $this->dryingOf($layer);
            if (max($inner->permeance(), $outer->permeance()) <= $barrier) {
                // Every compact roof is one by nature: it lives by being built dry and staying tight.
                $roof = $this->assembly->kind === AssemblyKind::Roof;
                $findings[] = new Finding(
                    $roof ? 'practice.double-barrier-roof' : 'practice.double-barrier',
                    $roof ? Severity::Caution : Severity::Fail,
                    $subject,
                    $figures,
                    $this->rules->source('barrier'),
                );
            } elseif ($drying !== null) {
                $limit =
                    $drying->leak === null
                        ? $this->rules->figure('hardly_dries_g_m2_year') / 1000
                        : array_sum($drying->leak);
                $dries = $drying->year() >= $limit;
                $findings[] = new Finding(
                    $dries ? 'practice.double-retarder-dries' : 'practice.double-retarder',
                    $dries ? Severity::Note : Severity::Caution,
                    $subject,
                    $figures + [
                        'dries_g_m2' => 1000 * $drying->year(),
                        'gets_in_g_m2' => 1000 * $limit,
                    ],
                    $this->rules->source('retarder'),
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> a wet cladding in sun drives vapour inward onto a film that is tight */
    private function inwardDrive(): array
    {
        $reservoir = null;
        foreach ($this->assembly->layers as $i => $layer) {
            if (
                $this->rules->lists('reservoir_families', $layer->material->family) &&
                $layer->material->shedsWater !== true
            ) {
                $reservoir = $i;
            }
        }
        $film = $reservoir === null ? null : $this->tightest(array_slice($this->assembly->layers, 0, $reservoir));
        $harmed = array_filter(range(0, max(0, (int) $reservoir - 1)), $this->harmed(...));
        if (
            $reservoir === null ||
            $reservoir === 0 ||
            $film === null ||
            $harmed === [] ||
            $this->assembly->kind !== AssemblyKind::Wall ||
            $this->assembly->soil !== null
        ) {
            return [];
        }
        $name = [
            'cladding' => $this->assembly->layers[$reservoir]->material->name,
            'film' => $film->material->name,
            'film_ng_pa_s_m2' => $film->permeance(),
        ];
        if ($this->assembly->ventilatedAt() !== null && $this->assembly->ventilatedAt() < $reservoir) {
            return [
                new Finding(
                    'practice.reservoir-drained',
                    Severity::Pass,
                    $this->subject,
                    $name,
                    $this->rules->source('reservoir_families'),
                ),
            ];
        }
        $hot = $this->rules->figure('sunlit_reservoir_c');
        [$room, $humidity] = [$this->rules->figure('summer_indoor_c'), $this->rules->figure('summer_indoor_rh_pct')];
        $profile = new Profile(
            $this->assessed->path,
            'sun on a wet cladding',
            $room,
            ($humidity / 100) * Air::saturation($room),
            $hot,
            Air::saturation($hot),
        );
        $rate = 0.0;
        foreach ($profile->condensation as $node => $kg) {
            $layer = $this->assessed->path->layer[$node];
            // What runs down between concrete and foam harms nothing; what lies against wood, wool or gypsum does.
            $harms =
                $this->harmed($layer) || $this->harmed($layer + ($this->assessed->path->interface[$node] >= 0 ? 1 : 0));
            $rate += $layer < $reservoir && $harms ? $kg * 3.6e6 : 0.0;
        }
        $figures = $name + ['rate_g_m2_h' => $rate, 'sun_c' => $hot, 'room_c' => $room];
        $source = Source::computed(
            'ISO 13788:2012, 6.4, one steady pair of airs; the cladding wet through at its sunlit temperature (common practice)',
        );

        return [
            new Finding(
                $rate > 0 ? 'practice.inward-drive' : 'practice.inward-drive-dry',
                $rate > 0 ? Severity::Caution : Severity::Pass,
                $this->subject,
                $figures,
                $source,
            ),
        ];
    }

    /** @return list<Finding> vapour-tight insulation outside and a film inside: what is between can go neither way */
    private function tightOverFilm(): array
    {
        $plane = $this->assessed->airPath->interface;
        $layers = $this->assembly->reckonedLayers();
        if ($plane === null) {
            return [];
        }
        $film = $this->tightest(array_slice($layers, 0, $plane));
        foreach (array_slice($layers, $plane) as $layer) {
            if (
                $layer->insulates() &&
                $layer->permeance() <= $this->rules->permeance('retarder') &&
                $film !== null &&
                $film->vapourClass() === VapourClass::I
            ) {
                return [
                    new Finding(
                        'practice.tight-outside-over-film',
                        Severity::Caution,
                        "$this->subject/layers/$layer->id",
                        [
                            'layer' => $layer->material->name,
                            'film' => $film->material->name,
                            'permeance_ng_pa_s_m2' => $layer->permeance(),
                            'film_ng_pa_s_m2' => $film->permeance(),
                        ],
                        Source::commonPractice('common practice: one vapour control layer, not two'),
                    ),
                ];
            }
        }

        return [];
    }

    /**
     * @param  list<Finding>  $barriers
     * @return list<Finding> which layers that water harms hardly dry, and how much may leak in
     */
    private function drying(array $barriers): array
    {
        $findings = [];
        $said = array_map(
            fn (Finding $finding): string => $finding->severity === Severity::Note ? '' : $finding->subject,
            $barriers,
        );
        foreach ($this->assessed->drying as $drying) {
            $subject = "$this->subject/layers/{$drying->layer->id}";
            $figures = [
                'layer' => $drying->layer->material->name,
                'year_g_m2' => 1000 * $drying->year(),
                'inward_ng_pa_s_m2' => $drying->inwardPermeance,
                'outward_ng_pa_s_m2' => $drying->outwardPermeance,
            ];
            $source = Source::computed('diffusion from saturation at its middle, month by month');
            if (
                $drying->way() === 'hardly' &&
                ! in_array($subject, $said, true) &&
                $this->rules->lists('harmed_by_water_families', $drying->layer->material->family)
            ) {
                $findings[] = new Finding('drying.hardly', Severity::Caution, $subject, $figures, $source);
            }
            if ($drying->leak !== null) {
                $held = $drying->mostHeld() ?? 0.0;
                $figures += [
                    'allowance_ml' => $drying->allowance(),
                    'rain_g_m2' => 1000 * array_sum($drying->leak),
                    'held_g_m2' => 1000 * $held,
                    'store_g_m2' => 1000 * ($drying->store ?? 0.0),
                ];
                $findings[] = new Finding(
                    $drying->drowns() ? 'drying.leak-too-much' : 'drying.leak-bearable',
                    $drying->drowns() ? Severity::Caution : Severity::Note,
                    $subject,
                    $figures,
                    $this->rules->source('rain_leak_share'),
                );
            }
        }

        return $findings;
    }

    /**
     * @return list<Finding> closed foam outside of the sheathing, where the project's school asks for something beside
     *   it or instead
     */
    private function closedFoam(): array
    {
        $school = $this->schools['closed-foam'] ?? 'alone';
        $plane = $this->assessed->airPath->interface;
        $layers = $this->assembly->reckonedLayers();
        $outside = $plane === null ? [] : array_slice($layers, $plane);
        $foam =
            array_values(
                array_filter(
                    $outside,
                    fn (Layer $l): bool => $l->insulates() && $l->permeance() <= $this->rules->permeance('retarder'),
                ),
            )[0] ?? null;
        if ($school === 'alone' || $foam === null) {
            return [];
        }
        $smart = array_filter(
            array_slice($layers, 0, $plane),
            fn (Layer $l): bool => $l->material->family === 'smart-film',
        );
        if ($school === 'smart-inside' && $smart !== []) {
            return [];
        }

        return [
            new Finding(
                "practice.closed-foam-$school",
                Severity::Note,
                "$this->subject/layers/$foam->id",
                ['layer' => $foam->material->name, 'permeance_ng_pa_s_m2' => $foam->permeance()],
                Source::commonPractice('school of the project'),
            ),
        ];
    }

    /** @return list<Finding> which of foam board and sheathing lies outside, where the project has settled that */
    private function nailBase(): array
    {
        $school = $this->schools['nail-base'] ?? 'by-case';
        $foam = $board = null;
        foreach (
            $school === 'by-case' || $this->assembly->kind !== AssemblyKind::Wall
                ? []
                : $this->assembly->reckonedLayers() as $i => $layer
        ) {
            $foam =
                $layer->insulates() && $this->rules->lists('foam_board_families', $layer->material->family)
                    ? $i
                    : $foam;
            $board =
                $this->rules->lists('nail_base_families', $layer->material->family) && $layer->framing === null
                    ? $i
                    : $board;
        }
        if ($foam === null || $board === null || ($school === 'foam-outside') === $foam > $board) {
            return [];
        }
        $layers = $this->assembly->layers;

        return [
            new Finding(
                "practice.nail-base-$school",
                Severity::Note,
                "$this->subject/layers/{$layers[$board]->id}",
                ['board' => $layers[$board]->material->name, 'foam' => $layers[$foam]->material->name],
                Source::commonPractice('school of the project'),
            ),
        ];
    }

    private function harmed(int $layer): bool
    {
        return $this->rules->lists(
            'harmed_by_water_families',
            ($this->assembly->layers[$layer] ?? null)?->material->family,
        );
    }

    private function dryingOf(Layer $layer): ?Drying
    {
        foreach ($this->assessed->drying as $drying) {
            if ($drying->layer->id === $layer->id) {
                return $drying;
            }
        }

        return null;
    }

    /** @param  array<int, Layer>  $layers */
    private function tightest(array $layers): ?Layer
    {
        $tightest = null;
        foreach ($layers as $layer) {
            if ($tightest === null || $layer->sd() > $tightest->sd()) {
                $tightest = $layer;
            }
        }

        return $tightest;
    }

    /** The row of a table for a zone: marine 4 has one of its own, elsewhere moist and dry share theirs. */
    private static function row(string $zone): string
    {
        return $zone === '4C' ? '4C' : $zone[0];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\Exposure;
use Apron\Assembly\RainLoad;
use Apron\Assembly\Run;
use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Climate\Month;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/**
 * How one layer that can hold water gets rid of it: from saturation at its middle through all that lies on either side,
 * in each month. Diffusion alone, each side for itself; a side dries nothing in a month when its air is the wetter.
 * Behind a cladding that is soaked and lies against the wall the outside is at saturation. What then condenses farther
 * out is not followed here: the year does that.
 */
final readonly class Drying
{
    /** ng/(Pa·s·m²) from its middle to the indoor air */
    public float $inwardPermeance;

    /** ng/(Pa·s·m²) from its middle to the outdoor air */
    public float $outwardPermeance;

    /** @var non-empty-list<array{inward: float, outward: float}> kg/m² in each month from January */
    public array $months;

    /**
     * kg/m² that it would dry in a year, wet all the while, beyond what it would gather; below zero where it gathers
     * more
     */
    public float $reserve;

    /** kg/m² that it can take up for a while without harm; null where nobody has said */
    public ?float $store;

    /** @var list<float>|null kg/m² of rain past the cladding in each month; null where the climate does not say */
    public ?array $leak;

    public function __construct(
        Path $path,
        public Run $run,
        Climate $climate,
        IndoorAir $indoors,
        ?Exposure $exposure,
        bool $soaked = false,
        float $leakShare = 1.0,
    ) {
        $physics = RuleFigures::of('physics');
        // Of the layer between its facers: what they hold back is on the way out.
        $nodes = array_keys(
            array_filter(
                $path->layer,
                fn (int $l, int $n): bool => $n > 0 && $run->has($l) && $path->inside($n)?->facer === null,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        $last = count($path->sd) - 1;
        [$from, $to] = [$nodes[0] - 1, $nodes[count($nodes) - 1]];
        $inSd =
            self::smart($path, 0, $from, $physics->figure('smart_inward_rh_pct')) +
            ($path->sd[$to] - $path->sd[$from]) / 2;
        $outSd =
            self::smart($path, $to, $last, $physics->figure('smart_outward_rh_pct')) +
            ($path->sd[$to] - $path->sd[$from]) / 2;
        $this->inwardPermeance = Material::permeanceOfSd($inSd);
        $this->outwardPermeance = Material::permeanceOfSd($outSd);
        $middle = ($path->resistance[$from] + $path->resistance[$to]) / 2;
        $months = $leak = [];
        $net = 0.0;
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            $wet = Air::saturation($air['celsius'] - ($middle * ($air['celsius'] - $outdoors->celsius)) / $path->total);
            $time = Month::DAYS[$m] * 86400.0 * Air::VAPOUR_PERMEABILITY;
            $outside = $soaked ? Air::saturation($outdoors->celsius) : $outdoors->vapourPressure();
            // What flows in from a room that is the damper flows through a smart film that is shut.
            $flowSd = $wet >= $air['pressure'] ? $inSd : $path->sd[$from] + ($path->sd[$to] - $path->sd[$from]) / 2;
            $net += $time * (($wet - $air['pressure']) / max(1e-6, $flowSd) + ($wet - $outside) / $outSd);
            $months[] = [
                'inward' => ($time * max(0.0, $wet - $air['pressure'])) / $inSd,
                'outward' => ($time * max(0.0, $wet - $outside)) / $outSd,
            ];
            $past = $exposure === null ? null : RainLoad::pastCladding($outdoors, $exposure);
            $leak[] = $past === null ? null : $leakShare * $past;
        }
        $this->reserve = $net;
        $this->months = $months ?: throw new \LogicException('a climate without months');
        $this->leak = in_array(null, $leak, true) ? null : $leak;
        $store = $run->material()->safeStore;
        $this->store = $store === null ? null : ($store * $run->thicknessMm) / 1000;
    }

    /** kg/m² in a year, both ways */
    public function year(): float
    {
        return array_sum(array_column($this->months, 'inward')) + array_sum(array_column($this->months, 'outward'));
    }

    /** kg/m² in the poorest month, both ways */
    public function poorest(): float
    {
        return min(array_map(fn (array $month): float => $month['inward'] + $month['outward'], $this->months));
    }

    public function way(): DryingWay
    {
        $limit = RuleFigures::of('practice')->figure('hardly_dries_g_m2_year') / 1000;
        $share = RuleFigures::of('physics')->figure('one_way_share');
        [$in, $out] = [
            array_sum(array_column($this->months, 'inward')),
            array_sum(array_column($this->months, 'outward')),
        ];

        return match (true) {
            $in + $out < $limit => DryingWay::Hardly,
            $in < $share * $out => DryingWay::Outward,
            $out < $share * $in => DryingWay::Inward,
            default => DryingWay::Both,
        };
    }

    /**
     * What may get in for good: the leak that a year's drying just carries off, mL a day for each metre of joint that
     * leaks onto it.
     */
    public function allowance(): float
    {
        return ($this->year() / 365) * 1000 * RuleFigures::of('practice')->figure('joint_spread_m2_m');
    }

    /**
     * The most water it ever holds above its ordinary moisture when the rain of the climate leaks in and it dries by
     * turns, kg/m²; from the second round on, so that the start does not matter. Null where the rain is not known.
     */
    public function mostHeld(): ?float
    {
        if ($this->leak === null) {
            return null;
        }
        [$held, $most] = [0.0, 0.0];
        for ($k = 0; $k < 36; $k++) {
            $m = $k % 12;
            $held = max(0.0, $held + $this->leak[$m] - $this->months[$m]['inward'] - $this->months[$m]['outward']);
            $most = max($most, $held);
        }

        return $most;
    }

    /** Whether more leaks in over a year than it dries. */
    public function drowns(): bool
    {
        return $this->leak !== null && array_sum($this->leak) > $this->year();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $grams = fn (?float $kg): ?float => $kg === null ? null : 1000 * $kg;

        return [
            'layer' => $this->run->layer->id,
            'inward_permeance_ng_pa_s_m2' => $this->inwardPermeance,
            'outward_permeance_ng_pa_s_m2' => $this->outwardPermeance,
            'way' => $this->way()->value,
            'months' => array_map(
                fn (array $month): array => [
                    'inward_g_m2' => 1000 * $month['inward'],
                    'outward_g_m2' => 1000 * $month['outward'],
                ],
                $this->months,
            ),
            'year_g_m2' => 1000 * $this->year(),
            'reserve_g_m2' => 1000 * $this->reserve,
            'poorest_month_g_m2' => 1000 * $this->poorest(),
            'store_g_m2' => $grams($this->store),
            'leak_allowance_ml_m_day' => $this->allowance(),
            'rain_past_cladding_g_m2' => $this->leak === null ? null : 1000 * array_sum($this->leak),
            'most_held_g_m2' => $grams($this->mostHeld()),
        ];
    }

    /**
     * sd of a stretch of the path, a smart film in it taken at the mean of saturation and the humidity of the air it
     * dries to.
     */
    private static function smart(Path $path, int $from, int $to, float $airHumidity): float
    {
        return max(1e-6, $path->sd[$to] - $path->sd[$from] + $path->smartChange($from, $to, (100 + $airHumidity) / 2));
    }
}

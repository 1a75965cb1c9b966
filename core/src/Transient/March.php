<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Budget\Deadline;
use Apron\Climate\Air;

/**
 * Heat and moisture through a slab, step by step (EN 15026): what a cell stores more is what flows in, implicit in time.
 * Humidity is solved by Newton's way with temperatures held, temperatures with humidities held and the heat of what
 * evaporates and condenses in them, turn and turn about until neither moves.
 */
final class March
{
    /** J/kg: heat of evaporation at 0 °C */
    private const LATENT = 2.5e6;

    /** J/(m³·K) of air */
    private const AIR_HEAT = 1214.0;

    /** J/(kg·K), gas constant of water vapour */
    private const VAPOUR_GAS = 461.5;

    private const MOST_ROUNDS = 25;

    /** relative humidity and K that may still move when a step is done */
    private const STILL = 1e-7;

    private const STILL_K = 1e-5;

    /** of relative humidity, in one round */
    private const MOST_MOVE = 0.25;

    /** kg/m²: water that came in through both faces, by exchange and as it was put there, since the beginning */
    public float $in = 0.0;

    /** kg/m²: the same, whichever way it went */
    public float $moved = 0.0;

    /** J/m² through both faces and by exchange, with the heat that vapour carries */
    public float $heatIn = 0.0;

    public float $heatStored = 0.0;

    public float $heatMoved = 0.0;

    public int $steps = 0;

    /** @var list<list<float>> */
    private array $water;

    /** @var list<list<float>> */
    private array $potential;

    /** @var list<list<float>> */
    private array $permeability;

    /** @var list<list<float>> */
    private array $conductivity;

    /** @var list<list<float>> */
    private array $suction;

    /** @var list<float> */
    private array $dryHeat;

    public function __construct(
        private readonly Slab $slab,
        private readonly bool $isIsothermal = false,
        private readonly bool $latent = true,
    ) {
        $each = fn (string $of): array => array_map(fn (MoistTable $t): array => $t->{$of}, $slab->tables);
        $this->water = $each('water');
        $this->potential = $each('potential');
        $this->permeability = $each('permeability');
        $this->conductivity = $each('conductivity');
        $this->suction = $each('suction');
        $this->dryHeat = array_map(fn (MoistTable $t): float => $t->heat, $slab->tables);
    }

    /**
     * Goes on for so many seconds, in as many steps as it takes.
     *
     * @param  float  $longest  s
     * @param  float|null  $careful  of humidity, or of 50 K: a step moves no node by much more; null takes what settles
     * @param  float|null  $first  s, the step to begin with; null takes the longest
     * @return float s, the step it would go on with
     *
     * @throws \Apron\Budget\TakesTooLong
     * @throws \RuntimeException where no step is short enough
     */
    public function over(
        State $state,
        float $seconds,
        Beyond $left,
        Beyond $right,
        Inflow $inflow,
        float $longest = 3600.0,
        ?float $careful = null,
        ?float $first = null,
    ): float {
        $done = 0.0;
        $step = min($longest, $first ?? $seconds);
        while ($done < $seconds - 1e-6) {
            Deadline::check();
            $take = min($step, $seconds - $done);
            $before = $state->humidity;
            $warm = $state->celsius;
            $error = $this->step($state, $take, $left, $right, $inflow);
            $tooFar = $error === null || ($careful !== null && $error > 4 * $careful && $take > 1e-3);
            if ($tooFar) {
                $state->humidity = $before;
                $state->celsius = $warm;
                $step = $take / 4;
                if ($step < 1e-4) {
                    throw new \RuntimeException('no step is short enough for it');
                }

                continue;
            }
            $this->count($state, $before, $warm, $take, $left, $right, $inflow);
            $this->steps++;
            $done += $take;
            $grows = $careful === null ? 2.0 : max(0.5, min(1.4, $careful / max($error, 1e-12)));
            $step = min($longest, ($careful === null ? max($step, $take) : $take) * $grows);
        }

        return $step;
    }

    /** One step: moves the state, and says by how much of humidity (or of 50 K) at most; null where it does not settle. */
    private function step(State $state, float $dt, Beyond $left, Beyond $right, Inflow $inflow): ?float
    {
        $slab = $this->slab;
        $thick = $slab->thick;
        $of = $slab->of;
        $sheetHeat = $slab->sheetHeat;
        $sheetVapour = $slab->sheetVapour;
        $isSheet = $slab->isSheet;
        $last = count($thick) - 1;
        $phi = $state->humidity;
        $t = $state->celsius;
        [$W, $P, $D, $L, $S] = [
            $this->water, $this->potential, $this->permeability, $this->conductivity, $this->suction,
        ];
        $beyond = MoistTable::BEYOND;
        $knee = MoistTable::KNEE;
        // Water at the beginning, and heat capacity with it.
        $w0 = $capacity = $ps = $dps = $w = $dw = $pot = $dpot = $perm = $lam = $suc = $phi;
        for ($k = 0; $k <= $last; $k++) {
            $m = $of[$k];
            $f = $phi[$k];
            if ($f >= 1.0) {
                $w0[$k] = $W[$m][5950] + $beyond * ($f - 1.0);
            } else {
                $i = $f < $knee ? (int) ($f * 1000.0) : min(5949, 950 + (int) (($f - $knee) * 100000.0));
                $from = $i < 950 ? $i * 0.001 : $knee + ($i - 950) * 0.00001;
                $scale = $i < 950 ? 1000.0 : 100000.0;
                $w0[$k] = $W[$m][$i] + ($f - $from) * $scale * ($W[$m][$i + 1] - $W[$m][$i]);
            }
            $capacity[$k] = $thick[$k] * ($this->dryHeat[$m] + $w0[$k] * MoistTable::WATER_HEAT);
            $ps[$k] = $this->saturation($t[$k]);
        }
        $a = $b = $c = $r = $gv = $phi;
        $fixLeft = ! $left->isClosed && $left->vapour === null;
        $fixRight = ! $right->isClosed && $right->vapour === null;
        $warmLeft = ! $left->isClosed && $left->heat === null;
        $warmRight = ! $right->isClosed && $right->heat === null;
        $pLeft = $left->isClosed ? 0.0 : $left->humidity * $this->saturation($left->celsius);
        $pRight = $right->isClosed ? 0.0 : $right->humidity * $this->saturation($right->celsius);
        $latent = $this->latent ? self::LATENT : 0.0;
        $settled = false;
        for ($round = 0; $round < self::MOST_ROUNDS && ! $settled; $round++) {
            for ($k = 0; $k <= $last; $k++) {
                $m = $of[$k];
                $f = $phi[$k];
                if ($f >= 1.0) {
                    $w[$k] = $W[$m][5950] + $beyond * ($f - 1.0);
                    $dw[$k] = $beyond;
                    $rise = ($P[$m][5950] - $P[$m][5949]) * 100000.0;
                    $pot[$k] = $P[$m][5950] + $rise * ($f - 1.0);
                    $dpot[$k] = $rise;
                    $perm[$k] = $D[$m][5950];
                    $lam[$k] = $L[$m][5950];
                } else {
                    $i = $f < $knee ? (int) ($f * 1000.0) : min(5949, 950 + (int) (($f - $knee) * 100000.0));
                    $scale = $i < 950 ? 1000.0 : 100000.0;
                    $along = ($f - ($i < 950 ? $i * 0.001 : $knee + ($i - 950) * 0.00001)) * $scale;
                    $d = $W[$m][$i + 1] - $W[$m][$i];
                    $w[$k] = $W[$m][$i] + $along * $d;
                    $dw[$k] = $d * $scale;
                    $d = $P[$m][$i + 1] - $P[$m][$i];
                    $pot[$k] = $P[$m][$i] + $along * $d;
                    $dpot[$k] = $d * $scale;
                    $perm[$k] = $D[$m][$i];
                    $lam[$k] = $L[$m][$i];
                }
            }
            // Moisture: one round of Newton.
            for ($k = 0; $k <= $last; $k++) {
                $store = $thick[$k] / $dt;
                $b[$k] = $store * $dw[$k];
                $r[$k] = $store * ($w[$k] - $w0[$k]);
                $a[$k] = $c[$k] = 0.0;
            }
            for ($k = 0; $k < $last; $k++) {
                $n = $k + 1;
                $one = 0.5 * $thick[$k];
                $other = 0.5 * $thick[$n];
                $g = 1.0 / ($one / $perm[$k] + $other / $perm[$n] + $sheetVapour[$k]);
                $gv[$k] = $g;
                $flow = $g * ($phi[$k] * $ps[$k] - $phi[$n] * $ps[$n]);
                $dOne = $g * $ps[$k];
                $dOther = $g * $ps[$n];
                if (! $isSheet[$k]) {
                    if ($of[$k] === $of[$n]) {
                        $way = 1.0 / ($one + $other);
                        if ($S[$of[$k]] !== []) {
                            $warm = 0.5 * ($t[$k] + $t[$n]) + 273.15;
                            $way *= $warm / MoistTable::AT;
                            $mean = 0.5 * ($phi[$k] + $phi[$n]);
                            $i = $mean < $knee ? (int) ($mean * 1000.0) : min(5949, 950 + (int) (($mean - $knee) * 100000.0));
                            $flow += $S[$of[$k]][$i] * log(min(1.0, $mean)) * ($t[$k] - $t[$n]) / ($one + $other);
                        }
                        $flow += $way * ($pot[$k] - $pot[$n]);
                        $dOne += $way * $dpot[$k];
                        $dOther += $way * $dpot[$n];
                    } elseif ($dpot[$k] > 0.0 && $dpot[$n] > 0.0) {
                        $way = 1.0 / ($one / $dpot[$k] + $other / $dpot[$n]);
                        $flow += $way * ($phi[$k] - $phi[$n]);
                        $dOne += $way;
                        $dOther += $way;
                    }
                }
                $r[$k] += $flow;
                $r[$n] -= $flow;
                $b[$k] += $dOne;
                $b[$n] += $dOther;
                $c[$k] -= $dOther;
                $a[$n] -= $dOne;
            }
            if (! $left->isClosed && $left->vapour !== null) {
                $r[0] += $left->vapour * ($phi[0] * $ps[0] - $pLeft);
                $b[0] += $left->vapour * $ps[0];
            }
            if (! $right->isClosed && $right->vapour !== null) {
                $r[$last] += $right->vapour * ($phi[$last] * $ps[$last] - $pRight);
                $b[$last] += $right->vapour * $ps[$last];
            }
            foreach ($inflow->water as $k => $water) {
                $r[$k] -= $water;
            }
            foreach ($inflow->air as $k => $exchanges) {
                foreach ($exchanges as $air) {
                    $way = $air->flow / (self::VAPOUR_GAS * (273.15 + 0.5 * ($t[$k] + $air->celsius)));
                    $r[$k] += $way * ($phi[$k] * $ps[$k] - $air->vapourPressure);
                    $b[$k] += $way * $ps[$k];
                }
            }
            if ($fixLeft) {
                [$b[0], $c[0], $r[0]] = [1.0, 0.0, $phi[0] - $left->humidity];
            }
            if ($fixRight) {
                [$b[$last], $a[$last], $r[$last]] = [1.0, 0.0, $phi[$last] - $right->humidity];
            }
            for ($k = 1; $k <= $last; $k++) {
                $q = $a[$k] / $b[$k - 1];
                $b[$k] -= $q * $c[$k - 1];
                $r[$k] -= $q * $r[$k - 1];
            }
            $move = 0.0;
            $next = 0.0;
            for ($k = $last; $k >= 0; $k--) {
                $next = ($r[$k] - $c[$k] * $next) / $b[$k];
                $by = $next > self::MOST_MOVE ? self::MOST_MOVE : ($next < -self::MOST_MOVE ? -self::MOST_MOVE : $next);
                $f = $phi[$k] - $by;
                $phi[$k] = $f < 1e-4 ? 1e-4 : $f;
                $by = $by < 0 ? -$by : $by;
                $move = $by > $move ? $by : $move;
            }
            if (! ($move < 1e3)) {
                return null;
            }
            $settled = $move < self::STILL;
            if ($this->isIsothermal) {
                continue;
            }
            // Heat, with what evaporates and condenses at these humidities.
            for ($k = 0; $k <= $last; $k++) {
                $b[$k] = $capacity[$k] / $dt;
                $r[$k] = $b[$k] * $state->celsius[$k];
                $a[$k] = $c[$k] = 0.0;
                $x = $t[$k];
                $dps[$k] = $x >= 0
                    ? (17.269 * 237.3 * $ps[$k]) / ((237.3 + $x) * (237.3 + $x))
                    : (21.875 * 265.5 * $ps[$k]) / ((265.5 + $x) * (265.5 + $x));
            }
            for ($k = 0; $k < $last; $k++) {
                $n = $k + 1;
                $way = 1.0 / (0.5 * $thick[$k] / $lam[$k] + 0.5 * $thick[$n] / $lam[$n] + $sheetHeat[$k] + 1e-12);
                $hg = $latent * $gv[$k];
                $dOne = $way + $hg * $phi[$k] * $dps[$k];
                $dOther = $way + $hg * $phi[$n] * $dps[$n];
                $rest = $hg * ($phi[$k] * ($ps[$k] - $dps[$k] * $t[$k]) - $phi[$n] * ($ps[$n] - $dps[$n] * $t[$n]));
                $b[$k] += $dOne;
                $b[$n] += $dOther;
                $c[$k] -= $dOther;
                $a[$n] -= $dOne;
                $r[$k] -= $rest;
                $r[$n] += $rest;
            }
            foreach ([[0, $left, $pLeft], [$last, $right, $pRight]] as [$k, $face, $p]) {
                if ($face->isClosed || $face->heat === null) {
                    continue;
                }
                $hb = $latent * ($face->vapour ?? 0.0);
                $b[$k] += $face->heat + $hb * $phi[$k] * $dps[$k];
                $r[$k] += $face->heat * $face->celsius + $face->radiation
                    + $hb * ($p - $phi[$k] * ($ps[$k] - $dps[$k] * $t[$k]));
            }
            foreach ($inflow->air as $k => $exchanges) {
                foreach ($exchanges as $air) {
                    $way = $air->flow * self::AIR_HEAT;
                    $hg = $latent * $air->flow / (self::VAPOUR_GAS * (273.15 + 0.5 * ($t[$k] + $air->celsius)));
                    $b[$k] += $way + $hg * $phi[$k] * $dps[$k];
                    $r[$k] += $way * $air->celsius
                        + $hg * ($air->vapourPressure - $phi[$k] * ($ps[$k] - $dps[$k] * $t[$k]));
                }
            }
            if ($warmLeft) {
                [$b[0], $c[0], $r[0]] = [1.0, 0.0, $left->celsius];
            }
            if ($warmRight) {
                [$b[$last], $a[$last], $r[$last]] = [1.0, 0.0, $right->celsius];
            }
            for ($k = 1; $k <= $last; $k++) {
                $q = $a[$k] / $b[$k - 1];
                $b[$k] -= $q * $c[$k - 1];
                $r[$k] -= $q * $r[$k - 1];
            }
            $next = 0.0;
            $warmed = 0.0;
            for ($k = $last; $k >= 0; $k--) {
                $next = ($r[$k] - $c[$k] * $next) / $b[$k];
                $by = $next - $t[$k];
                $by = $by < 0 ? -$by : $by;
                $warmed = $by > $warmed ? $by : $warmed;
                $t[$k] = $next;
                $ps[$k] = $this->saturation($next);
            }
            if (! ($warmed < 200.0)) {
                return null;
            }
            $settled = $settled && $warmed < self::STILL_K;
        }
        if (! $settled) {
            return null;
        }
        $error = 0.0;
        for ($k = 1; $k < $last; $k++) {
            $by = abs($phi[$k] - $state->humidity[$k]);
            $error = $by > $error ? $by : $error;
            $by = 0.02 * abs($t[$k] - $state->celsius[$k]);
            $error = $by > $error ? $by : $error;
        }
        $state->humidity = $phi;
        $state->celsius = $t;

        return $error;
    }

    /**
     * What went in and out in a step, by the state that it ended in.
     *
     * @param  list<float>  $humid  humidities before
     * @param  list<float>  $warm  temperatures before
     */
    private function count(
        State $state,
        array $humid,
        array $warm,
        float $dt,
        Beyond $left,
        Beyond $right,
        Inflow $inflow,
    ): void {
        $last = $this->slab->nodes() - 1;
        $phi = $state->humidity;
        $t = $state->celsius;
        $latent = $this->latent ? self::LATENT : 0.0;
        [$water, $heat] = [[...array_values($inflow->water)], []];
        foreach ([[0, 1, $left], [$last, $last - 1, $right]] as [$k, $inner, $face]) {
            if ($face->isClosed) {
                continue;
            }
            [$vapour, $liquid, $warmth] = $this->between(min($k, $inner), $state);
            $way = $k < $inner ? 1.0 : -1.0;
            $p = $phi[$k] * $this->saturation($t[$k]);
            $film = ($face->vapour ?? 0.0) * ($face->humidity * $this->saturation($face->celsius) - $p);
            $water[] = $face->vapour === null ? $way * ($vapour + $liquid) : $film;
            $heat[] = $latent * ($face->vapour === null ? $way * $vapour : $film) + ($face->heat === null
                ? $way * $warmth
                : $face->heat * ($face->celsius - $t[$k]) + $face->radiation);
        }
        foreach ($inflow->air as $k => $exchanges) {
            foreach ($exchanges as $air) {
                $mass = ($air->flow / (self::VAPOUR_GAS * (273.15 + 0.5 * ($t[$k] + $air->celsius))))
                    * ($air->vapourPressure - $phi[$k] * $this->saturation($t[$k]));
                $water[] = $mass;
                $heat[] = $latent * $mass + $air->flow * self::AIR_HEAT * ($air->celsius - $t[$k]);
            }
        }
        $this->in += array_sum($water) * $dt;
        $this->moved += array_sum(array_map(abs(...), $water)) * $dt;
        if ($this->isIsothermal) {
            return;
        }
        $this->heatIn += array_sum($heat) * $dt;
        $this->heatMoved += array_sum(array_map(abs(...), $heat)) * $dt;
        for ($k = 1; $k < $last; $k++) {
            $table = $this->slab->tables[$this->slab->of[$k]];
            $this->heatStored += $this->slab->thick[$k] * ($t[$k] - $warm[$k])
                * ($table->heat + $table->waterAt($humid[$k]) * MoistTable::WATER_HEAT);
        }
    }

    /** @return array{float, float, float} vapour and liquid, kg/(m²·s), and heat without them, W/m², from a node to the next */
    private function between(int $k, State $state): array
    {
        $slab = $this->slab;
        $n = $k + 1;
        [$phi, $t] = [$state->humidity, $state->celsius];
        [$i, $j] = [MoistTable::index(min(1.0, $phi[$k])), MoistTable::index(min(1.0, $phi[$n]))];
        [$one, $other] = [$slab->tables[$slab->of[$k]], $slab->tables[$slab->of[$n]]];
        [$near, $far] = [0.5 * $slab->thick[$k], 0.5 * $slab->thick[$n]];
        $resistance = $near / $one->permeability[$i] + $far / $other->permeability[$j] + $slab->sheetVapour[$k];
        $vapour = ($phi[$k] * $this->saturation($t[$k]) - $phi[$n] * $this->saturation($t[$n])) / $resistance;
        $liquid = 0.0;
        if (! $slab->isSheet[$k] && $one === $other && $one->carriesLiquid) {
            $way = 1.0 / ($near + $far);
            $isSuction = $one->suction !== [];
            $mean = 0.5 * ($phi[$k] + $phi[$n]);
            $liquid = $way * ($one->potentialAt($phi[$k]) - $one->potentialAt($phi[$n])) * ($isSuction
                ? (0.5 * ($t[$k] + $t[$n]) + 273.15) / MoistTable::AT
                : 1.0);
            $liquid += $isSuction
                ? $way * $one->suction[MoistTable::index($mean)] * log(min(1.0, $mean)) * ($t[$k] - $t[$n])
                : 0.0;
        }
        $heat = ($t[$k] - $t[$n])
            / ($near / $one->conductivity[$i] + $far / $other->conductivity[$j] + $slab->sheetHeat[$k] + 1e-12);

        return [$vapour, $liquid, $heat];
    }

    private function saturation(float $celsius): float
    {
        return $celsius >= 0
            ? 610.5 * exp((17.269 * $celsius) / (237.3 + $celsius))
            : 610.5 * exp((21.875 * $celsius) / (265.5 + max(-100.0, $celsius)));
    }
}

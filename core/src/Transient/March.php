<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Budget\Deadline;
use Apron\Budget\TakesTooLong;
use Apron\Climate\Air;

/**
 * Heat and moisture through a slab, step by step (EN 15026): what a cell stores more is what flows in, implicit in
 * time.
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
    private const STILL = 1e-6;

    private const STILL_K = 1e-4;

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
    private array $water = [];

    /** @var list<list<float>> */
    private array $potential = [];

    /** @var list<list<float>> */
    private array $permeability = [];

    /** @var list<list<float>> */
    private array $conductivity = [];

    /** @var list<list<float>> */
    private array $suction = [];

    /** @var list<float> */
    private array $dryHeat = [];

    public function __construct(
        private readonly Slab $slab,
        private readonly bool $isIsothermal = false,
        private readonly bool $latent = true,
    ) {
        foreach ($slab->tables as $table) {
            $this->water[] = $table->water;
            $this->potential[] = $table->potential;
            $this->permeability[] = $table->permeability;
            $this->conductivity[] = $table->conductivity;
            $this->suction[] = $table->suction;
            $this->dryHeat[] = $table->heat;
        }
    }

    /** @return list<float> what came and went since the beginning */
    public function totals(): array
    {
        return [$this->in, $this->moved, $this->heatIn, $this->heatStored, $this->heatMoved];
    }

    /** @param  list<float>  $totals  of another that went before */
    public function resume(array $totals): void
    {
        [$this->in, $this->moved, $this->heatIn, $this->heatStored, $this->heatMoved] = $totals;
    }

    /**
     * Goes on for so many seconds, in as many steps as it takes.
     *
     * @param  float  $longest  s
     * @param  float|null  $careful  of humidity, or of 50 K: a step moves no node by much more; null takes what settles
     * @param  float|null  $first  s, the step to begin with; null takes the longest
     * @return float s, the step it would go on with
     *
     * @throws TakesTooLong and where no step is short enough
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
                    throw new TakesTooLong('shorter and shorter steps');
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

    /**
     * One step: moves the state, and says by how much of humidity (or of 50 K) at most; null where it does not settle.
     *
     * For every node two sums have to be nothing: of water and of heat. Newton's way for both together, for what
     * evaporates at one node warms another: taken in turn they would run after each other. Everything lies in flat
     * lists, and tables are read in place: this loop is where the time goes.
     */
    private function step(State $state, float $dt, Beyond $left, Beyond $right, Inflow $inflow): ?float
    {
        $slab = $this->slab;
        [$thick, $of, $sheetHeat, $sheetVapour] = [$slab->thick, $slab->of, $slab->sheetHeat, $slab->sheetVapour];
        $isSheet = $slab->isSheet;
        $last = count($thick) - 1;
        $phi = $state->humidity;
        $t = $t0 = $state->celsius;
        [$W, $P, $D, $L, $S] = [
            $this->water, $this->potential, $this->permeability, $this->conductivity, $this->suction,
        ];
        $beyond = MoistTable::BEYOND;
        $knee = MoistTable::KNEE;
        $latent = $this->latent ? self::LATENT : 0.0;
        $isothermal = $this->isIsothermal;
        $w0 = $capacity = $ps = $dps = $pot = $dpot = $perm = $lam = $phi;
        // By node: what water and heat are short of, and how that changes with its own humidity and temperature (b),
        // with those of the node before (a) and of the next (c).
        $rw = $rh = $bwp = $bwt = $bhp = $bht = $awp = $awt = $ahp = $aht = $cwp = $cwt = $chp = $cht = $phi;
        $pLeft = $left->isClosed ? 0.0 : $left->humidity * $this->saturation($left->celsius);
        $pRight = $right->isClosed ? 0.0 : $right->humidity * $this->saturation($right->celsius);
        $settled = false;
        for ($round = 0; $round < self::MOST_ROUNDS && ! $settled; $round++) {
            for ($k = 0; $k <= $last; $k++) {
                $m = $of[$k];
                $f = $phi[$k];
                $store = $thick[$k] / $dt;
                if ($f >= 1.0) {
                    $w = $W[$m][5950] + $beyond * ($f - 1.0);
                    $dw = $beyond;
                    $rise = ($P[$m][5950] - $P[$m][5949]) * 100000.0;
                    $pot[$k] = $P[$m][5950] + $rise * ($f - 1.0);
                    $dpot[$k] = $rise;
                    $perm[$k] = $D[$m][5950];
                    $lam[$k] = $L[$m][5950];
                } else {
                    if ($f < $knee) {
                        $i = (int) ($f * 1000.0);
                        $scale = 1000.0;
                        $along = $f * 1000.0 - $i;
                    } else {
                        $along = ($f - $knee) * 100000.0;
                        $i = (int) $along;
                        $i = $i < 5000 ? $i : 4999;
                        $along -= $i;
                        $i += 950;
                        $scale = 100000.0;
                    }
                    $d = $W[$m][$i + 1] - $W[$m][$i];
                    $w = $W[$m][$i] + $along * $d;
                    $dw = $d * $scale;
                    $d = $P[$m][$i + 1] - $P[$m][$i];
                    $pot[$k] = $P[$m][$i] + $along * $d;
                    $dpot[$k] = $d * $scale;
                    $perm[$k] = $D[$m][$i];
                    $lam[$k] = $L[$m][$i];
                }
                if ($round === 0) {
                    $w0[$k] = $w;
                    $capacity[$k] = $store * ($this->dryHeat[$m] + $w * 4187.0);
                }
                $x = $t[$k];
                if ($x >= 0.0) {
                    $ps[$k] = $p = 610.5 * exp((17.269 * $x) / (237.3 + $x));
                    $dps[$k] = (4097.9337 * $p) / ((237.3 + $x) * (237.3 + $x));
                } else {
                    $x = $x > -100.0 ? $x : -100.0;
                    $ps[$k] = $p = 610.5 * exp((21.875 * $x) / (265.5 + $x));
                    $dps[$k] = (5807.8125 * $p) / ((265.5 + $x) * (265.5 + $x));
                }
                $bwp[$k] = $store * $dw;
                $rw[$k] = $store * ($w - $w0[$k]);
                $bht[$k] = $capacity[$k];
                $rh[$k] = $capacity[$k] * ($t[$k] - $t0[$k]);
                $bwt[$k] = $bhp[$k] = 0.0;
            }
            for ($k = 0; $k < $last; $k++) {
                $n = $k + 1;
                $one = 0.5 * $thick[$k];
                $other = 0.5 * $thick[$n];
                $g = 1.0 / ($one / $perm[$k] + $other / $perm[$n] + $sheetVapour[$k]);
                $vapour = $g * ($phi[$k] * $ps[$k] - $phi[$n] * $ps[$n]);
                $gOne = $g * $ps[$k];
                $gOther = $g * $ps[$n];
                $tOne = $g * $phi[$k] * $dps[$k];
                $tOther = $g * $phi[$n] * $dps[$n];
                $flow = $vapour;
                $lOne = $gOne;
                $lOther = $gOther;
                if (! $isSheet[$k]) {
                    if ($of[$k] === $of[$n]) {
                        $way = 1.0 / ($one + $other);
                        if ($S[$of[$k]] !== []) {
                            $mean = 0.5 * ($phi[$k] + $phi[$n]);
                            $mean = $mean < 1.0 ? $mean : 1.0;
                            $flow += $way * $S[$of[$k]][MoistTable::index($mean)] * log($mean) * ($t[$k] - $t[$n]);
                            $way *= (0.5 * ($t[$k] + $t[$n]) + 273.15) / MoistTable::AT;
                        }
                        $flow += $way * ($pot[$k] - $pot[$n]);
                        $lOne += $way * $dpot[$k];
                        $lOther += $way * $dpot[$n];
                    } elseif ($dpot[$k] > 0.0 && $dpot[$n] > 0.0) {
                        $way = 1.0 / ($one / $dpot[$k] + $other / $dpot[$n]);
                        $flow += $way * ($phi[$k] - $phi[$n]);
                        $lOne += $way;
                        $lOther += $way;
                    }
                }
                $rw[$k] += $flow;
                $rw[$n] -= $flow;
                $bwp[$k] += $lOne;
                $bwp[$n] += $lOther;
                $cwp[$k] = -$lOther;
                $awp[$n] = -$lOne;
                $bwt[$k] += $tOne;
                $bwt[$n] += $tOther;
                $cwt[$k] = -$tOther;
                $awt[$n] = -$tOne;
                $way = 1.0 / ($one / $lam[$k] + $other / $lam[$n] + $sheetHeat[$k] + 1e-12);
                $heat = $way * ($t[$k] - $t[$n]) + $latent * $vapour;
                $rh[$k] += $heat;
                $rh[$n] -= $heat;
                $tOne = $way + $latent * $tOne;
                $tOther = $way + $latent * $tOther;
                $gOne *= $latent;
                $gOther *= $latent;
                $bht[$k] += $tOne;
                $bht[$n] += $tOther;
                $cht[$k] = -$tOther;
                $aht[$n] = -$tOne;
                $bhp[$k] += $gOne;
                $bhp[$n] += $gOther;
                $chp[$k] = -$gOther;
                $ahp[$n] = -$gOne;
            }
            for ($side = 0; $side < 2; $side++) {
                $k = $side === 0 ? 0 : $last;
                $face = $side === 0 ? $left : $right;
                if ($face->isClosed) {
                    continue;
                }
                if ($face->vapour !== null) {
                    $own = $face->vapour;
                    $vapour = $own * ($phi[$k] * $ps[$k] - ($side === 0 ? $pLeft : $pRight));
                    $rw[$k] += $vapour;
                    $bwp[$k] += $own * $ps[$k];
                    $bwt[$k] += $own * $phi[$k] * $dps[$k];
                    $rh[$k] += $latent * $vapour;
                    $bhp[$k] += $latent * $own * $ps[$k];
                    $bht[$k] += $latent * $own * $phi[$k] * $dps[$k];
                } else {
                    // The vapour of the air at once, whatever the film does to the warmth of the face.
                    $rw[$k] = $phi[$k] * $ps[$k] - ($side === 0 ? $pLeft : $pRight);
                    $bwp[$k] = $ps[$k];
                    $bwt[$k] = $phi[$k] * $dps[$k];
                    if ($side === 0) {
                        $cwp[$k] = $cwt[$k] = 0.0;
                    } else {
                        $awp[$k] = $awt[$k] = 0.0;
                    }
                }
                if ($face->heat !== null) {
                    $rh[$k] += $face->heat * ($t[$k] - $face->celsius) - $face->radiation;
                    $bht[$k] += $face->heat;
                } else {
                    $rh[$k] = $t[$k] - $face->celsius;
                    $bht[$k] = 1.0;
                    $bhp[$k] = 0.0;
                    if ($side === 0) {
                        $chp[$k] = $cht[$k] = 0.0;
                    } else {
                        $ahp[$k] = $aht[$k] = 0.0;
                    }
                }
            }
            foreach ($inflow->water as $k => $water) {
                $rw[$k] -= $water;
            }
            foreach ($inflow->air as $k => $exchanges) {
                foreach ($exchanges as $air) {
                    $own = $air->flow / (self::VAPOUR_GAS * (273.15 + 0.5 * ($t[$k] + $air->celsius)));
                    $vapour = $own * ($phi[$k] * $ps[$k] - $air->vapourPressure);
                    $rw[$k] += $vapour;
                    $bwp[$k] += $own * $ps[$k];
                    $bwt[$k] += $own * $phi[$k] * $dps[$k];
                    $rh[$k] += $latent * $vapour + $air->flow * self::AIR_HEAT * ($t[$k] - $air->celsius);
                    $bhp[$k] += $latent * $own * $ps[$k];
                    $bht[$k] += $latent * $own * $phi[$k] * $dps[$k] + $air->flow * self::AIR_HEAT;
                }
            }
            if ($isothermal) {
                for ($k = 0; $k <= $last; $k++) {
                    $bht[$k] = 1.0;
                    $bhp[$k] = $chp[$k] = $cht[$k] = $ahp[$k] = $aht[$k] = $rh[$k] = 0.0;
                }
            }
            // Elimination, two by two.
            for ($k = 1; $k <= $last; $k++) {
                $n = $k - 1;
                $det = 1.0 / ($bwp[$n] * $bht[$n] - $bwt[$n] * $bhp[$n]);
                $mwp = ($awp[$k] * $bht[$n] - $awt[$k] * $bhp[$n]) * $det;
                $mwt = ($awt[$k] * $bwp[$n] - $awp[$k] * $bwt[$n]) * $det;
                $mhp = ($ahp[$k] * $bht[$n] - $aht[$k] * $bhp[$n]) * $det;
                $mht = ($aht[$k] * $bwp[$n] - $ahp[$k] * $bwt[$n]) * $det;
                $bwp[$k] -= $mwp * $cwp[$n] + $mwt * $chp[$n];
                $bwt[$k] -= $mwp * $cwt[$n] + $mwt * $cht[$n];
                $bhp[$k] -= $mhp * $cwp[$n] + $mht * $chp[$n];
                $bht[$k] -= $mhp * $cwt[$n] + $mht * $cht[$n];
                $rw[$k] -= $mwp * $rw[$n] + $mwt * $rh[$n];
                $rh[$k] -= $mhp * $rw[$n] + $mht * $rh[$n];
            }
            $cwp[$last] = $cwt[$last] = $chp[$last] = $cht[$last] = 0.0;
            $move = $warmed = $dp = $dt2 = 0.0;
            for ($k = $last; $k >= 0; $k--) {
                $one = $rw[$k] - $cwp[$k] * $dp - $cwt[$k] * $dt2;
                $other = $rh[$k] - $chp[$k] * $dp - $cht[$k] * $dt2;
                $det = 1.0 / ($bwp[$k] * $bht[$k] - $bwt[$k] * $bhp[$k]);
                $dp = ($one * $bht[$k] - $other * $bwt[$k]) * $det;
                $dt2 = ($other * $bwp[$k] - $one * $bhp[$k]) * $det;
                $by = $dp > self::MOST_MOVE ? self::MOST_MOVE : ($dp < -self::MOST_MOVE ? -self::MOST_MOVE : $dp);
                $f = $phi[$k] - $by;
                $phi[$k] = $f > 1e-4 ? $f : 1e-4;
                $t[$k] -= $dt2;
                $by = $by < 0.0 ? -$by : $by;
                $move = $by > $move ? $by : $move;
                $by = $dt2 < 0.0 ? -$dt2 : $dt2;
                $warmed = $by > $warmed ? $by : $warmed;
            }
            if (! ($warmed < 300.0)) {
                return null;
            }
            $settled = $move < self::STILL && $warmed < self::STILL_K;
        }
        if (! $settled) {
            return null;
        }
        $error = 0.0;
        for ($k = 1; $k < $last; $k++) {
            $by = abs($phi[$k] - $state->humidity[$k]);
            $error = $by > $error ? $by : $error;
            $by = 0.02 * abs($t[$k] - $t0[$k]);
            $error = $by > $error ? $by : $error;
        }
        $state->humidity = $phi;
        $state->celsius = $t;

        return $error;
    }

    /**
     * What went in and out in a step, by the state that it ended in.
     *
     * @param  array<int, float>  $humid  humidities before
     * @param  array<int, float>  $warm  temperatures before
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
            // What stays on the face has not come in.
            $table = $this->slab->tables[$this->slab->of[$k]];
            $dew = ($this->slab->thick[$k] * ($table->waterAt($phi[$k]) - $table->waterAt($humid[$k]))) / $dt;
            $water[] = $face->vapour === null ? $way * ($vapour + $liquid) : $film - $dew;
            $capacity = $this->slab->thick[$k] * ($table->heat + $table->waterAt($humid[$k]) * MoistTable::WATER_HEAT);
            $heat[] = $latent * ($face->vapour === null ? $way * $vapour : $film) + ($face->heat === null
                ? $way * $warmth
                : $face->heat * ($face->celsius - $t[$k]) + $face->radiation - $capacity * ($t[$k] - $warm[$k]) / $dt);
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

    /** @return array{float, float, float} vapour and liquid, kg/(m²·s), and heat, W/m², from a node to the next */
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

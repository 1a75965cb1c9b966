<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Climate\Month;
use Apron\Rules\RuleFigures;

/**
 * Wetting and drying month by month, ISO 13788:2012, clause 6, with any number of planes. A plane that holds water is
 * at saturation; where it runs dry within a month the month is split there, so that no water is made or lost.
 */
final class MoistureYear
{
    /** Residue below which a plane counts as dried, kg/m² (0.1 g/m²). */
    private const DRY = 1e-4;

    /** 0 for January; null where nothing ever condenses */
    public ?int $startingMonth = null;

    /**
     * @var array<int, non-empty-list<float>> node => kg/m² at the end of each of twelve months from the starting month
     */
    public array $accumulated = [];

    /**
     * @var list<array{sd: array<int, float>, saturation: array<int, float>, celsius: list<float>, inside: float,
     *   outside: float}>
     */
    private array $months = [];

    /** @var list<array{inside: float, outside: float}> relative humidity of the two airs in each month, 0 to 1 */
    public array $airs = [];

    /** @var list<int> months, 0 for January, in which the air outside is wetter than the outer face bears */
    public array $outerFaceWet = [];

    public function __construct(public readonly Path $path, Climate $climate, IndoorAir $indoors)
    {
        $last = count($path->sd) - 1;
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            [$resistances, $total] = $path->warmth($air['celsius'], $outdoors->celsius);
            $flux = ($air['celsius'] - $outdoors->celsius) / $total;
            $saturation = $celsius = [];
            foreach ($resistances as $resistance) {
                $celsius[] = $at = $air['celsius'] - $resistance * $flux;
                $saturation[] = Air::saturation($at);
            }
            $this->airs[] = [
                'inside' => $air['pressure'] / Air::saturation($air['celsius']),
                'outside' => $outdoors->humidity / 100,
            ];
            if ($outdoors->vapourPressure() > $saturation[$last] * (1 + 1e-9)) {
                $this->outerFaceWet[] = $m;
            }
            $inside = min($air['pressure'], $saturation[0]);
            $outside = min($outdoors->vapourPressure(), $saturation[$last]);
            $this->months[] = [
                'sd' => $path->openness($saturation, $inside, $outside),
                'saturation' => $saturation,
                'celsius' => $celsius,
                'inside' => $inside,
                'outside' => $outside,
            ];
        }
        $this->run();
    }

    /**
     * Over the year vapour comes from outdoors into a room that is not heated much: a cooled one, a cold store, a
     * freezer. A dry house in a mild winter is none.
     */
    public function fromOutdoors(): bool
    {
        [$drive, $warmer] = [0.0, 0.0];
        foreach ($this->months as $month) {
            $drive += $month['outside'] - $month['inside'];
            $warmer += ($month['celsius'][0] - $month['celsius'][count($month['celsius']) - 1]) / 12;
        }

        return $drive > 0 && $warmer < RuleFigures::of('physics')->figure('heated_by_k');
    }

    public function verdict(): YearVerdict
    {
        if ($this->startingMonth === null) {
            return YearVerdict::Dry;
        }
        foreach ($this->accumulated as $ends) {
            if ($ends[11] >= self::DRY) {
                return YearVerdict::Accumulates;
            }
        }

        return YearVerdict::Dries;
    }

    /** Greatest amount at one month's end at one plane, kg/m². */
    public function peak(int $node): float
    {
        return max($this->accumulated[$node]);
    }

    /** The plane that holds most at a month's end, or null. */
    public function wettest(): ?int
    {
        $wettest = null;
        foreach (array_keys($this->accumulated) as $node) {
            if ($wettest === null || $this->peak($node) > $this->peak($wettest)) {
                $wettest = $node;
            }
        }

        return $wettest;
    }

    /** Greatest amount at one month's end at any plane, kg/m². */
    public function most(): float
    {
        $wettest = $this->wettest();

        return $wettest === null ? 0.0 : $this->peak($wettest);
    }

    /**
     * Temperature and relative humidity at each node in a month, planes that hold water at its end at saturation.
     *
     * @param  int  $month  0 for January
     * @return list<array{celsius: float, humidity: float}> humidity 0 to 1
     */
    public function humidity(int $month): array
    {
        ['sd' => $sd, 'saturation' => $saturation, 'inside' => $inside, 'outside' => $outside] = $this->months[$month];
        $k = ($month - (int) $this->startingMonth + 12) % 12;
        $held = array_filter($this->accumulated, fn (array $ends): bool => $ends[$k] > self::DRY);
        $touched = $this->touchedWith($month, array_keys($held));
        $last = count($sd) - 1;
        $at = [];
        foreach ($touched as $node) {
            $at[$node] = $saturation[$node];
        }
        $at[0] = $inside;
        $at[$last] = $outside;
        $states = [];
        foreach (TautString::pressures(array_values($sd), $touched, $at) as $node => $pressure) {
            $states[] = [
                'celsius' => $this->months[$month]['celsius'][$node],
                'humidity' => $pressure / $saturation[$node],
            ];
        }

        return $states;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        $planes = [];
        foreach ($this->accumulated as $node => $ends) {
            $months = [];
            $before = 0.0;
            foreach ($ends as $k => $end) {
                $months[] = [
                    'month' => (((int) $this->startingMonth + $k) % 12) + 1,
                    'condensation_g_m2' => ($end - $before) * 1000,
                    'accumulated_g_m2' => $end * 1000,
                ];
                $before = $end;
            }
            $planes[] = $this->path->place($node) + [
                'peak_g_m2' => max($ends) * 1000,
                'residue_g_m2' => $ends[11] * 1000,
                'months' => $months,
            ];
        }

        return ['planes' => $planes, 'verdict' => $this->verdict()->value];
    }

    /**
     * The starting month is one that condenses from dry while the month before does not. With several such, the one
     * that leaves least behind at the end of its year is the start of the cycle; of equals the first after midsummer.
     */
    private function run(): void
    {
        $wets = [];
        for ($m = 0; $m < 12; $m++) {
            $wets[$m] = $this->touched($m) !== [];
        }
        if (! in_array(true, $wets, true)) {
            return;
        }
        $starts = [];
        foreach ([6, 7, 8, 9, 10, 11, 0, 1, 2, 3, 4, 5] as $m) {
            if ($wets[$m] && ! $wets[($m + 11) % 12]) {
                $starts[] = $m;
            }
        }
        $least = INF;
        foreach ($starts === [] ? [0] : $starts as $start) {
            $ends = $this->year($start);
            $residue = 0.0;
            foreach ($ends as $node) {
                $residue += $node[11];
            }
            if ($residue < $least - 1e-12) {
                [$least, $this->startingMonth, $this->accumulated] = [$residue, $start, $ends];
            }
        }
    }

    /** @return list<int> nodes that condense in a month that begins dry */
    private function touched(int $month): array
    {
        ['sd' => $sd, 'saturation' => $saturation, 'inside' => $inside, 'outside' => $outside] = $this->months[$month];
        $last = count($sd) - 1;

        return array_slice(TautString::touches($sd, $saturation, 0, $last, $inside, $outside), 1, -1);
    }

    /** @return array<int, non-empty-list<float>> */
    private function year(int $start): array
    {
        $water = [];
        $ends = [];
        for ($k = 0; $k < 12; $k++) {
            $month = ($start + $k) % 12;
            $water = $this->month($month, $water, Month::DAYS[$month] * 86400.0);
            foreach ($water as $node => $amount) {
                $ends[$node] ??= array_fill(0, 12, 0.0);
                $ends[$node][$k] = $amount;
            }
        }
        ksort($ends);

        return $ends;
    }

    /**
     * @param  array<int, float>  $water  node => kg/m² at its beginning, all above zero
     * @return array<int, float> at its end
     */
    private function month(int $month, array $water, float $seconds): array
    {
        // Each turn either ends the month or dries a plane, and a plane that has dried does not wet again in it.
        while ($seconds > 0) {
            $rates = $this->rates($month, $water);
            $step = $seconds;
            $dries = null;
            foreach ($water as $node => $amount) {
                $rate = $rates[$node] ?? 0.0;
                if ($rate < 0 && $amount / -$rate < $step) {
                    $step = $amount / -$rate;
                    $dries = $node;
                }
            }
            foreach ($rates as $node => $rate) {
                $water[$node] = ($water[$node] ?? 0.0) + $rate * $step;
            }
            if ($dries !== null) {
                unset($water[$dries]);
            }
            $water = array_filter($water, fn (float $amount): bool => $amount > 0);
            $seconds -= $step;
        }

        return $water;
    }

    /**
     * @param  array<int, float>  $water
     * @return array<int, float> node => kg/(m²s), negative where it dries
     */
    private function rates(int $month, array $water): array
    {
        ['sd' => $sd, 'saturation' => $saturation, 'inside' => $inside, 'outside' => $outside] = $this->months[$month];
        $last = count($sd) - 1;
        ksort($water);
        $touched = $this->touchedWith($month, array_keys($water));
        $rates = [];
        for ($t = 1, $n = count($touched) - 1; $t < $n; $t++) {
            [$a, $b, $c] = [$touched[$t - 1], $touched[$t], $touched[$t + 1]];
            $pa = $a === 0 ? $inside : $saturation[$a];
            $pc = $c === $last ? $outside : $saturation[$c];
            $rates[$b] =
                Air::VAPOUR_PERMEABILITY *
                (($pa - $saturation[$b]) / ($sd[$b] - $sd[$a]) - ($saturation[$b] - $pc) / ($sd[$c] - $sd[$b]));
        }

        return $rates;
    }

    /**
     * What the taut string touches in a month, the ends included, where some planes are held at saturation.
     *
     * @param  list<int>  $held  in rising order
     * @return list<int>
     */
    private function touchedWith(int $month, array $held): array
    {
        ['sd' => $sd, 'saturation' => $saturation, 'inside' => $inside, 'outside' => $outside] = $this->months[$month];
        $last = count($sd) - 1;
        $touched = [0];
        $from = 0;
        $held[] = $last;
        foreach ($held as $to) {
            $pFrom = $from === 0 ? $inside : $saturation[$from];
            $stretch = TautString::touches(
                $sd,
                $saturation,
                $from,
                $to,
                $pFrom,
                $to === $last ? $outside : $saturation[$to],
            );
            for ($i = 1, $n = count($stretch); $i < $n; $i++) {
                $touched[] = $stretch[$i];
            }
            $from = $to;
        }

        return $touched;
    }
}

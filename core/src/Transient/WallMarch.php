<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Assembly\Assembly;
use Apron\Assembly\Layer;
use Apron\Climate\Air;
use Apron\Climate\HourlyYear;
use Apron\Material\Face;
use Apron\Rules\RuleFigures;

/** An assembly hour by hour: what its layers hold, what its faces are like for mould, frost and metal. */
final class WallMarch
{
    /** mm: of a thick layer, what lies so near a face is judged by itself */
    private const ZONE = 12.0;

    /** h: so often the picture of a year keeps what the slab is like */
    public const PICTURE_HOURS = 73;

    public readonly Slab $slab;

    public readonly State $state;

    /** @var list<MouldIndex> by boundary */
    public array $mould = [];

    /** @var array<int, int> by boundary: hours above 80 % in the last year */
    public array $damp = [];

    /** @var array<int, int> by boundary: hours above 80 % and above freezing in the last year */
    public array $rusting = [];

    /** @var list<list<float>> by layer: kg/m² at the end of each month of the last year */
    public array $months = [];

    /** @var array<int, float> by layer: most kg/m³ of a zone at a face, or of all of a thin one, since the beginning */
    public array $wettest = [];

    /** @var array<int, float> by layer: the same of the last year */
    public array $wettestLately = [];

    /** @var array<int, int> by layer: times it froze in the last year where its pores were all but full */
    public array $frosts = [];

    /** @var list<list<array{float, float}>> °C and share of saturation by node, at steps of the last year */
    public array $picture = [];

    /** @var list<list<float>> mould index by boundary, at the end of each month since the beginning */
    public array $grown = [];

    private readonly March $march;

    /** share of what its pores hold, from which frost bursts them */
    private readonly float $nearlyFull;

    /** kg/m² at the beginning */
    private readonly float $before;

    /** @var array<int, bool> by layer: whether it is frozen now */
    private array $frozen = [];

    /** @var list<array{int, list<array{int, int}>}> layer, and its zones by first and last node */
    private array $zones = [];

    public function __construct(private readonly WallRun $run, private readonly Weather $weather)
    {
        $assembly = $run->assembly;
        $flow = $assembly->heatFlow();
        $parts = array_map(fn ($layer): Part => Part::of($layer, $flow), $assembly->layers);
        $this->slab = new Slab($parts, Mesh::wall());
        $rules = RuleFigures::of('transient');
        $this->nearlyFull = $rules->figure('frost_saturation_pct') / 100;
        $humidity = $run->humidity ?? $rules->figure('initial_rh_pct') / 100;
        $this->state = State::even($this->slab->nodes(), $humidity, $weather->inside[0]->celsius);
        $this->march = new March($this->slab);
        $this->before = $this->slab->water($this->state);
        for ($j = 0, $n = count($parts); $j <= $n; $j++) {
            $this->mould[] = new MouldIndex(self::foodAt($assembly, $j));
        }
        $this->wettest = array_fill(0, $n, 0.0);
        $this->frozen = array_fill(0, $n, false);
        $this->findZones();
        $this->beginYear();
    }

    /** kg/m² */
    public function water(): float
    {
        return $this->slab->water($this->state);
    }

    /** % of what moved, that what is stored does not account for */
    public function error(): float
    {
        $lost = abs($this->water() - $this->before - $this->march->in);

        return $this->march->moved > 0 ? (100 * $lost) / $this->march->moved : 0.0;
    }

    /** % of the heat that moved */
    public function heatError(): float
    {
        $lost = abs($this->march->heatStored - $this->march->heatIn);

        return $this->march->heatMoved > 0 ? (100 * $lost) / $this->march->heatMoved : 0.0;
    }

    /** @throws \Apron\Budget\TakesTooLong */
    public function year(): void
    {
        $this->beginYear();
        $month = 0;
        for ($h = 0; $h < HourlyYear::HOURS; $h++) {
            $this->march->over(
                $this->state,
                3600.0,
                $this->weather->inside[$h],
                $this->weather->outside[$h],
                $this->inflow($h),
            );
            $this->look($h);
            if ($h + 1 === HourlyYear::HOURS || Weather::monthOf($h + 1) !== $month) {
                $this->endMonth();
                $month = Weather::monthOf($h + 1);
            }
        }
    }

    /**
     * @param  list<float>  $water  kg/m² at the beginning and at the end of each year
     * @param  int|null  $steady  the year that repeated the one before
     */
    public function memory(array $water, ?int $steady): Memory
    {
        return new Memory(
            new State($this->state->humidity, $this->state->celsius),
            $this->mould,
            $this->march->totals(),
            $this->wettest,
            $this->frozen,
            $this->grown,
            $water,
            $steady,
        );
    }

    /** Goes on where a march through the same wall ended. */
    public function remember(Memory $memory): void
    {
        $this->state->humidity = $memory->state->humidity;
        $this->state->celsius = $memory->state->celsius;
        $this->mould = $memory->mould;
        $this->march->resume($memory->totals);
        $this->wettest = $memory->wettest;
        $this->frozen = $memory->frozen;
        $this->grown = $memory->grown;
    }

    private function beginYear(): void
    {
        $count = count($this->slab->parts);
        $this->months = array_fill(0, $count, []);
        $this->frosts = array_fill(0, $count, 0);
        $this->wettestLately = array_fill(0, $count, 0.0);
        $this->damp = $this->rusting = array_fill(0, $count + 1, 0);
        $this->picture = [];
    }

    private function endMonth(): void
    {
        foreach (array_keys($this->months) as $layer) {
            $this->months[$layer][] = $this->slab->waterIn($layer, $this->state);
        }
        $this->grown[] = array_map(fn (MouldIndex $mould): float => $mould->index, $this->mould);
    }

    private function look(int $hour): void
    {
        [$phi, $t] = [$this->state->humidity, $this->state->celsius];
        foreach ($this->mould as $j => $mould) {
            $worst = null;
            foreach ($this->slab->beside($j) as $node) {
                $worst = $worst === null || $phi[$node] > $phi[$worst] ? $node : $worst;
            }
            $mould->during(1.0, $t[(int) $worst], 100 * $phi[(int) $worst]);
            $isDamp = $phi[(int) $worst] > 0.8;
            $this->damp[$j] += $isDamp ? 1 : 0;
            $this->rusting[$j] += $isDamp && $t[(int) $worst] > 0 ? 1 : 0;
        }
        foreach ($this->zones as [$layer, $zones]) {
            $this->lookAt($layer, $zones);
        }
        if ($hour % self::PICTURE_HOURS === 0) {
            $this->picture[] = array_map(fn (float $c, float $humidity): array => [$c, $humidity], $t, $phi);
        }
    }

    /** @param  list<array{int, int}>  $zones */
    private function lookAt(int $layer, array $zones): void
    {
        $full = $this->nearlyFull;
        $isFrozen = false;
        foreach ($zones as [$first, $last]) {
            [$water, $thick] = [0.0, 0.0];
            for ($k = $first; $k <= $last; $k++) {
                $table = $this->slab->tables[$this->slab->of[$k]];
                $holds = $table->waterAt($this->state->humidity[$k]);
                $water += $holds * $this->slab->thick[$k];
                $thick += $this->slab->thick[$k];
                $isFrozen = $isFrozen || ($this->state->celsius[$k] < 0 && $holds > $full * $table->full());
            }
            $this->wettest[$layer] = max($this->wettest[$layer], $water / $thick);
            $this->wettestLately[$layer] = max($this->wettestLately[$layer], $water / $thick);
        }
        $this->frosts[$layer] += $isFrozen && ! $this->frozen[$layer] ? 1 : 0;
        $this->frozen[$layer] = $isFrozen;
    }

    private function inflow(int $hour): Inflow
    {
        $rules = RuleFigures::of('transient');
        [$water, $air] = [[], []];
        $rain = $this->weather->rain[$hour] / 3600;
        $outside = $this->weather->hours[$hour];
        foreach ($this->run->assembly->layers as $n => $layer) {
            $kind = $layer->airLayer();
            $changes = $kind === null ? 0.0 : (float) $rules->cell('air_changes_1_h', $kind->value, 'rate');
            if ($changes > 0 && $this->run->assembly->soil === null) {
                $flow = ($changes * $layer->thicknessMm) / 1000 / 3600;
                $node = $this->slab->nodesOf[$n][0] ?? 0;
                $air[$node][] = new Exchange($flow, $outside->celsius, $outside->vapourPressure);
            }
        }
        $through = $this->run->air;
        if ($through !== null) {
            $inside = $this->weather->inside[$hour];
            $air[$this->slab->outside($through->layer)][] = new Exchange(
                $through->flow / 1000,
                $inside->celsius,
                $inside->humidity * Air::saturation($inside->celsius),
            );
        }
        if ($rain > 0) {
            $leak = $this->run->leak;
            if ($leak !== null) {
                $water[$this->slab->outside($leak->layer)] = $leak->share * $rain;
            }
            foreach ($this->soaked($rain * $rules->figure('rain_adheres')) as $node => $flow) {
                $water[$node] = ($water[$node] ?? 0.0) + $flow;
            }
        }

        return new Inflow($water, $air);
    }

    /**
     * What the outermost layer takes up of rain, as far as there is room.
     *
     * @return array<int, float> kg/(m²·s) by node
     */
    private function soaked(float $rain): array
    {
        $last = $this->slab->nodes() - 2;
        $table = $this->slab->tables[$this->slab->of[$last]];
        if ($this->slab->layer[$last] !== count($this->slab->parts) - 1 || $table->material->waterAbsorption === null) {
            return [];
        }
        $deep = RuleFigures::of('transient')->figure('rain_depth_mm') / 1000;
        [$rooms, $room, $reached] = [[], 0.0, 0.0];
        for ($k = $last; $k > 0 && $this->slab->of[$k] === $this->slab->of[$last] && $reached < $deep; $k--) {
            $holds = $table->waterAt($this->state->humidity[$k]);
            $rooms[$k] = max(0.0, $table->full() - $holds) * $this->slab->thick[$k];
            $room += $rooms[$k];
            $reached += $this->slab->thick[$k];
        }
        $takes = min($rain, (0.9 * $room) / 3600);

        return $room > 0 ? array_map(fn (float $own): float => ($takes * $own) / $room, $rooms) : [];
    }

    private function findZones(): void
    {
        foreach ($this->slab->nodesOf as $layer => $nodes) {
            if ($nodes === null || $this->slab->parts[$layer]->isMixed) {
                continue;
            }
            [$first, $last] = $nodes;
            if ($this->slab->parts[$layer]->thicknessMm < 2 * self::ZONE) {
                $this->zones[] = [$layer, [$nodes]];

                continue;
            }
            $from = $this->slab->boundaries[$layer] + self::ZONE / 1000;
            $to = $this->slab->boundaries[$layer + 1] - self::ZONE / 1000;
            [$inner, $outer] = [$first, $last];
            while ($inner < $last && $this->slab->depth[$inner + 1] < $from) {
                $inner++;
            }
            while ($outer > $first && $this->slab->depth[$outer - 1] > $to) {
                $outer--;
            }
            $this->zones[] = [$layer, [[$first, $inner], [$outer, $last]]];
        }
    }

    /** What mould finds at a boundary: the better food of the two faces there. */
    private static function foodAt(Assembly $assembly, int $boundary): MouldClass
    {
        $inner = $assembly->layers[$boundary - 1] ?? null;
        $outer = $assembly->layers[$boundary] ?? null;
        $order = MouldClass::cases();
        $towards = fn (Layer $layer, Face $face): MouldClass => MouldClass::of(
            $layer->material,
            $layer->turned ? $face->other() : $face,
        );
        $of = array_filter([
            $inner === null ? null : $towards($inner, Face::Outer),
            $outer === null ? null : $towards($outer, Face::Inner),
        ]);
        $rank = fn (MouldClass $class): int => (int) array_search($class, $order, true);
        usort($of, fn (MouldClass $a, MouldClass $b): int => $rank($a) <=> $rank($b));

        return $of[0] ?? MouldClass::Resistant;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Assembly\Layer;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;
use Apron\Vapour\YearVerdict;

/** What a run of years says of an assembly: mould, wood, frost, water that stays. */
final readonly class WallAssessment implements Assessed
{
    /** % of what moved; above it a result is not to be trusted */
    private const MOST_ERROR = 0.1;

    public function __construct(
        public WallRun $run,
        /** null where there is none yet */
        public ?WallResult $result,
        /** whether the project has a climate and a room */
        private bool $hasAirs = true,
        /** what twelve months of steady diffusion say of the same assembly */
        private ?YearVerdict $byMonths = null,
    ) {
    }

    public function findings(): array
    {
        if ($this->result === null) {
            return [$this->finding($this->hasAirs ? 'run.not-run' : 'run.no-airs', Severity::Note, [])];
        }

        $judged = array_values(array_filter([
            ...$this->mould(),
            ...$this->wood(),
            ...$this->frost(),
            $this->stays(),
        ]));

        return array_values(array_filter([
            ...$judged,
            $this->besideMonths($judged),
            $this->cut(),
            $this->result->error > self::MOST_ERROR || $this->result->heatError > self::MOST_ERROR
                ? $this->finding('run.unbalanced', Severity::Caution, [
                    'error' => max($this->result->error, $this->result->heatError),
                ])
                : null,
        ]));
    }

    /** The worst that it says that somebody must act on; null where there is nothing of the kind. */
    public function worst(): ?Finding
    {
        $worst = null;
        foreach ($this->findings() as $finding) {
            $tells = $finding->severity->rank() <= Severity::Caution->rank();
            if ($tells && ($worst === null || $finding->severity->rank() < $worst->severity->rank())) {
                $worst = $finding;
            }
        }

        return $worst;
    }

    /** The mould index of the face that mould likes most, inside of what the weather washes. */
    public function mouldMost(): ?float
    {
        $indices = array_column($this->judged(), 'mould_index_max');

        return $indices === [] ? null : max($indices);
    }

    public function toArray(Words $words): array
    {
        $result = $this->result;

        return ['id' => $this->run->id] + ($result === null ? [
            'layers' => [],
            'interfaces' => [],
            'steady_after_years' => null,
            'balance_error_pct' => null,
        ] : [
            'layers' => $result->layers,
            'interfaces' => $result->interfaces,
            'steady_after_years' => $result->steadyAfter,
            'balance_error_pct' => max($result->error, $result->heatError),
            'facing_deg' => $result->facing,
            'rain_kg_m2' => $result->rain,
            'water_kg_m2' => $result->water,
            'years' => $result->years,
            'by_months' => $this->byMonths?->value,
            'hours_of' => $result->hoursOf,
        ]);
    }

    /** @return list<Finding> of the face that mould likes most, where it has one */
    private function mould(): array
    {
        $limit = RuleFigures::of('transient')->figure('mould_limit');
        $worst = null;
        foreach ($this->judged() as $row) {
            $worst = $worst === null || $row['mould_index_max'] > $worst['mould_index_max'] ? $row : $worst;
        }
        if ($worst === null) {
            return [];
        }
        $index = $worst['mould_index_max'];
        [$before, $years] = self::pace($worst['mould_index'], $limit);
        $rises = $years !== null && $years <= RuleFigures::of('transient')->figure('mould_rises_years');
        [$code, $severity] = match (true) {
            $index >= $limit => ['run.mould', Severity::Fail],
            $rises => ['run.mould-rises', Severity::Caution],
            $index >= 1 => ['run.mould-begins', Severity::Caution],
            default => ['run.no-mould', Severity::Pass],
        };
        [$inner, $outer] = $this->around($worst['interface']);

        return [
            $this->finding($code, $severity, [
                'index' => $index,
                'limit' => $limit,
                'inner' => $inner,
                'outer' => $outer,
                'hours' => $worst['hours_over_80'],
            ] + ($code === 'run.mould-rises' ? ['before' => $before, 'years' => (int) ceil($years ?? 0.0)] : [])),
        ];
    }

    /**
     * How much it gains from year to year, and in how many more years that brings it to a limit.
     *
     * @param  list<float>  $months  index at the end of each month of all years
     * @return array{float, float|null} its most in the year before the last; null where it gains nothing
     */
    private static function pace(array $months, float $limit): array
    {
        $peaks = array_map(fn (array $year): float => max($year), array_chunk($months, 12));
        $last = count($peaks) - 1;
        if ($last < 1) {
            return [0.0, null];
        }
        $gains = $peaks[$last] - $peaks[$last - 1];

        return [$peaks[$last - 1], $gains > 0 ? ($limit - $peaks[$last]) / $gains : null];
    }

    /** @return list<Finding> */
    private function wood(): array
    {
        $rules = RuleFigures::of('transient');
        $findings = [];
        foreach ($this->result->layers ?? [] as $n => $row) {
            $layer = $this->run->assembly->layers[$n];
            $most = $row['moisture_pct_last_year'];
            if ($layer->material->family?->timber === null || $most === null || $this->isBeyond($n)) {
                continue;
            }
            if ($most <= $rules->figure('wood_limit_pct')) {
                continue;
            }
            $rots = $most > $rules->figure('wood_rots_pct');
            $findings[] = $this->finding(
                $rots ? 'run.wood-rots' : 'run.wood-damp',
                $rots ? Severity::Fail : Severity::Caution,
                ['of' => $layer->material->name, 'moisture' => $most],
                $layer,
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function frost(): array
    {
        $findings = [];
        foreach ($this->result->layers ?? [] as $n => $row) {
            $layer = $this->run->assembly->layers[$n];
            if ($row['frost_cycles'] > 0 && $layer->material->isReservoir()) {
                $findings[] = $this->finding(
                    'run.frost',
                    Severity::Caution,
                    ['of' => $layer->material->name, 'times' => $row['frost_cycles']],
                    $layer,
                );
            }
        }

        return $findings;
    }

    private function stays(): ?Finding
    {
        $water = $this->result->water ?? [];
        if (count($water) < 2) {
            return null;
        }
        [$before, $now] = array_slice($water, -2);
        if ($this->result?->steadyAfter !== null) {
            return null;
        }

        return $now > $before
            ? $this->finding('run.gathers', Severity::Fail, ['before' => $before, 'now' => $now])
            : $this->finding('run.still-drying', Severity::Note, ['before' => $before, 'now' => $now]);
    }

    /**
     * Where the months say otherwise, and what they leave out.
     *
     * @param  list<Finding>  $judged
     */
    private function besideMonths(array $judged): ?Finding
    {
        $fails = array_filter($judged, fn (Finding $finding): bool => $finding->severity === Severity::Fail) !== [];
        $caution = Severity::Caution->rank();
        $harm = array_filter($judged, fn (Finding $f): bool => $f->severity->rank() <= $caution) !== [];
        $gathers = $this->byMonths === YearVerdict::Accumulates;
        $isWet = ($this->run->humidity ?? 0.0) > RuleFigures::of('transient')->figure('initial_rh_pct') / 100;
        $code = match (true) {
            $this->byMonths === null => null,
            $gathers && ! $harm => 'run.milder',
            $gathers || ! $fails => null,
            $this->run->leak !== null => 'run.harsher-rain',
            $isWet => 'run.harsher-wet',
            $this->run->air !== null => 'run.harsher-air',
            default => 'run.harsher',
        };

        return $code === null ? null : $this->finding($code, Severity::Note, []);
    }

    private function cut(): ?Finding
    {
        $result = $this->result;

        return $result?->cut === null ? null : $this->finding('run.cut-short', Severity::Caution, [
            'reached_h' => 8760 * $result->years,
            'more' => $result->cut,
        ]);
    }

    /**
     * Faces that are judged: not those that the weather washes, outside of the innermost ventilated layer and the face
     * of the wall itself.
     *
     * @return list<array{interface: int, mould_index_max: float, hours_over_80: int, mould_index: list<float>}>
     */
    private function judged(): array
    {
        $rows = array_slice($this->result->interfaces ?? [], 0, -1);
        $at = $this->run->assembly->ventilatedAt();

        return $at === null ? $rows : array_slice($rows, 0, $at);
    }

    private function isBeyond(int $layer): bool
    {
        $at = $this->run->assembly->ventilatedAt();

        return $at !== null && $layer > $at;
    }

    /** @return array{string, string} what lies on both sides of a boundary */
    private function around(int $boundary): array
    {
        $layers = $this->run->assembly->layers;

        return [
            $layers[$boundary - 1]->material->name ?? 'the room',
            $layers[$boundary]->material->name ?? 'the weather',
        ];
    }

    /** @param  array<string, float|int|string>  $figures */
    private function finding(string $code, Severity $severity, array $figures, ?Layer $layer = null): Finding
    {
        return new Finding(
            $code,
            $severity,
            "runs/{$this->run->id}",
            $figures,
            Source::computed('hour by hour after EN 15026, in a year made from the months of the climate'),
            $layer->id ?? '',
        );
    }
}

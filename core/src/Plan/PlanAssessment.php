<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Climate\Month;
use Apron\Contact\Season;
use Apron\Contact\Weather;
use Apron\Detail\Detail;
use Apron\Inspection\Check;
use Apron\Material\Material;
use Apron\Material\Usual;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** A plan on its days, the clocks that run in it, and what is said of both. */
final readonly class PlanAssessment
{
    public Schedule $schedule;

    /** @var list<Clock> */
    public array $clocks;

    /** @var array<string, Season> by product */
    private array $seasons;

    public Plan $plan;

    private Outlook $outlook;

    /** @var list<array{area: string, from: int, to: int|null, wets: list<string>, openings: list<string>}> */
    private array $showers;

    /**
     * @param  array<string, Material>  $products  by id, of those that the project has
     * @param  list<Month>|null  $months  of the climate outdoors, January first
     * @param  array<string, Detail>  $details  by id, of those that tasks make
     */
    public function __construct(Plan $plan, private array $products, private ?array $months, array $details = [])
    {
        $this->outlook = new Outlook($plan, $months);
        $this->plan = $plan = Curing::settled($plan, $products, $this->outlook);
        $this->schedule = new Schedule($plan);
        $this->showers = (new Showers($this->schedule, $products, $details))->all();
        $seasons = array_map(fn (Material $product): Season => new Season($product), $products);
        $limits = array_map(fn (Season $season): ?float => $season->sunDays(), $seasons);
        $this->seasons = $seasons;
        $this->clocks = Clocks::of(
            $plan,
            $this->schedule,
            array_filter($limits, fn (?float $days): bool => $days !== null),
        );
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'finish' => Day::written($this->schedule->finish),
            'tasks' => array_map(
                fn (Planned $planned): array => $planned->toArray(),
                array_values($this->schedule->planned),
            ),
            'clocks' => array_map(fn (Clock $clock): array => $clock->toArray(), $this->clocks),
            'walks' => array_map(fn (array $walk): array => [
                'from' => Day::written($walk['from']),
                'to' => $walk['to'] === null ? null : Day::written($walk['to']),
            ] + $walk, $this->walks()),
            'cures' => Curing::told($this->plan, $this->schedule, $this->products, $this->outlook),
            'weather' => array_map(fn (DayWeather $on): array => [
                ...$on->toArray(),
                'by' => $this->plan->isSimulated ? 'simulated-station' : 'forecast',
                'gates' => $this->gatesOn($on),
            ], array_values($this->plan->forecast)),
            'showers' => array_map(fn (array $run): array => [
                'area' => $run['area'],
                'from' => Day::written($run['from']),
                'to' => $run['to'] === null ? null : Day::written($run['to']),
                'wets' => $run['wets'],
                'openings' => $run['openings'],
            ], $this->showers),
        ];
    }

    /** @return list<array{area: string, from: int, to: int|null, every_days: int}> walks along what stands open */
    public function walks(): array
    {
        return DamageWalks::of($this->clocks);
    }

    /** @return list<Check> the same as looks */
    public function checks(): array
    {
        return DamageWalks::checks($this->clocks, $this->plan->today);
    }

    /** @return list<array{task: string, gate: string}> what is planned on a day, and whether its weather lets it be */
    private function gatesOn(DayWeather $on): array
    {
        $rows = [];
        foreach ($this->schedule->planned as $id => $planned) {
            if ($planned->from <= $on->day && $planned->to >= $on->day && $this->plan->days()->isWorked($on->day)) {
                $rows[] = ['task' => (string) $id, 'gate' => $this->gate($planned, $on)->value];
            }
        }

        return $rows;
    }

    private function gate(Planned $planned, DayWeather $on): Gate
    {
        return Gates::of(
            $this->products[$planned->task->product ?? ''] ?? null,
            $planned->task->needsDry,
            $on,
            $this->outlook->forecast($on->day - 1)->rain ?? 0.0,
        );
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [
            ...array_merge(...array_map($this->ofClock(...), $this->clocks)),
            ...$this->outOfTurn(),
            ...$this->holdsPassed(),
            ...$this->ofProducts(),
            ...$this->ofForecast(),
            ...$this->tooEarly(),
            ...$this->bareLong(),
        ];
    }

    /** @return list<Finding> */
    private function ofClock(Clock $clock): array
    {
        $figures = [
            'task' => $clock->task->title,
            'product' => $this->products[$clock->task->product ?? '']->name ?? '',
            'limit_days' => $clock->limit,
            'cover_by' => Day::written($clock->coverBy),
            'used_days' => $clock->used ?? 0,
        ];
        $say = fn (string $code, Severity $severity): array => [
            $this->finding($code, $severity, $figures, $clock->task->id),
        ];
        $today = $this->plan->today;
        $soon = $today !== null &&
            $clock->exposedFrom < $today &&
            ($clock->covered === null || $clock->covered > $today) &&
            $clock->coverBy - $today <= RuleFigures::of('plan')->figure('sun_warning_days');

        return match (true) {
            $clock->isOver() => $say('plan.sun-over', Severity::Fail),
            $clock->covered === null => $say('plan.never-covered', Severity::Caution),
            $soon => $say('plan.sun-soon', Severity::Caution),
            default => [],
        };
    }

    /** @return list<Finding> tasks that were begun before what they wait for had let them */
    private function outOfTurn(): array
    {
        $findings = [];
        foreach ($this->plan->done as $id => $done) {
            foreach ($this->plan->tasks[$id]->after as $wait) {
                $before = $this->schedule->planned[$wait->task];
                // A hold point that nobody released says more than that it was passed too early.
                $isSaid = $before->task->isHold && ! $before->isDone;
                if (! $isSaid && $done->from < $wait->after($before->from, $before->to)) {
                    $findings[] = $this->finding(
                        'plan.out-of-turn',
                        Severity::Caution,
                        [
                            'task' => $this->plan->tasks[$id]->title,
                            'before' => $before->task->title,
                            'from' => Day::written($done->from),
                            'until' => Day::written($before->to),
                        ],
                        "$id $wait->task",
                    );
                }
            }
        }

        return $findings;
    }

    /** @return list<Finding> hold points that nobody has released, and work that went on past them */
    private function holdsPassed(): array
    {
        $findings = [];
        foreach ($this->plan->done as $id => $done) {
            foreach ($this->plan->tasks[$id]->after as $wait) {
                $hold = $this->schedule->planned[$wait->task];
                if ($hold->task->isHold && ! $hold->isDone) {
                    $findings[] = $this->finding(
                        'plan.hold-passed',
                        Severity::Fail,
                        ['task' => $this->plan->tasks[$id]->title, 'hold' => $hold->task->title],
                        "$id $wait->task",
                    );
                }
            }
        }

        return $findings;
    }

    /** @return list<Finding> products that the project does not have, and months that one cannot be laid in */
    private function ofProducts(): array
    {
        $findings = [];
        foreach ($this->schedule->planned as $id => $planned) {
            $product = $planned->task->product;
            if ($product === null || $planned->isDone) {
                continue;
            }
            if (! isset($this->products[$product])) {
                $findings[] = $this->finding(
                    'plan.no-such-product',
                    Severity::Caution,
                    ['task' => $planned->task->title, 'product' => $product],
                    $id,
                );

                continue;
            }
            $wrong = $this->weather($this->seasons[$product], $planned);
            if ($wrong !== null) {
                [$month, $weather] = $wrong;
                $findings[] = $this->finding(
                    'plan.season',
                    Severity::Caution,
                    [
                        'task' => $planned->task->title,
                        'product' => $this->products[$product]->name,
                        'month' => (string) $month,
                        'weather' => $weather->value,
                    ],
                    $id,
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> the first day of each task that its forecast stops; what a rain that is forecast wets */
    private function ofForecast(): array
    {
        $findings = [];
        foreach ($this->schedule->planned as $id => $planned) {
            foreach ($planned->isDone ? [] : $this->plan->forecast as $on) {
                $isOn = $on->day >= $planned->from &&
                    $on->day <= $planned->to &&
                    $this->plan->days()->isWorked($on->day);
                $gate = $isOn ? $this->gate($planned, $on) : Gate::Open;
                if ($gate->stops()) {
                    $findings[] = $this->finding(
                        'plan.weather',
                        Severity::Caution,
                        ['task' => $planned->task->title, 'on' => Day::written($on->day), 'gate' => $gate->value],
                        (string) $id,
                    );
                    break;
                }
            }
        }
        foreach ($this->plan->forecast as $on) {
            foreach ($on->rain < RuleFigures::of('plan')->figure('rain_mm') ? [] : $this->showers as $run) {
                if ($on->day > $run['from'] && $on->day <= ($run['to'] ?? PHP_INT_MAX)) {
                    $findings[] = $this->finding(
                        'plan.rain-on-bare',
                        Severity::Caution,
                        [
                            'area' => $run['area'],
                            'on' => Day::written($on->day),
                            'rain_mm' => $on->rain,
                            'what' => $this->named($run),
                        ],
                        "$run[area] ".Day::written($on->day),
                    );
                }
            }
        }

        return $findings;
    }

    /** @param  array{wets: list<string>, openings: list<string>}  $run */
    private function named(array $run): string
    {
        return implode(
            ', ',
            [...array_map(fn (string $id): string => $this->products[$id]->name, $run['wets']), ...$run['openings']],
        );
    }

    /** @return list<Finding> what is covered before it has cured, and primers that have gone off before they are */
    private function tooEarly(): array
    {
        $findings = [];
        foreach ($this->schedule->planned as $id => $cover) {
            foreach ($cover->isDone ? [] : $cover->task->covers as $of) {
                $laid = $this->schedule->planned[$of];
                $product = $this->products[$laid->task->product ?? ''] ?? null;
                if ($product === null) {
                    continue;
                }
                $figures = ['task' => $cover->task->title, 'under' => $laid->task->title, 'product' => $product->name];
                $hours = CureTime::isLaidWet($product)
                    ? CureTime::hours($product, Cures::Cure, ...$this->outlook->air($laid->to))
                    : 0.0;
                $ready = (new Wait($of, false, $hours))->after($laid->from, $laid->to);
                if ($cover->from < $ready) {
                    $findings[] = $this->finding(
                        'plan.covered-early',
                        Severity::Caution,
                        $figures + ['hours' => round($hours), 'until' => Day::written($ready)],
                        "$id $of",
                    );
                }
                $open = Usual::of($product)->openMin;
                $nights = 24 * max(0, $cover->from - $laid->to - 1) + RuleFigures::of('plan')->figure('overnight_h');
                $isPrimer = $product->family?->id === 'primer' && $open !== null;
                if ($isPrimer && $cover->from > $laid->to && $open / 60 < $nights) {
                    $findings[] = $this->finding(
                        'plan.primer-closed',
                        Severity::Caution,
                        $figures + ['open_h' => round($open / 60, 1)],
                        "$id $of",
                    );
                }
            }
        }

        return $findings;
    }

    /** @return list<Finding> what water harms and stands bare for long; days that must be dry in a month of rain */
    private function bareLong(): array
    {
        $figures = RuleFigures::of('plan');
        $findings = [];
        foreach ($this->showers as $run) {
            $days = $run['to'] === null ? 0 : $run['to'] - $run['from'] + 1;
            if ($run['wets'] !== [] && $days > $figures->figure('bare_days')) {
                $findings[] = $this->finding(
                    'plan.bare-long',
                    Severity::Caution,
                    ['area' => $run['area'], 'what' => $this->named($run), 'days' => $days] +
                        ['from' => Day::written($run['from'])],
                    "$run[area] ".implode(' ', $run['wets']),
                );
            }
        }
        foreach ($this->schedule->planned as $id => $planned) {
            $rain = $this->outlook->month($planned->from)->rain ?? 0.0;
            if ($planned->task->needsDry && ! $planned->isDone && $rain > $figures->figure('wet_month_mm')) {
                $findings[] = $this->finding(
                    'plan.wet-month',
                    Severity::Note,
                    ['task' => $planned->task->title, 'rain_mm' => $rain] +
                        ['month' => (string) Day::month($planned->from)],
                    (string) $id,
                );
            }
        }

        return $findings;
    }

    /** @return array{int, Weather}|null the first month of a task in which its product cannot be laid, and why */
    private function weather(Season $season, Planned $planned): ?array
    {
        if ($this->months === null || ! $season->isLaid()) {
            return null;
        }
        for ($day = $planned->from; $day <= $planned->to; $day++) {
            $month = Day::month($day);
            $weather = $season->in($this->months[$month - 1]);
            if (in_array($weather, [Weather::Cold, Weather::Frost, Weather::Hot], true)) {
                return [$month, $weather];
            }
        }

        return null;
    }

    /** @param  array<string, float|int|string>  $figures */
    private function finding(string $code, Severity $severity, array $figures, string $of): Finding
    {
        return new Finding($code, $severity, 'plan', $figures, Source::computed('the plan'), $of);
    }
}

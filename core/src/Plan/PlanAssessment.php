<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Climate\Month;
use Apron\Contact\Season;
use Apron\Contact\Weather;
use Apron\Material\Material;
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

    /**
     * @param  array<string, Material>  $products  by id, of those that the project has
     * @param  list<Month>|null  $months  of the climate outdoors, January first
     */
    public function __construct(public Plan $plan, private array $products, private ?array $months)
    {
        $this->schedule = new Schedule($plan);
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
        ];
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [
            ...array_merge(...array_map($this->ofClock(...), $this->clocks)),
            ...$this->outOfTurn(),
            ...$this->holdsPassed(),
            ...$this->ofProducts(),
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

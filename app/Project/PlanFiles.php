<?php

declare(strict_types=1);

namespace App\Project;

use Apron\Plan\Day;
use Apron\Plan\PlanAssessment;
use Apron\Project\Project;
use Apron\Project\Section\PlanSection;
use Sabre\VObject\Component\VCalendar;

/** The plan of a project as others read it: in their calendars, and in their sheets. */
final readonly class PlanFiles
{
    /** Of one area: two years, week by week. */
    private const MOST_WALKS = 104;

    private function __construct(private string $project, private PlanAssessment $plan)
    {
    }

    /** Null where the project has no plan. */
    public static function of(Project $project): ?self
    {
        $plan = PlanSection::assess($project);

        return $plan === null ? null : new self($project->brief->name, $plan);
    }

    /** iCalendar, RFC 5545: whole days, their end the morning after. */
    public function calendar(): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Apron//plan//EN', 'X-WR-CALNAME' => $this->project]);
        foreach ($this->plan->schedule->planned as $id => $planned) {
            $task = $planned->task;
            $this->add($calendar, "task-$id", $task->title, $planned->from, $planned->to, [
                'CATEGORIES' => $task->area ?? '',
                'DESCRIPTION' => implode(
                    '; ',
                    array_filter([
                        $task->isHold ? 'hold point' : '',
                        $planned->isDone ? 'done' : '',
                        $planned->isCritical() ? 'critical' : "may slip by {$planned->float} working days",
                    ]),
                ),
            ]);
        }
        foreach ($this->plan->clocks as $clock) {
            $title = "Cover by tonight: {$clock->task->title}";
            $this->add($calendar, "clock-{$clock->task->id}", $title, $clock->coverBy, $clock->coverBy, [
                'DESCRIPTION' => sprintf('%g days in the sun are over', $clock->limit),
            ]);
        }

        foreach ($this->plan->walks() as $walk) {
            $day = $walk['from'] + $walk['every_days'];
            for ($n = 1; $n <= self::MOST_WALKS && $day < ($walk['to'] ?? $this->plan->schedule->finish); $n++) {
                $title = trim("Damage walk $walk[area]");
                $this->add($calendar, 'walk-'.hash('sha256', $walk['area'])."-$n", $title, $day, $day, [
                    'CATEGORIES' => $walk['area'],
                ]);
                $day += $walk['every_days'];
            }
        }

        return $calendar->serialize();
    }

    /** @param  array<string, string>  $more */
    private function add(VCalendar $calendar, string $id, string $title, int $from, int $to, array $more): void
    {
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "$id@plan.apron",
            'SUMMARY' => $title,
            ...array_filter($more, fn (string $text): bool => $text !== ''),
        ]);
        $calendar->add($event);
        $event->add('DTSTART', str_replace('-', '', Day::written($from)), ['VALUE' => 'DATE']);
        $event->add('DTEND', str_replace('-', '', Day::written($to + 1)), ['VALUE' => 'DATE']);
    }

    public function csv(): string
    {
        $csv = new Csv(['id', 'task', 'area', 'days', 'from', 'to', 'float days', 'critical', 'done', 'hold', 'after']);
        foreach ($this->plan->schedule->planned as $id => $planned) {
            $task = $planned->task;
            $csv->row([
                (string) $id,
                $task->title,
                $task->area ?? '',
                $task->days,
                Day::written($planned->from),
                Day::written($planned->to),
                $planned->float,
                $planned->isCritical() ? 'yes' : '',
                $planned->isDone ? 'yes' : '',
                $task->isHold ? 'yes' : '',
                implode(' ', array_map(fn ($wait): string => $wait->task, $task->after)),
            ]);
        }

        return (string) $csv;
    }
}

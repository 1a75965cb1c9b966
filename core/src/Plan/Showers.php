<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Budget\Deadline;
use Apron\Detail\Detail;
use Apron\Detail\Layout;
use Apron\Material\Material;
use Apron\Rules\Severity;
use Apron\Trace\HalfBuilt;
use Apron\Trace\Rain;
use Apron\Trace\Releases;
use Apron\Trace\StripResult;

/**
 * What a shower would wet on any day, area by area: what stands bare that water harms, and openings as they stand after
 * the last step that is done by that evening.
 *
 * @phpstan-type Wet array{area: string, from: int, to: int|null, wets: list<string>, openings: list<string>}
 */
final class Showers
{
    /** @var array<string, bool> whether a detail keeps the rain out after a step, by its id and the step */
    private array $keepsOut = [];

    /**
     * @param  array<string, Material>  $products  by id
     * @param  array<string, Detail>  $details  by id
     */
    public function __construct(
        private readonly Schedule $schedule,
        private readonly array $products,
        private readonly array $details,
    ) {
    }

    /** @return list<Wet> runs of days on which a shower wets the same; `to` null runs on past the last task */
    public function all(): array
    {
        $areas = [];
        foreach ($this->schedule->planned as $planned) {
            if ($planned->task->product !== null || $planned->task->details !== []) {
                $areas[$planned->task->area ?? ''][] = $planned;
            }
        }
        $runs = [];
        foreach ($areas as $area => $tasks) {
            array_push($runs, ...$this->ofArea((string) $area, $tasks));
        }

        return $runs;
    }

    /**
     * @param  list<Planned>  $tasks
     * @return list<Wet>
     */
    private function ofArea(string $area, array $tasks): array
    {
        $evenings = array_values(array_unique(array_map(fn (Planned $p): int => $p->to, $tasks)));
        sort($evenings);
        usort($tasks, fn (Planned $a, Planned $b): int => $a->to <=> $b->to);
        $making = array_values(array_filter($tasks, fn (Planned $p): bool => $p->task->details !== []));
        $laid = [];
        $next = 0;
        $runs = [];
        foreach ($evenings as $i => $evening) {
            Deadline::check();
            for (; isset($tasks[$next]) && $tasks[$next]->to <= $evening; $next++) {
                $product = $this->products[$tasks[$next]->task->product ?? ''] ?? null;
                // What sheds keeps dry all that was laid before it.
                $laid = $product?->shedsWater === true ? [] : $laid;
                $laid = $product === null ? $laid : [...$laid, $product];
            }
            $wets = self::wetOf($laid);
            $openings = $wets === [] ? $this->openings($making, $evening) : [];
            $until = isset($evenings[$i + 1]) ? $evenings[$i + 1] - 1 : null;
            $before = array_pop($runs);
            $goesOn = $before !== null && $before['to'] === $evening - 1 &&
                $before['wets'] === $wets && $before['openings'] === $openings;
            if ($before !== null) {
                $runs[] = $goesOn ? ['to' => $until] + $before : $before;
            }
            if ($goesOn) {
                continue;
            }
            if ($wets !== [] || $openings !== []) {
                $runs[] = [
                    'area' => $area,
                    'from' => $evening,
                    'to' => $until,
                    'wets' => $wets,
                    'openings' => $openings,
                ];
            }
        }

        return $runs;
    }

    /**
     * From what was laid last inward: what sheds keeps the rest dry.
     *
     * @param  list<Material>  $laid  inside to outside
     * @return list<string> ids of those that water harms, and that it reaches
     */
    public static function wetOf(array $laid): array
    {
        $wet = [];
        foreach (array_reverse($laid) as $material) {
            if ($material->shedsWater === true) {
                break;
            }
            if ($material->harmedByWater()) {
                $wet[$material->id] = true;
            }
        }

        return array_map(strval(...), array_keys($wet));
    }

    /**
     * @param  list<Planned>  $tasks  of the area
     * @return list<string> details that let the rain in as they stand on an evening
     */
    private function openings(array $tasks, int $evening): array
    {
        $done = [];
        foreach ($tasks as $planned) {
            foreach ($planned->task->details as $id) {
                $done[$id] ??= 0;
                if ($planned->to <= $evening) {
                    $done[$id] = max($done[$id], $planned->task->steps[1] ?? PHP_INT_MAX);
                }
            }
        }
        $open = [];
        foreach ($done as $id => $step) {
            if (! $this->keepsOut((string) $id, $step)) {
                $open[] = (string) $id;
            }
        }

        return $open;
    }

    private function keepsOut(string $id, int $step): bool
    {
        $detail = $this->details[$id] ?? null;
        if ($detail === null || $detail->pieces === []) {
            return true;
        }

        return $this->keepsOut["$id $step"] ??= $step > 0 && array_filter(
            Releases::of(new Rain(new Layout(HalfBuilt::after($detail, $step)))),
            fn (StripResult $strip): bool => $strip->severity === Severity::Fail,
        ) === [];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Json\Node;
use Apron\Plan\Plan;
use Apron\Plan\PlanAssessment;
use Apron\Plan\PlanFormat;
use Apron\Plan\Task;
use Apron\Project\OneSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Told;
use Apron\Rules\Words;

/**
 * The plan of the work: one document; null where the project has none.
 *
 * @extends OneSection<Plan>
 */
final class PlanSection extends OneSection
{
    public const TITLE = 'the plan';

    public function kind(): string
    {
        return 'plan';
    }

    public function definition(): string
    {
        return 'Plan';
    }

    public function read(Node $file, Reading $reading): ?Plan
    {
        $node = $file->optional($this->section());

        return $node === null
            ? null
            : $reading->rows->one($this->section(), $node, fn (): Plan => PlanFormat::read($node));
    }

    public function write(Project $project): array
    {
        $plan = $project->of(self::class);

        return $plan === null ? [] : [$this->section() => PlanFormat::write($plan)];
    }

    /** What is derived of it, and said; null where the project has no plan. */
    public static function assess(Project $project): ?PlanAssessment
    {
        $plan = $project->of(self::class);
        if ($plan === null) {
            return null;
        }
        $products = [];
        foreach ($plan->given as $task) {
            $product = $task->product === null ? null : $project->materials->find($task->product);
            if ($product !== null) {
                $products[$product->id] = $product;
            }
        }

        $named = array_merge(...array_map(fn (Task $task): array => $task->details, $plan->given));
        $details = array_intersect_key(array_column($project->details, null, 'id'), array_flip($named));

        return new PlanAssessment($plan, $products, $project->brief->climate?->months, $details);
    }

    public function findings(Project $project): array
    {
        return self::assess($project)?->findings() ?? [];
    }

    public function standsOn(\stdClass $content): array
    {
        $ids = [];
        foreach (is_array($content->tasks ?? null) ? $content->tasks : [] as $task) {
            foreach ($task instanceof \stdClass && is_array($task->details ?? null) ? $task->details : [] as $id) {
                if (is_string($id)) {
                    $ids[$id] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($ids));
    }

    public function told(Project $project, string $key, Words $words): ?Told
    {
        $assessed = self::assess($project);

        return $assessed === null
            ? null
            : new Told(
                $assessed->findings(),
                ['calendar' => $assessed->toArray()],
                array_values(array_filter(array_column($assessed->plan->given, 'product'))),
                $assessed->checks(),
                self::TITLE,
            );
    }
}

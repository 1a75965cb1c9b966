<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\PlanFiles;
use App\Project\StoredProject;
use Apron\Plan\Day;
use Apron\Plan\Plan;
use Apron\Plan\PlanFormat;
use Apron\Plan\Proposed;
use Apron\Project\Section\BuildingSection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The plan of the work: proposed from the building, and taken out of the house. */
class PlanController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    /** A first plan made of the walls of the building; not stored. */
    #[
        Api\Get(
            '/api/projects/{project}/plan/proposed',
            id: 'proposedPlan',
            answers: [
                200 => ['tasks of every wall, with no date but the first', 'Plan'],
            ],
            queries: ['start'],
        ),
    ]
    public function proposed(Request $request, Project $project): JsonResponse
    {
        $start = (string) $request->validate(['start' => 'required|date_format:Y-m-d'])['start'];
        $core = $this->stored->withoutRecord($project);
        $built = BuildingSection::assess($core);
        $day = Day::of($start) ?? abort(422, 'a date, as 2027-04-01');
        $plan = $built === null
            ? new Plan($day, [1, 2, 3, 4, 5], [], [])
            : Proposed::of($built->envelope, array_column($core->assemblies, null, 'id'), $day);

        return new JsonResponse(PlanFormat::write($plan));
    }

    #[
        Api\Get(
            '/api/projects/{project}/plan.ics',
            id: 'planCalendar',
            answers: [
                200 => 'its tasks and the evenings by which something must be covered, as iCalendar',
                404 => 'the project has no plan',
            ],
        ),
    ]
    public function calendar(Project $project): Response
    {
        return $this->file($project, fn (PlanFiles $files): string => $files->calendar(), 'text/calendar', 'plan.ics');
    }

    #[
        Api\Get(
            '/api/projects/{project}/plan.csv',
            id: 'planCsv',
            answers: [
                200 => 'its tasks with their days, as CSV',
                404 => 'the project has no plan',
            ],
        ),
    ]
    public function csv(Project $project): Response
    {
        return $this->file($project, fn (PlanFiles $files): string => $files->csv(), 'text/csv', 'plan.csv');
    }

    /** @param  \Closure(PlanFiles): string  $written */
    private function file(Project $project, \Closure $written, string $type, string $name): Response
    {
        $files = PlanFiles::of($this->stored->withoutRecord($project)) ?? abort(404, 'The project has no plan.');

        return new Response($written($files), 200, [
            'Content-Type' => "$type; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }
}

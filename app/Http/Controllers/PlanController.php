<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\PlanFiles;
use App\Project\StoredProject;
use App\Station\WeatherStation;
use Apron\Plan\Day;
use Apron\Plan\DayWeather;
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
            queries: ['start', 'hands'],
        ),
    ]
    public function proposed(Request $request, Project $project): JsonResponse
    {
        $asked = $request->validate(['start' => 'required|date_format:Y-m-d', 'hands' => 'integer|min:1|max:60']);
        $start = (string) $asked['start'];
        $core = $this->stored->withoutRecord($project);
        $built = BuildingSection::assess($core);
        $day = Day::of($start) ?? abort(422, 'a date, as 2027-04-01');
        $plan = $built === null
            ? new Plan($day, [1, 2, 3, 4, 5], [], [])
            : Proposed::of(
                $built->envelope,
                array_column($core->assemblies, null, 'id'),
                $day,
                array_column($core->details, null, 'id'),
                (int) ($asked['hands'] ?? 3),
            );

        return new JsonResponse(PlanFormat::write($plan));
    }

    /** Days ahead from the weather station there is: a simulated one, and marked so; not stored. */
    #[
        Api\Get(
            '/api/projects/{project}/plan/forecast',
            id: 'stationForecast',
            answers: [
                200 => ['a fortnight from a day on', 'Forecast'],
                422 => 'the project has no climate to make a forecast of',
            ],
            queries: ['start'],
        ),
    ]
    public function forecast(Request $request, Project $project, WeatherStation $station): JsonResponse
    {
        $start = (string) $request->validate(['start' => 'required|date_format:Y-m-d'])['start'];
        $day = Day::of($start) ?? abort(422, 'a date, as 2027-04-01');
        $months =
            $this->stored->part($project)->brief->climate->months
            ?? abort(422, 'The project has no climate yet; the station stands in one.');

        return new JsonResponse([
            'forecast' => array_map(
                fn (DayWeather $on): array => $on->toArray(),
                $station->forecast($day, 14, $months),
            ),
            'forecast_by' => $station->name(),
        ]);
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

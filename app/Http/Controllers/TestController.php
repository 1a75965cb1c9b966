<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\StoredProject;
use App\Station\Fan;
use App\Station\Gauge;
use App\Station\GaugeKind;
use Apron\Json\CoreData;
use Apron\Project\Section\BuildingSection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Tests in the field: what the fan that there is reads. */
class TestController
{
    /** Air changes an hour at 50 Pa that are made up for a building of which nobody knows anything. */
    private const UNKNOWN_CHANGES = 3.0;

    private const UNKNOWN_M3 = 500.0;

    public function __construct(private readonly StoredProject $stored)
    {
    }

    /** A run of the fan there is: a simulated one, and marked so; not stored. */
    #[
        Api\Get(
            '/api/projects/{project}/tests/run',
            id: 'fanRun',
            answers: [
                200 => ['readings, about what the joints of the building are thought to leak', 'FanRun'],
            ],
        ),
    ]
    public function run(Project $project, Fan $fan): JsonResponse
    {
        $built = BuildingSection::assess($this->stored->withoutRecord($project));
        // Estimated at 75 Pa, in L/s.
        $flow = $built === null
            ? self::UNKNOWN_CHANGES * self::UNKNOWN_M3
            : $built->leakage->total() * 3.6 * (50 / 75) ** 0.65;

        return new JsonResponse($fan->run(max(10.0, $flow)) + ['simulated' => $fan->isSimulated()]);
    }

    /** Readings of the gauge there is: a simulated one, and marked so; not stored. */
    #[
        Api\Get(
            '/api/projects/{project}/tests/read',
            id: 'gaugeRead',
            answers: [200 => ['so many readings', 'GaugeRead']],
            queries: ['gauge', 'count'],
        ),
    ]
    public function read(Request $request, Project $project, Gauge $gauge): JsonResponse
    {
        $given = $request->validate([
            'gauge' => ['required', Rule::enum(GaugeKind::class)],
            'count' => 'required|integer|min:1|max:200',
        ]);

        return new JsonResponse([
            'readings' => $gauge->read(GaugeKind::from($given['gauge']), (int) $given['count']),
            'instrument' => $gauge->name(),
            'simulated' => $gauge->isSimulated(),
        ]);
    }

    #[
        Api\Get(
            '/api/procedures',
            id: 'procedures',
            answers: [200 => ['how each kind of test is made, as cards', 'Procedure[]']],
        ),
    ]
    public function procedures(): JsonResponse
    {
        return new JsonResponse(CoreData::read('procedures')->get('procedures')->raw());
    }
}

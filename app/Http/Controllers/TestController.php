<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\StoredProject;
use App\Station\Fan;
use Apron\Project\Section\BuildingSection;
use Illuminate\Http\JsonResponse;

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
}

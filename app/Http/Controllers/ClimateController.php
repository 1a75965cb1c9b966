<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Climate\ClimateFile;
use Apron\Climate\ClimateFileRefused;
use Apron\Climate\ClimateFormat;
use Apron\Climate\GenericClimates;
use Apron\Climate\HourlyYear;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

class ClimateController
{
    #[
        Api\Get(
            '/api/climates',
            id: 'climates',
            answers: [200 => ['the made-up climates that ship with Apron', 'Climate[]']],
        ),
    ]
    public function index(GenericClimates $climates): JsonResponse
    {
        return new JsonResponse(array_map(ClimateFormat::writeClimate(...), $climates->all()));
    }

    /** A weather file or a table of months turned into a climate; nothing is stored. */
    #[
        Api\Post(
            '/api/projects/{project}/climate',
            id: 'readClimate',
            answers: [
                200 => ['the climate, and how it came about', 'ReadClimate'],
                422 => 'a damaged file: line and reason',
            ],
        ),
    ]
    public function read(Request $request, Project $project): JsonResponse
    {
        $request->validate(['file' => 'required|file|max:16384']);
        $file = $request->file('file');
        try {
            $read = ClimateFile::read(
                (string) file_get_contents($file->getRealPath()),
                $file->getClientOriginalName(),
            );
        } catch (ClimateFileRefused $refused) {
            return new JsonResponse(['message' => $refused->getMessage(), 'line' => $refused->atLine], 422);
        }

        return new JsonResponse($read->toArray());
    }

    #[
        Api\Get(
            '/api/projects/{project}/hours.csv',
            id: 'hours',
            answers: [
                200 => 'a year of hours made from the climate’s months',
                404 => 'the project has no climate',
            ],
            queries: ['seed'],
        ),
    ]
    public function hours(Request $request, Project $project, StoredProject $stored): Response
    {
        $seed = (int) ($request->validate(['seed' => 'nullable|integer|min:0|max:2147483647'])['seed'] ?? 1);
        $climate = $stored->part($project)->brief->climate ?? abort(404, 'This project has no climate yet.');

        return new Response(
            HourlyYear::synthesise($climate, $seed)->csv("made from its twelve months, seed $seed"),
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="hours.csv"',
            ],
        );
    }
}

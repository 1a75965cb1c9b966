<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Climate\ClimateFileRefused;
use Apron\Climate\ClimateFormat;
use Apron\Climate\EpwReader;
use Apron\Climate\GenericClimates;
use Apron\Climate\HourlyYear;
use Apron\Climate\MonthTable;
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
        $text = (string) file_get_contents($file->getRealPath());
        $epw =
            str_starts_with(strtoupper(ltrim($text)), 'LOCATION') ||
            str_ends_with(strtolower($file->getClientOriginalName()), '.epw');
        try {
            $hours = $epw ? EpwReader::read($text) : null;
            $climate =
                $hours?->climate() ??
                MonthTable::read(
                    mb_scrub($text),
                    mb_substr(pathinfo($file->getClientOriginalName(), PATHINFO_FILENAME), 0, 200) ?:
                    'months from a table',
                );
        } catch (ClimateFileRefused $refused) {
            return new JsonResponse(['message' => $refused->getMessage(), 'line' => $refused->atLine], 422);
        }
        $sides = ['north' => 0.0, 'east' => 90.0, 'south' => 180.0, 'west' => 270.0];

        return new JsonResponse([
            'climate' => ClimateFormat::writeClimate($climate),
            'hours' => $hours === null ? 0 : count($hours->hours),
            'driving_rain_mm' => $hours === null ? null : array_map($hours->drivingRain(...), $sides),
        ]);
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
        $name = trim((string) preg_replace('/[\x00-\x1f\x7f,"]+/', ' ', $climate->name));
        $lines = [
            "# made from the twelve months of $name, seed $seed; not a measured year",
            'hour,temperature_c,vapour_pressure_pa,rain_mm,wind_m_s,wind_from_deg,sun_w_m2',
        ];
        $cell = fn (?float $value, int $digits): string => $value === null ? '' : (string) round($value, $digits);
        foreach (HourlyYear::synthesise($climate, $seed)->hours as $i => $hour) {
            $lines[] = implode(',', [
                $i + 1,
                $cell($hour->celsius, 2),
                $cell($hour->vapourPressure, 1),
                $cell($hour->rain, 3),
                $cell($hour->wind, 2),
                $cell($hour->windFrom, 0),
                $cell($hour->sun, 1),
            ]);
        }

        return new Response(implode("\n", $lines)."\n", 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="hours.csv"',
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\Csv;
use App\Project\StoredProject;
use Apron\Project\Project as CoreProject;
use Apron\Project\Section\TakeoffSection;
use Apron\Takeoff\TakeoffAssessment;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is ordered for the building, taken out of the house. */
class TakeoffController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    #[
        Api\Get(
            '/api/projects/{project}/order.csv',
            id: 'orderCsv',
            queries: ['by'],
            answers: [
                200 => 'what is bought for the building, line by line, as CSV',
                404 => 'the project has no building',
            ],
        ),
    ]
    public function csv(Request $request, Project $project): Response
    {
        $core = $this->stored->withoutRecord($project);
        $assessed = TakeoffSection::assess($core) ?? abort(404, 'The project has no building.');
        $by = $request->validate(['by' => 'nullable|in:part'])['by'] ?? null;
        $csv = $by === 'part' ? self::byPart($core, $assessed) : self::inAll($core, $assessed);

        return new Response((string) $csv, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="order.csv"',
        ]);
    }

    private static function inAll(CoreProject $core, TakeoffAssessment $assessed): Csv
    {
        $csv = new Csv(['material', 'id', 'count', 'unit', 'each holds', 'net', 'gross', 'in', 'for']);
        foreach ($assessed->amounts as $amount) {
            $csv->row([
                $core->materials->find($amount->material)->name ?? $amount->material,
                $amount->material,
                $amount->count,
                $amount->unit,
                round($amount->holds, 4),
                round($amount->net, 3),
                round($amount->gross, 3),
                $amount->counted->unit(),
                implode(' ', $amount->from),
            ]);
        }

        return $csv;
    }

    /** What goes into each part, floor by floor. */
    private static function byPart(CoreProject $core, TakeoffAssessment $assessed): Csv
    {
        $csv = new Csv(['level mm', 'part', 'material', 'id', 'gross', 'in']);
        foreach ($assessed->floors() as $floor) {
            foreach ($floor['parts'] as $part) {
                foreach ($assessed->amounts as $amount) {
                    if (isset($amount->by[$part])) {
                        $csv->row([
                            $floor['level_mm'],
                            $assessed->envelope->parts[$part]->name(),
                            $core->materials->find($amount->material)->name ?? $amount->material,
                            $amount->material,
                            round($amount->by[$part], 3),
                            $amount->counted->unit(),
                        ]);
                    }
                }
            }
        }

        return $csv;
    }
}

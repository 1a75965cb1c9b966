<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\Csv;
use App\Project\StoredProject;
use Apron\Project\Section\TakeoffSection;
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
            answers: [
                200 => 'what is bought for the building, line by line, as CSV',
                404 => 'the project has no building',
            ],
        ),
    ]
    public function csv(Project $project): Response
    {
        $core = $this->stored->withoutRecord($project);
        $assessed = TakeoffSection::assess($core) ?? abort(404, 'The project has no building.');
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

        return new Response((string) $csv, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="order.csv"',
        ]);
    }
}

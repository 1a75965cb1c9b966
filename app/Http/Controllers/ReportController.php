<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Jobs\PrintReport;
use App\Models\Photograph;
use App\Models\Project;
use App\Models\Report;
use App\Models\ReportState;
use App\Project\ReportSheet;
use Apron\Project\Section\DetailsSection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Storage;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

class ReportController
{
    #[Api\Get('/api/projects/{project}/reports', id: 'reports', answers: [200 => ['newest first', 'Report[]']])]
    public function index(Project $project): JsonResponse
    {
        return new JsonResponse(
            $project->reports()->limit(20)->get()->map(fn (Report $report): array => $report->toShape()),
        );
    }

    #[Api\Post('/api/projects/{project}/reports', id: 'printReport', answers: [202 => ['on the queue', 'Report']])]
    public function store(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['cards' => 'nullable|string|max:80', 'paper' => 'nullable|in:letter,a4']);
        $cards = $given['cards'] ?? null;
        abort_if(
            $cards !== null &&
                ! $project
                    ->documents()
                    ->whereIn('kind', (new DetailsSection)->sharing())
                    ->where('key', $cards)
                    ->exists(),
            422,
            "No detail “{$cards}” in this project.",
        );
        $report = $project->reports()->create([
            'cards' => $cards,
            'paper' => $given['paper'] ?? 'letter',
            'by' => Person::of($request)->name,
            'user_id' => Person::of($request)->id,
            'state' => ReportState::Queued,
            'percent' => 0,
            'doing' => 'waiting for the printer',
        ]);
        PrintReport::dispatch($report->id);

        return new JsonResponse($report->toShape(), 202);
    }

    #[
        Api\Post(
            '/api/reports/{report}/cancel',
            id: 'cancelReport',
            answers: [
                200 => ['cancelled, where it was not done yet', 'Report'],
            ],
        ),
    ]
    public function cancel(Report $report): JsonResponse
    {
        Report::whereKey($report->id)
            ->whereIn('state', ReportState::unfinished())
            ->update(['state' => ReportState::Cancelled, 'doing' => 'cancelled']);

        return new JsonResponse($report->refresh()->toShape());
    }

    #[Api\Get('/api/reports/{report}', id: 'report', answers: [200 => ['how far it has come', 'Report']])]
    public function show(Report $report): JsonResponse
    {
        return new JsonResponse($report->toShape());
    }

    #[Api\Get('/api/reports/{report}/file', id: 'reportFile', answers: [200 => 'PDF'])]
    public function file(Report $report): StreamedResponse
    {
        abort_if($report->path === null, 404, 'This report has not been printed.');

        return Storage::download(
            $report->path,
            $report->cards === null
                ? 'report.pdf'
                : 'step-cards-'.preg_replace('/[^A-Za-z0-9._-]+/', '-', $report->cards).'.pdf',
            ['Content-Type' => 'application/pdf'],
        );
    }

    /** A photograph of the pages, by an address that was signed for them. */
    public function photograph(Report $report, string $digest): Response
    {
        $photograph = Photograph::where(['project_id' => $report->project_id, 'sha256' => $digest])->firstOrFail();

        return new Response((string) Storage::get($photograph->path()), 200, ['Content-Type' => 'image/jpeg']);
    }

    /** The pages as the printer opens them; the address is signed and short-lived, for the printer has no session. */
    public function pages(Report $report, ReportSheet $sheet): View
    {
        return view('print', ['sheet' => $sheet->of($report)]);
    }
}

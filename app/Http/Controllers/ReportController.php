<?php

namespace App\Http\Controllers;

use App\Jobs\PrintReport;
use App\Models\DocumentKind;
use App\Models\Photograph;
use App\Models\Project;
use App\Models\Report;
use App\Project\ReportSheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Storage;
use Illuminate\View\View;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

class ReportController
{
    #[OA\Get(path: '/api/projects/{project}/reports', operationId: 'reports', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'newest first')])]
    public function index(Project $project): JsonResponse
    {
        return new JsonResponse($project->reports()->limit(20)->get()->map(fn (Report $report): array => $report->toShape()));
    }

    #[OA\Post(path: '/api/projects/{project}/reports', operationId: 'printReport', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 202, description: 'on the queue')])]
    public function store(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['cards' => 'nullable|string|max:80']);
        $cards = $given['cards'] ?? null;
        abort_if($cards !== null && ! $project->documents()->whereIn('kind', DocumentKind::Detail->sharing())->where('key', $cards)->exists(), 422, "No detail “{$cards}” in this project.");
        $report = $project->reports()->create(['cards' => $cards, 'by' => $request->user()->name, 'user_id' => $request->user()->id, 'state' => 'queued', 'percent' => 0, 'doing' => 'waiting for the printer']);
        PrintReport::dispatch($report->id);

        return new JsonResponse($report->toShape(), 202);
    }

    #[OA\Post(path: '/api/reports/{report}/cancel', operationId: 'cancelReport', parameters: [new OA\PathParameter(name: 'report', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'cancelled, where it was not done yet')])]
    public function cancel(Report $report): JsonResponse
    {
        Report::whereKey($report->id)->whereIn('state', ['queued', 'printing'])->update(['state' => 'cancelled', 'doing' => 'cancelled']);

        return new JsonResponse($report->fresh()->toShape());
    }

    #[OA\Get(path: '/api/reports/{report}', operationId: 'report', parameters: [new OA\PathParameter(name: 'report', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'how far it has come')])]
    public function show(Report $report): JsonResponse
    {
        return new JsonResponse($report->toShape());
    }

    #[OA\Get(path: '/api/reports/{report}/file', operationId: 'reportFile', parameters: [new OA\PathParameter(name: 'report', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'PDF')])]
    public function file(Report $report): StreamedResponse
    {
        abort_if($report->path === null, 404, 'This report has not been printed.');

        return Storage::download($report->path, $report->cards === null ? 'report.pdf' : 'step-cards-'.preg_replace('/[^A-Za-z0-9._-]+/', '-', $report->cards).'.pdf', ['Content-Type' => 'application/pdf']);
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

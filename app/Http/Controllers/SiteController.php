<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Body;
use App\Http\Person;
use App\Http\Wording;
use App\Models\Photograph;
use App\Models\Project;
use App\Project\Csv;
use App\Project\FaultExchange;
use App\Project\KeptAssessment;
use App\Project\PhotographIntake;
use App\Project\ProjectStore;
use App\Project\SiteAsked;
use App\Project\SiteEvents;
use App\Project\StoredProject;
use Apron\Inspection\SiteRecord;
use Apron\Inspection\SiteSheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class SiteController
{
    #[
        Api\Get(
            '/api/projects/{project}/site',
            id: 'site',
            answers: [
                200 => ['visits, checks with their readings, faults', 'SiteSheet'],
            ],
            queries: ['units'],
        ),
    ]
    public function show(
        Request $request,
        Project $project,
        KeptAssessment $kept,
        StoredProject $stored,
    ): JsonResponse {
        $units = Wording::units($request) ?? $stored->part($project)->brief->units;

        $record = new SiteRecord(SiteEvents::of($project));

        return new JsonResponse(
            SiteSheet::of($kept->checks($project, $units), $record, $stored->faultLines($project, $record)) +
                ['substitutions' => $kept->instead($project, $units, $record->events)],
        );
    }

    #[
        Api\Post(
            '/api/projects/{project}/site/events',
            id: 'addSiteEvents',
            answers: [
                200 => ['how many were new; those known are passed over', 'EventsTaken'],
                422 => 'cannot be used',
            ],
        ),
    ]
    public function add(Request $request, Project $project, ProjectStore $store, StoredProject $stored): JsonResponse
    {
        $given = $request->validate(['as' => 'nullable|string|max:40']);
        // What one person saw is not signed by whoever signs in next on that phone.
        abort_if(
            isset($given['as']) && $given['as'] !== Person::of($request)->id,
            403,
            'Somebody else is signed in now. What you saw waits on this phone until you sign in again.',
        );
        $events = Body::content($request, 'events')->items(1, 200);

        return new JsonResponse([
            'new' => $store->addEvents($project, $events, Person::of($request), new SiteAsked($project, $stored)),
        ]);
    }

    #[
        Api\Post(
            '/api/projects/{project}/photographs',
            id: 'addPhotograph',
            answers: [
                201 => ['its digest', 'TakenPhotograph'],
                422 => 'no picture, or too large',
            ],
        ),
    ]
    public function addPhotograph(Request $request, Project $project, PhotographIntake $intake): JsonResponse
    {
        $request->validate(['photograph' => 'required|file']);
        $photograph = $intake->take(
            $project,
            (string) $request->file('photograph')->getContent(),
            Person::of($request),
        );

        return new JsonResponse(
            ['sha256' => $photograph->sha256, 'width' => $photograph->width, 'height' => $photograph->height],
            201,
        );
    }

    #[Api\Get('/api/projects/{project}/photographs/{digest}', id: 'photograph', answers: [200 => 'JPEG'])]
    public function photograph(Project $project, string $digest): Response
    {
        $photograph = Photograph::where(['project_id' => $project->id, 'sha256' => $digest])->firstOrFail();

        return new Response((string) Storage::get($photograph->path()), 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }

    #[
        Api\Get(
            '/api/projects/{project}/faults.bcf',
            id: 'faultsOut',
            answers: [200 => 'faults with their photographs as BCF 2.1'],
        ),
    ]
    public function faultsOut(Project $project, FaultExchange $exchange): BinaryFileResponse
    {
        return (new BinaryFileResponse($exchange->export($project), 200, ['Content-Type' => 'application/zip'], false))
            ->setContentDisposition('attachment', 'faults.bcf')
            ->deleteFileAfterSend();
    }

    #[
        Api\Post(
            '/api/projects/{project}/faults.bcf',
            id: 'faultsIn',
            answers: [
                200 => ['what came in, what was here already', 'FaultsTaken'],
                422 => 'no BCF file',
            ],
        ),
    ]
    public function faultsIn(Request $request, Project $project, FaultExchange $exchange): JsonResponse
    {
        $request->validate(['file' => 'required|file|max:65536']);

        return new JsonResponse(
            $exchange->import($project, $request->file('file')->getRealPath(), Person::of($request)),
        );
    }

    #[
        Api\Get(
            '/api/projects/{project}/readings.csv',
            id: 'readingsCsv',
            answers: [200 => 'every reading that stands, with what was asked, as CSV'],
        ),
    ]
    public function readings(Project $project, KeptAssessment $kept, StoredProject $stored): Response
    {
        $units = $stored->part($project)->brief->units;
        $sheet = SiteSheet::of($kept->checks($project, $units), new SiteRecord(SiteEvents::of($project)));
        $csv = new Csv([
            'check', 'of', 'title', 'at', 'by', 'value mm', 'as typed', 'as it should be', 'instrument', 'least mm',
            'most mm', 'verdict',
        ]);
        foreach ($sheet['checks'] as $check) {
            foreach ($check['readings'] as $reading) {
                $csv->row([
                    $check['id'],
                    $check['detail_title'],
                    $check['title'],
                    $reading['at'],
                    $reading['by'],
                    $reading['value_mm'] ?? '',
                    $reading['typed'] ?? '',
                    isset($reading['holds']) ? ($reading['holds'] ? 'yes' : 'no') : '',
                    $reading['instrument'] ?? '',
                    $check['least_mm'] ?? '',
                    $check['most_mm'] ?? '',
                    $reading['severity_of'],
                ]);
            }
        }

        return new Response((string) $csv, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="readings.csv"',
        ]);
    }
}

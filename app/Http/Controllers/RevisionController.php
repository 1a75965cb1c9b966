<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Jobs\PrintReport;
use App\Models\IssuedRevision;
use App\Models\Project;
use App\Models\Report;
use App\Models\ReportState;
use App\Project\Issuing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What has been issued: kept for good, read by everybody of the project, compared. */
class RevisionController
{
    public function __construct(private readonly Issuing $issuing)
    {
    }

    #[
        Api\Get(
            '/api/projects/{project}/revisions',
            id: 'revisionsIssued',
            answers: [200 => ['newest first, with the reports printed of them', 'IssuedList']],
        ),
    ]
    public function index(Project $project): JsonResponse
    {
        $reports = Report::where('project_id', $project->id)
            ->whereNotNull('issued_revision_id')
            ->latest('id')
            ->get()
            ->groupBy('issued_revision_id');

        return new JsonResponse([
            'project' => ['id' => $project->id, 'name' => $project->name],
            'revisions' => IssuedRevision::where('project_id', $project->id)
                ->orderByDesc('number')
                ->get(IssuedRevision::SHORT)
                ->map(
                    fn (IssuedRevision $revision): array => $revision->toShape() + [
                        'reports' => ($reports[$revision->id] ?? collect())
                            ->map(fn (Report $report): array => $report->toShape())
                            ->values(),
                    ],
                ),
        ]);
    }

    #[
        Api\Post(
            '/api/projects/{project}/revisions',
            id: 'issueRevision',
            answers: [
                201 => ['issued; its report is on the queue', 'IssuedRevision'],
                422 => 'no title, or a document that cannot be read',
            ],
        ),
    ]
    public function store(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate([
            'title' => ['required', 'string', 'max:100', 'regex:/\S/u'],
            'words' => 'present|nullable|string|max:4000',
            'paper' => 'nullable|in:letter,a4',
        ]);
        try {
            $revision = $this->issuing->issue(
                $project,
                Person::of($request),
                trim($given['title']),
                trim($given['words'] ?? ''),
            );
        } catch (\DomainException $why) {
            abort(422, $why->getMessage());
        }
        $report = $project->reports()->create([
            'issued_revision_id' => $revision->id,
            'paper' => $given['paper'] ?? 'letter',
            'by' => $revision->by,
            'user_id' => Person::of($request)->id,
            'state' => ReportState::Queued,
            'percent' => 0,
            'doing' => 'waiting for the printer',
        ]);
        PrintReport::dispatch($report->id);

        return new JsonResponse($revision->toShape() + ['reports' => [$report->toShape()]], 201);
    }

    #[
        Api\Get(
            '/api/revisions/{revision}',
            id: 'revisionIssued',
            answers: [200 => ['a revision with the findings as they stood', 'IssuedWithFindings']],
        ),
    ]
    public function show(IssuedRevision $revision): JsonResponse
    {
        return new JsonResponse($revision->toShape() + ['reports' => [], 'findings' => $revision->toFindings()]);
    }

    #[Api\Get('/api/revisions/{revision}/file', id: 'revisionFile', answers: [200 => ['as issued', 'ProjectFile']])]
    public function file(IssuedRevision $revision): Response
    {
        return new Response($revision->file, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"revision-{$revision->number}.json\"",
        ]);
    }

    #[
        Api\Get(
            '/api/revisions/{revision}/compared',
            id: 'revisionsCompared',
            answers: [
                200 => ['what is another in a later revision, or in the project as it stands', 'ComparedRevisions'],
                403 => 'the project as it stands is not for who reads what is issued',
                404 => 'no such revision of the same project',
            ],
            queries: ['with'],
        ),
    ]
    public function compared(Request $request, IssuedRevision $revision): JsonResponse
    {
        $given = $request->validate(['with' => 'nullable|string|max:40']);
        $with = $given['with'] ?? null;
        $to = $with === null
            ? null
            : IssuedRevision::where('project_id', $revision->project_id)->whereKey($with)->firstOrFail();
        abort_if($to === null && ! Person::of($request)->can('view', $revision->project), 403);

        return new JsonResponse($this->issuing->compared($revision, $to)->toArray());
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Body;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Contact\AskedFormat;
use Apron\Project\ContactSheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What touches in a project, and a pair that somebody asks about. */
class ContactController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    #[
        Api\Get(
            '/api/projects/{project}/contacts',
            id: 'contacts',
            answers: [
                200 => ['every pair that touches, worst first', 'ContactSheet'],
            ],
            queries: ['month'],
        ),
    ]
    public function show(Request $request, Project $project): JsonResponse
    {
        $month = $request->validate(['month' => 'nullable|integer|between:1,12'])['month'] ?? null;

        return new JsonResponse(
            ContactSheet::of($this->stored->withoutRecord($project), $month === null ? null : (int) $month),
        );
    }

    /** A pair judged before anything is drawn; not stored. */
    #[
        Api\Post(
            '/api/projects/{project}/contacts/ask',
            id: 'askPair',
            answers: [
                200 => ['what comes of the pair, and what clears it', 'PairAnswer'],
                422 => 'no such material, or no such way of touching',
            ],
        ),
    ]
    public function ask(Request $request, Project $project): JsonResponse
    {
        $core = $this->stored->part($project);
        $asked = AskedFormat::read(Body::content($request), $core->materials);

        return new JsonResponse(ContactSheet::answer($asked, $core->materials));
    }

    #[
        Api\Get(
            '/api/projects/{project}/contacts.csv',
            id: 'contactsCsv',
            answers: [
                200 => 'the compatibility schedule as CSV',
            ],
        ),
    ]
    public function csv(Project $project): Response
    {
        return new Response(ContactSheet::csv($this->stored->withoutRecord($project)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="contacts.csv"',
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Models\Project;
use App\Project\History;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

class HistoryController
{
    #[
        Api\Get(
            '/api/projects/{project}/history',
            id: 'history',
            answers: [200 => ['what was done in the project and by whom, newest first', 'Done[]']],
            queries: ['before'],
        ),
    ]
    public function index(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['before' => 'nullable|date']);
        $before = isset($given['before']) ? Carbon::parse($given['before'])->utc()->format('Y-m-d H:i:s') : null;

        return new JsonResponse(History::of($project, $before));
    }
}

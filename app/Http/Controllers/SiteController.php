<?php

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\Photograph;
use App\Models\Project;
use App\Project\KeptAssessment;
use App\Project\PhotographIntake;
use App\Project\ProjectStore;
use App\Project\SiteAsked;
use App\Project\SiteEvents;
use App\Project\SiteSheet;
use App\Project\StoredProject;
use Apron\Quantity\UnitSystem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Storage;
use OpenApi\Attributes as OA;

class SiteController
{
    #[OA\Get(path: '/api/projects/{project}/site', operationId: 'site', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['si', 'us']))], responses: [new OA\Response(response: 200, description: 'visits, checks with their readings, faults', content: new OA\JsonContent(ref: '#/components/schemas/SiteSheet'))])]
    public function show(Request $request, Project $project, KeptAssessment $kept, StoredProject $stored): JsonResponse
    {
        $given = $request->validate(['units' => 'nullable|in:si,us']);
        $units = isset($given['units']) ? UnitSystem::from($given['units']) : $stored->part($project)->units;

        return new JsonResponse(SiteSheet::of($kept->checks($project, $units), SiteEvents::of($project)));
    }

    #[OA\Post(path: '/api/projects/{project}/site/events', operationId: 'addSiteEvents', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'how many were new; those known are passed over'), new OA\Response(response: 422, description: 'cannot be used')])]
    public function add(Request $request, Project $project, ProjectStore $store, StoredProject $stored): JsonResponse
    {
        $given = $request->validate(['as' => 'nullable|string|max:40']);
        // What one person saw is not signed by whoever signs in next on that phone.
        abort_if(isset($given['as']) && $given['as'] !== $request->user()->id, 403, 'Somebody else is signed in now. What you saw waits on this phone until you sign in again.');
        $events = Body::content($request, 'events')->items(1, 200);

        return new JsonResponse(['new' => $store->addEvents($project, $events, $request->user(), new SiteAsked($project, $stored))]);
    }

    #[OA\Post(path: '/api/projects/{project}/photographs', operationId: 'addPhotograph', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 201, description: 'its digest'), new OA\Response(response: 422, description: 'no picture, or too large')])]
    public function addPhotograph(Request $request, Project $project, PhotographIntake $intake): JsonResponse
    {
        $request->validate(['photograph' => 'required|file']);
        $photograph = $intake->take($project, (string) $request->file('photograph')->getContent(), $request->user());

        return new JsonResponse(['sha256' => $photograph->sha256, 'width' => $photograph->width, 'height' => $photograph->height], 201);
    }

    #[OA\Get(path: '/api/projects/{project}/photographs/{digest}', operationId: 'photograph', parameters: [new OA\PathParameter(name: 'project', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'digest', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'JPEG')])]
    public function photograph(Project $project, string $digest): Response
    {
        $photograph = Photograph::where(['project_id' => $project->id, 'sha256' => $digest])->firstOrFail();

        return new Response((string) Storage::get($photograph->path()), 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable']);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Models\Project;
use App\Project\KeptAssessment;
use App\Project\ProjectStore;
use Apron\Acceptance\Acceptance;
use Apron\Acceptance\AcceptanceFormat;
use Apron\Json\Node;
use Apron\Project\Section\AcceptancesSection;
use Apron\Quantity\UnitSystem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class AcceptanceController
{
    /** A finding taken on, as it stands now, in the name of whoever is signed in; again, with another reason. */
    #[
        Api\Post(
            '/api/projects/{project}/acceptances',
            id: 'acceptFinding',
            answers: [
                200 => ['as saved', 'Document'],
                404 => 'the project has no such finding',
                409 => ['accepted by somebody else in the same moment', 'Conflict'],
                422 => 'nothing to be accepted, or no reason',
            ],
        ),
    ]
    public function store(
        Request $request,
        Project $project,
        KeptAssessment $kept,
        ProjectStore $store,
    ): JsonResponse {
        $given = $request->validate([
            'key' => 'required|string|max:500',
            'reason' => ['required', 'string', 'max:2000', 'regex:/\S/u'],
        ]);
        $finding = self::finding($kept, $project, $given['key']) ?? abort(404, 'This finding is gone.');
        $severity = (string) $finding->severity;
        abort_unless(
            in_array($severity, ['fail', 'caution'], true),
            422,
            'Only a fail or a caution is accepted: this asks for nothing.',
        );
        $by = Person::of($request);
        $acceptance = new Acceptance(
            $given['key'],
            trim($given['reason']),
            $by->name,
            now()->utc()->format('Y-m-d\TH:i:s\Z'),
            Acceptance::stamp($severity, (array) $finding->figures),
        );
        $section = new AcceptancesSection;
        $there = $project->documents()->where(['kind' => $section->kind(), 'key' => $acceptance->id])->first();
        $document = $store->save(
            $project,
            $section,
            $acceptance->id,
            (int) $there?->revision,
            Node::of(AcceptanceFormat::write($acceptance)),
            $by,
        );

        return new JsonResponse($document->toShape());
    }

    private static function finding(KeptAssessment $kept, Project $project, string $key): ?\stdClass
    {
        $told = json_decode($kept->of($project, UnitSystem::SI), false, 512, JSON_THROW_ON_ERROR);
        foreach ($told->findings as $finding) {
            if ($finding->key === $key) {
                return $finding;
            }
        }

        return null;
    }
}

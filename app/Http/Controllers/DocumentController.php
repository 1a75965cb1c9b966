<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Body;
use App\Http\Person;
use App\Http\Wording;
use App\Models\Document;
use App\Models\DocumentRevision;
use App\Models\Project;
use App\Project\ProjectStore;
use App\Project\StoredProject;
use Apron\Acceptance\Acceptance;
use Apron\Project\Assessment;
use Apron\Project\DocumentSection;
use Apron\Project\ListSection;
use Apron\Project\Section\AcceptancesSection;
use Apron\Project\Section\BriefSection;
use Apron\Project\Section\BuildingSection;
use Apron\Rules\Finding;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

class DocumentController
{
    public function __construct(private readonly ProjectStore $store, private readonly StoredProject $stored)
    {
    }

    /** @param  DocumentSection<mixed>  $kind */
    #[
        Api\Put(
            '/api/projects/{project}/documents/{kind}/{key}',
            id: 'saveDocument',
            answers: [
                200 => ['as saved', 'Document'],
                409 => ['saved by somebody else in the meantime; both sides', 'Conflict'],
                422 => 'cannot be used',
            ],
        ),
    ]
    public function save(Request $request, Project $project, DocumentSection $kind, string $key): JsonResponse
    {
        $forged = $kind instanceof AcceptancesSection;
        abort_if($forged, 422, 'A finding is accepted where it is told, in one’s own name.');
        $given = $request->validate(['revision' => 'required|integer|min:0', 'save' => 'nullable|string|max:40']);
        $document = $this->store->save(
            $project,
            $kind,
            $key,
            (int) $given['revision'],
            Body::content($request),
            Person::of($request),
            $given['save'] ?? null,
        );

        return new JsonResponse($document->toShape());
    }

    /** @param  DocumentSection<mixed>  $kind */
    #[
        Api\Delete(
            '/api/projects/{project}/documents/{kind}/{key}',
            id: 'removeDocument',
            answers: [
                204 => 'removed, and to be brought back by saving over it',
                409 => ['saved by somebody else in the meantime', 'Conflict'],
                422 => 'something else stands on it',
            ],
        ),
    ]
    public function remove(Request $request, Project $project, DocumentSection $kind, string $key): JsonResponse
    {
        abort_if($kind instanceof BriefSection, 422, 'A project keeps its brief.');
        $given = $request->validate(['revision' => 'required|integer|min:1']);
        $this->store->remove($project, $kind, $key, (int) $given['revision'], Person::of($request));

        return new JsonResponse(null, 204);
    }

    /** @param  DocumentSection<mixed>  $kind */
    #[
        Api\Get(
            '/api/projects/{project}/documents/{kind}/{key}/revisions',
            id: 'revisions',
            answers: [
                200 => ['everything it has been, newest first; without content where it was removed', 'Revision[]'],
            ],
        ),
    ]
    public function revisions(Project $project, DocumentSection $kind, string $key): JsonResponse
    {
        return new JsonResponse(
            array_map(
                fn (DocumentRevision $r): array => $r->toShape(),
                $this->store->revisions($project, $kind, $key),
            ),
        );
    }

    #[
        Api\Get(
            '/api/projects/{project}/removed',
            id: 'removed',
            answers: [
                200 => ['what was taken out, the last first', 'RemovedDocument[]'],
            ],
        ),
    ]
    public function removed(Project $project): JsonResponse
    {
        $removed = Document::where('project_id', $project->id)
            ->whereNotNull('removed_at')
            ->orderByDesc('removed_at')
            ->orderBy('key')
            ->limit(200)
            ->get();
        $by = DocumentRevision::whereIn('document_id', $removed->modelKeys())
            ->whereNull('content')
            ->orderBy('number')
            ->pluck('by', 'document_id');

        return new JsonResponse(
            $removed->map(
                fn (Document $d): array => [
                    'kind' => $d->kind,
                    'key' => $d->key,
                    'revision' => $d->revision,
                    'name' => (string) ($d->decoded()->title ?? ($d->decoded()->name ?? $d->key)),
                    'by' => (string) ($by[$d->id] ?? ''),
                    'at' => (string) $d->removed_at?->toIso8601ZuluString(),
                ],
            ),
        );
    }

    /** A draft, assessed in its project and not stored: the answer to every key typed on a drawing. */
    #[
        Api\Post(
            '/api/projects/{project}/assess',
            id: 'assessDraft',
            answers: [
                200 => ['figures and findings of the draft', 'Assessment'],
                422 => 'cannot be used',
            ],
        ),
    ]
    public function assess(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate(['kind' => ['required', Rule::in($this->drafted())]]);
        $section = $this->stored->sections->ofKind($given['kind']) ?? throw new \LogicException($given['kind']);
        $core = $this->stored->draft($project, $section, Body::content($request));
        $words = Wording::of($request, $core->brief);
        // Of a building nothing else of the project is asked, and much of it would be reckoned again.
        $alone = $section instanceof BuildingSection ? $section->told($core, $section->kind(), $words) : null;
        $told = $alone === null
            ? (new Assessment($core))->toArray($words)
            : ['format' => Assessment::FORMAT, ...$alone->figures, 'findings' => array_map(
                fn (Finding $finding): array => Assessment::shape($finding, $words),
                $alone->findings,
            )];
        /** @var list<array<string, mixed>> $findings */
        $findings = $told['findings'];
        $told['findings'] = Acceptance::mark($findings, $this->stored->acceptances($project));

        return JsonResponse::fromJsonString(json_encode($told, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    /** @return list<string> kinds that are assessed as they are typed; a detail has its own sheet */
    private function drafted(): array
    {
        $short = array_filter(
            $this->stored->sections->documents(),
            fn (DocumentSection $s): bool => ! ($s instanceof ListSection) || $s->figuresAreShort(),
        );

        return array_values(array_map(fn (DocumentSection $s): string => $s->kind(), $short));
    }
}

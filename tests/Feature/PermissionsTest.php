<?php

declare(strict_types=1);

use App\Models\Membership;
use App\Models\Organisation;
use App\Models\Project;
use App\Models\Report;
use App\Models\Role;
use App\Models\User;
use App\Project\Issuing;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

// Every route of the API: what it takes to be let in, and what is answered then to a request that says nothing. What
// each kind of person may do stands in MAY; every route is tried by each of them.
const ROUTES = [
    'POST api/sign-in' => ['anybody', 422],
    'POST api/sign-out' => ['signed in', 204],
    'GET api/me' => ['signed in', 200],
    'GET api/climates' => ['signed in', 200],
    'GET api/examples' => ['signed in', 200],
    'GET api/schools' => ['signed in', 200],
    'GET api/generators' => ['signed in', 200],
    'GET api/projects' => ['signed in', 200],
    'POST api/projects' => ['create', 422],
    'POST api/projects/import' => ['create', 422],
    'GET api/projects/{project}' => ['view', 200],
    'GET api/projects/{project}/assessment' => ['view', 200],
    'GET api/projects/{project}/materials' => ['view', 200],
    'GET api/projects/{project}/export.json' => ['view', 200],
    'GET api/projects/{project}/export.zip' => ['view', 200],
    'POST api/projects/{project}/assess' => ['view', 422],
    'POST api/projects/{project}/cures' => ['view', 422],
    'POST api/projects/{project}/sweep' => ['view', 422],
    'POST api/projects/{project}/climate' => ['view', 422],
    'GET api/projects/{project}/hours.csv' => ['view', 200],
    'POST api/projects/{project}/sheet' => ['view', 422],
    'POST api/projects/{project}/generate' => ['view', 422],
    'GET api/projects/{project}/sequences/{key}' => ['view', 200],
    'POST api/projects/{project}/joinery' => ['view', 422],
    'GET api/projects/{project}/sequences/{key}/drill' => ['view', 200],
    'POST api/projects/{project}/sequences/{key}/drill' => ['view', 422],
    'GET api/projects/{project}/materials/{material}/laid' => ['view', 200],
    'GET api/projects/{project}/contacts' => ['view', 200],
    'GET api/projects/{project}/contacts.csv' => ['view', 200],
    'GET api/projects/{project}/plan/proposed' => ['view', 422],
    'GET api/projects/{project}/plan/forecast' => ['view', 422],
    'GET api/procedures' => ['signed in', 200],
    'GET api/projects/{project}/tests/read' => ['view', 422],
    'GET api/projects/{project}/tests/run' => ['view', 200],
    'GET api/projects/{project}/runs' => ['view', 200],
    'GET api/projects/{project}/runs/{key}' => ['view', 404],
    'GET api/projects/{project}/runs/{key}/cures' => ['view', 404],
    'GET api/projects/{project}/plane-sections/{key}' => ['view', 404],
    'POST api/projects/{project}/joints' => ['view', 422],
    'POST api/projects/{project}/runs/{key}/start' => ['edit', 404],
    'POST api/projects/{project}/runs/{key}/cancel' => ['edit', 404],
    'POST api/projects/{project}/runs/{key}/cures' => ['edit', 404],
    'GET api/projects/{project}/plan.ics' => ['view', 200],
    'GET api/projects/{project}/plan.csv' => ['view', 200],
    'GET api/projects/{project}/order.csv' => ['view', 200],
    'POST api/projects/{project}/film' => ['view', 422],
    'POST api/projects/{project}/contacts/ask' => ['view', 422],
    'GET api/projects/{project}/others' => ['view', 200],
    'GET api/projects/{project}/drills' => ['view', 200],
    'GET api/projects/{project}/faults.bcf' => ['view', 200],
    'POST api/projects/{project}/faults.bcf' => ['inspect', 422],
    'GET api/projects/{project}/readings.csv' => ['view', 200],
    'GET api/projects/{project}/site' => ['view', 200],
    'GET api/projects/{project}/photographs/{digest}' => ['view', 404],
    'GET api/projects/{project}/removed' => ['view', 200],
    'GET api/projects/{project}/documents/{kind}/{key}/revisions' => ['view', 200],
    'GET api/projects/{project}/reports' => ['view', 200],
    'POST api/projects/{project}/reports' => ['view', 202],
    'POST api/projects/{project}/site/events' => ['inspect', 422],
    'POST api/projects/{project}/photographs' => ['inspect', 422],
    'POST api/projects/{project}/acceptances' => ['edit', 422],
    'PUT api/projects/{project}/documents/{kind}/{key}' => ['edit', 422],
    'DELETE api/projects/{project}/documents/{kind}/{key}' => ['edit', 204],
    'GET api/reports/{report}' => ['view', 200],
    'GET api/reports/{report}/file' => ['view', 404],
    'POST api/reports/{report}/cancel' => ['edit', 200],
    'POST api/password/lost' => ['anybody', 422],
    'POST api/password' => ['anybody', 422],
    'PUT api/me/password' => ['signed in', 422],
    'POST api/sign-out-everywhere' => ['signed in', 204],
    'GET api/people' => ['invite', 200],
    'POST api/people' => ['invite', 422],
    'PUT api/people/{user}' => ['change people', 200],
    'POST api/people/{user}/invitation' => ['change people', 422],
    'GET api/projects/{project}/revisions' => ['read', 200],
    'GET api/projects/{project}/people' => ['people', 200],
    'PUT api/projects/{project}/people/{user}' => ['people', 422],
    'GET api/projects/{project}/history' => ['view', 200],
    'POST api/projects/{project}/revisions' => ['edit', 422],
    'GET api/revisions/{revision}' => ['read', 200],
    'GET api/revisions/{revision}/file' => ['read', 200],
    'GET api/revisions/{revision}/compared' => ['view', 200],
];

// Own projects, those of another practice, and those that somebody of another house was asked into.
const MAY = [
    'nobody signed in' => ['anybody'],
    'a reader' => ['anybody', 'signed in', 'read'],
    'a crew lead' => ['anybody', 'signed in', 'read', 'view'],
    'an inspector' => ['anybody', 'signed in', 'read', 'view', 'inspect'],
    'a consultant' => ['anybody', 'signed in', 'read', 'view', 'inspect', 'edit', 'people', 'create'],
    'an inspector who invites' => ['anybody', 'signed in', 'read', 'view', 'inspect', 'people'] +
        [6 => 'invite', 7 => 'change people'],
    'a consultant who inspects in this project' => ['anybody', 'signed in', 'read', 'view', 'inspect', 'create'],
    'a guest asked in to read' => ['anybody', 'signed in', 'read'],
    'a guest asked into nothing' => ['anybody', 'signed in'],
    'a consultant of another practice' => ['anybody', 'signed in', 'create'],
    'who invites in another practice' => ['anybody', 'signed in', 'create', 'invite'],
    'somebody who has left' => ['anybody'],
];

/** @return User|null one of the people above */
function somebody(string $who, Project $project): ?User
{
    $practice = Organisation::findOrFail($project->organisation_id);
    $asked = function (User $user, Role $role) use ($project): User {
        Membership::create(['project_id' => $project->id, 'user_id' => $user->id, 'role' => $role]);

        return $user;
    };
    $with = function (User $user, array $more): User {
        $user->update($more);

        return $user;
    };

    return match ($who) {
        'nobody signed in' => null,
        'a reader' => person(Role::Reader, $practice),
        'a crew lead' => person(Role::CrewLead, $practice),
        'an inspector' => person(Role::Inspector, $practice),
        'a consultant' => person(Role::Consultant, $practice),
        'an inspector who invites' => $with(person(Role::Inspector, $practice), ['admin' => true]),
        'a consultant who inspects in this project' => $asked(person(Role::Consultant, $practice), Role::Inspector),
        'a guest asked in to read' => $asked($with(person(Role::Reader, $practice), ['guest' => true]), Role::Reader),
        'a guest asked into nothing' => $with(person(Role::Consultant, $practice), ['guest' => true]),
        'a consultant of another practice' => person(Role::Consultant),
        'who invites in another practice' => $with(person(Role::Consultant), ['admin' => true]),
        'somebody who has left' => $with(person(Role::Consultant, $practice), ['left_at' => now()]),
    };
}

it('lists every route there is', function () {
    $routes = collect(Route::getRoutes()->getRoutes())
        ->filter(fn ($r) => str_starts_with($r->uri(), 'api/'))
        ->map(fn ($r) => $r->methods()[0].' '.$r->uri())
        ->values()
        ->all();
    expect($routes)->toEqualCanonicalizing(array_keys(ROUTES));
});

it('lets each person do what they may, and nothing else', function (string $who) {
    Storage::fake('files');
    Illuminate\Support\Facades\Queue::fake();
    Illuminate\Support\Facades\Mail::fake();
    [$project, $consultant] = practice();
    $report = Report::create(['project_id' => $project->id, 'user_id' => $consultant->id, 'by' => 'x'] +
        ['state' => 'queued', 'percent' => 0, 'doing' => '']);
    $revision = app(Issuing::class)->issue($project, $consultant, 'A', '');
    $person = somebody($who, $project);
    $wrong = [];
    foreach (ROUTES as $route => [$ability, $status]) {
        DB::beginTransaction();
        [$method, $uri] = explode(' ', $route);
        $uri = strtr($uri, [
            '{project}' => $project->id,
            '{key}' => str_contains($uri, 'sequences') ? 'o4' : 'w2',
            '{kind}' => 'assembly',
            '{material}' => 'membrane-sbs',
            '{digest}' => str_repeat('a', 64),
            '{report}' => $report->id,
            '{revision}' => $revision->id,
            // somebody of the practice that the project is of
            '{user}' => $consultant->id,
        ]);
        $this->flushSession();
        Auth::forgetGuards();
        $response = ($person ? $this->actingAs($person->fresh()) : $this)->json(
            $method,
            "/$uri",
            $method === 'DELETE' ? ['revision' => 1] : [],
        );
        $mayNot = $person === null || $person->left_at !== null ? 401 : 403;
        $expected = in_array($ability, MAY[$who], true) ? $status : $mayNot;
        if ($response->getStatusCode() !== $expected) {
            $said = mb_substr((string) $response->getContent(), 0, 200);
            $wrong[] = "$route: {$response->getStatusCode()} for $expected, $said";
        }
        DB::rollBack();
    }
    expect($wrong)->toBe([]);
})->with(array_keys(MAY));

it('cancels a report for who asked for it and for consultants', function () {
    [$project, $consultant, $inspector] = practice();
    $report = fn (User $of): Report => Report::create(['project_id' => $project->id, 'user_id' => $of->id] +
        ['by' => 'x', 'state' => 'queued', 'percent' => 0, 'doing' => '']);
    $this->actingAs($inspector)->postJson("/api/reports/{$report($inspector)->id}/cancel")->assertOk();
    $this->postJson("/api/reports/{$report($consultant)->id}/cancel")->assertForbidden();
    $this->flushSession();
    $this->actingAs($consultant)->postJson("/api/reports/{$report($inspector)->id}/cancel")->assertOk();
});

it('sends a guest to sign in, and opens the print pages only by a signed address', function () {
    [$project] = practice();
    $report = Report::create([
        'project_id' => $project->id,
        'by' => 'x',
        'state' => 'queued',
        'percent' => 0,
        'doing' => '',
    ]);
    $this->withoutVite();
    $this->get('/p/any/brief')->assertRedirect('/sign-in');
    $this->get("/print/{$report->id}")->assertForbidden();
    $this->get(
        Illuminate\Support\Facades\URL::temporarySignedRoute('print', now()->addMinute(), ['report' => $report->id]),
    )
        ->assertOk()
        ->assertSee($project->name);
    $this->get(
        Illuminate\Support\Facades\URL::temporarySignedRoute('print', now()->subMinute(), ['report' => $report->id]),
    )->assertForbidden();
});

it('sets a content policy without inline script', function () {
    $policy = (string) $this->withoutVite()->get('/sign-in')->assertOk()->headers->get('Content-Security-Policy');
    expect($policy)->toContain("script-src 'self';")->and(preg_match('/script-src[^;]*unsafe/', $policy))->toBe(0);
});

it('throttles sign-in after ten wrong passwords', function () {
    $person = person(Role::Consultant);
    foreach (range(1, 10) as $ignored) {
        $this->postJson('/api/sign-in', ['email' => $person->email, 'password' => 'wrong'])->assertStatus(422);
    }
    $this->postJson('/api/sign-in', ['email' => $person->email, 'password' => 'lapped-outward'])->assertStatus(429);
});

it('counts no right password against the person who signs in', function () {
    $person = person(Role::Consultant);
    foreach (range(1, 15) as $ignored) {
        $this->postJson('/api/sign-in', ['email' => $person->email, 'password' => 'lapped-outward'])->assertOk();
    }
});

it('refuses a change without the token of its session', function () {
    // Laravel waives the token while it runs tests, so its middleware is asked on its own.
    $middleware = new class(app(), app('encrypter')) extends Illuminate\Foundation\Http\Middleware\ValidateCsrfToken
    {
        protected function runningUnitTests(): bool
        {
            return false;
        }
    };
    $request = Illuminate\Http\Request::create('/api/sign-out', 'POST');
    $request->setLaravelSession(app('session')->driver());
    expect(fn () => $middleware->handle($request, fn () => response('')))->toThrow(
        Illuminate\Session\TokenMismatchException::class,
    );
});

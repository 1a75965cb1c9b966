<?php

declare(strict_types=1);

use App\Models\Report;
use App\Models\Role;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

// Every route of the API against every kind of person: guest · inspector · consultant · a consultant of another
// practice.
const ROUTES = [
    'POST api/sign-in' => [422, 422, 422, 422],
    'POST api/sign-out' => [401, 204, 204, 204],
    'GET api/me' => [401, 200, 200, 200],
    'GET api/climates' => [401, 200, 200, 200],
    'GET api/examples' => [401, 200, 200, 200],
    'GET api/schools' => [401, 200, 200, 200],
    'GET api/generators' => [401, 200, 200, 200],
    'GET api/projects' => [401, 200, 200, 200],
    'POST api/projects' => [401, 403, 422, 422],
    'POST api/projects/import' => [401, 403, 422, 422],
    'GET api/projects/{project}' => [401, 200, 200, 403],
    'GET api/projects/{project}/assessment' => [401, 200, 200, 403],
    'GET api/projects/{project}/materials' => [401, 200, 200, 403],
    'GET api/projects/{project}/export.json' => [401, 200, 200, 403],
    'GET api/projects/{project}/export.zip' => [401, 200, 200, 403],
    'POST api/projects/{project}/assess' => [401, 422, 422, 403],
    'POST api/projects/{project}/cures' => [401, 422, 422, 403],
    'POST api/projects/{project}/sweep' => [401, 422, 422, 403],
    'POST api/projects/{project}/climate' => [401, 422, 422, 403],
    'GET api/projects/{project}/hours.csv' => [401, 200, 200, 403],
    'POST api/projects/{project}/sheet' => [401, 422, 422, 403],
    'POST api/projects/{project}/generate' => [401, 422, 422, 403],
    'GET api/projects/{project}/sequences/{key}' => [401, 200, 200, 403],
    'POST api/projects/{project}/joinery' => [401, 422, 422, 403],
    'GET api/projects/{project}/sequences/{key}/drill' => [401, 200, 200, 403],
    'POST api/projects/{project}/sequences/{key}/drill' => [401, 422, 422, 403],
    'GET api/projects/{project}/materials/{material}/laid' => [401, 200, 200, 403],
    'GET api/projects/{project}/contacts' => [401, 200, 200, 403],
    'GET api/projects/{project}/contacts.csv' => [401, 200, 200, 403],
    'GET api/projects/{project}/plan/proposed' => [401, 422, 422, 403],
    'GET api/projects/{project}/plan/forecast' => [401, 422, 422, 403],
    'GET api/projects/{project}/tests/run' => [401, 200, 200, 403],
    'GET api/projects/{project}/plan.ics' => [401, 200, 200, 403],
    'GET api/projects/{project}/plan.csv' => [401, 200, 200, 403],
    'GET api/projects/{project}/order.csv' => [401, 200, 200, 403],
    'POST api/projects/{project}/film' => [401, 422, 422, 403],
    'POST api/projects/{project}/contacts/ask' => [401, 422, 422, 403],
    'GET api/projects/{project}/others' => [401, 200, 200, 403],
    'GET api/projects/{project}/drills' => [401, 200, 200, 403],
    'GET api/projects/{project}/site' => [401, 200, 200, 403],
    'GET api/projects/{project}/photographs/{digest}' => [401, 404, 404, 403],
    'GET api/projects/{project}/removed' => [401, 200, 200, 403],
    'GET api/projects/{project}/documents/{kind}/{key}/revisions' => [401, 200, 200, 403],
    'GET api/projects/{project}/reports' => [401, 200, 200, 403],
    'POST api/projects/{project}/reports' => [401, 202, 202, 403],
    'POST api/projects/{project}/site/events' => [401, 422, 422, 403],
    'POST api/projects/{project}/photographs' => [401, 422, 422, 403],
    'POST api/projects/{project}/acceptances' => [401, 403, 422, 403],
    'PUT api/projects/{project}/documents/{kind}/{key}' => [401, 403, 422, 403],
    'DELETE api/projects/{project}/documents/{kind}/{key}' => [401, 403, 204, 403],
    'GET api/reports/{report}' => [401, 200, 200, 403],
    'GET api/reports/{report}/file' => [401, 404, 404, 403],
    // of a consultant’s report; an inspector cancels their own
    'POST api/reports/{report}/cancel' => [401, 403, 200, 403],
];

it('lists every route there is', function () {
    $routes = collect(Route::getRoutes()->getRoutes())
        ->filter(fn ($r) => str_starts_with($r->uri(), 'api/'))
        ->map(fn ($r) => $r->methods()[0].' '.$r->uri())
        ->values()
        ->all();
    expect($routes)->toEqualCanonicalizing(array_keys(ROUTES));
});

it('lets each person do what their role allows', function (string $route, int $column) {
    Storage::fake('files');
    Illuminate\Support\Facades\Queue::fake();
    [$project, $consultant, $inspector] = practice();
    $report = Report::create([
        'project_id' => $project->id,
        'by' => 'x',
        'state' => 'queued',
        'percent' => 0,
        'doing' => '',
    ]);
    $person = [null, $inspector, $consultant, person(Role::Consultant)][$column];
    [$method, $uri] = explode(' ', $route);
    $uri = strtr($uri, [
        '{project}' => $project->id,
        '{key}' => str_contains($uri, 'sequences') ? 'o4' : 'w2',
        '{kind}' => 'assembly',
        '{material}' => 'membrane-sbs',
        '{digest}' => str_repeat('a', 64),
        '{report}' => $report->id,
    ]);
    $response = ($person ? $this->actingAs($person) : $this)->json(
        $method,
        "/$uri",
        $method === 'DELETE' ? ['revision' => 1] : [],
    );
    expect($response->getStatusCode())->toBe(
        ROUTES[$route][$column],
        "$route: ".mb_substr((string) $response->getContent(), 0, 300),
    );
})
    ->with(array_keys(ROUTES))
    ->with([0, 1, 2, 3]);

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

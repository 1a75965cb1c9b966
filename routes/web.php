<?php

declare(strict_types=1);

use App\Http\Controllers\AcceptanceController;
use App\Http\Controllers\AssemblyController;
use App\Http\Controllers\ClimateController;
use App\Http\Controllers\ContactController;
use App\Http\Controllers\DocumentController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlaneSectionController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\ReportController;
use App\Http\Controllers\RevisionController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SequenceController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SiteController;
use App\Http\Controllers\TakeoffController;
use App\Http\Controllers\TestController;
use App\Http\Middleware\OneGeneration;
use App\Models\IssuedRevision;
use App\Models\Project;
use App\Models\User;
use Illuminate\Support\Facades\Route;

Route::view('/sign-in', 'app')->name('login');
Route::view('/password', 'app');
Route::model('revision', IssuedRevision::class);
// The worker that keeps the application on a phone: of the whole site, so it cannot lie in the folder of the build. A
// build with other files is another worker.
Route::get('/sw.js', function () {
    $build = public_path('build');
    abort_unless(is_file("$build/sw.js"), 404);
    $text = file_get_contents("$build/sw.js")."\n// ".hash_file('xxh128', "$build/manifest.json")."\n";

    return response($text, headers: ['Content-Type' => 'text/javascript', 'Cache-Control' => 'no-cache']);
})->withoutMiddleware('web');
// For whoever watches over the machine: the pages answer and the database does.
Route::get(
    '/up',
    fn () => response(
        Illuminate\Support\Facades\DB::scalar('select 1') === 1 ? 'up' : 'down',
        headers: ['Content-Type' => 'text/plain'],
    ),
)->withoutMiddleware('web');
Route::post('/api/sign-in', [SessionController::class, 'signIn'])->middleware('throttle:sign-in');
Route::post('/api/password/lost', [PasswordController::class, 'lost'])->middleware('throttle:password');
Route::post('/api/password', [PasswordController::class, 'choose'])->middleware('throttle:password');
Route::get('/print/{report}', [ReportController::class, 'pages'])
    ->middleware('signed')
    ->name('print');

Route::get('/print/{report}/photographs/{digest}', [ReportController::class, 'photograph'])
    ->middleware('signed:relative')
    ->name('print.photograph');

Route::middleware(['auth', 'auth.session', OneGeneration::class, 'throttle:api'])->group(function (): void {
    Route::prefix('api')->group(function (): void {
        Route::post('sign-out', [SessionController::class, 'signOut']);
        Route::get('me', [SessionController::class, 'me']);
        Route::put('me/password', [PasswordController::class, 'change'])->middleware('throttle:password');
        Route::post('sign-out-everywhere', [PasswordController::class, 'everywhere']);
        Route::middleware('can:invite,'.User::class)->group(function (): void {
            Route::get('people', [PeopleController::class, 'index']);
            Route::post('people', [PeopleController::class, 'invite'])->middleware('throttle:costly');
            Route::put('people/{user}', [PeopleController::class, 'change'])->can('change', 'user');
            Route::post('people/{user}/invitation', [PeopleController::class, 'inviteAgain'])
                ->can('change', 'user')
                ->middleware('throttle:costly');
        });
        Route::get('climates', [ClimateController::class, 'index']);
        Route::get('examples', [AssemblyController::class, 'examples']);
        Route::get('schools', [SequenceController::class, 'schools']);
        Route::get('procedures', [TestController::class, 'procedures']);
        Route::get('generators', [SequenceController::class, 'generators']);
        Route::get('projects', [ProjectController::class, 'index']);
        Route::post('projects', [ProjectController::class, 'store'])->can('create', Project::class);
        Route::post('projects/import', [ProjectController::class, 'import'])->can('create', Project::class);
        Route::prefix('projects/{project}')->group(function (): void {
            Route::get('revisions', [RevisionController::class, 'index'])->can('read', 'project');
            Route::middleware('can:people,project')->group(function (): void {
                Route::get('people', [PeopleController::class, 'members']);
                Route::put('people/{user}', [PeopleController::class, 'setMember']);
            });
            Route::middleware('can:view,project')->group(function (): void {
                Route::get('', [ProjectController::class, 'show']);
                Route::get('assessment', [ProjectController::class, 'assessment'])->middleware('budget:60');
                Route::get('materials', [ProjectController::class, 'materials']);
                Route::get('materials/{material}/laid', [ProjectController::class, 'laid']);
                Route::get('export.json', [ProjectController::class, 'exportFile']);
                Route::get('export.zip', [ProjectController::class, 'exportArchive']);
                Route::get('removed', [DocumentController::class, 'removed']);
                Route::get('documents/{kind}/{key}/revisions', [DocumentController::class, 'revisions']);
                Route::post('assess', [DocumentController::class, 'assess'])->middleware('budget:5');
                Route::post('cures', [AssemblyController::class, 'cures'])->middleware(['throttle:costly', 'budget:8']);
                Route::post('sweep', [AssemblyController::class, 'sweep'])->middleware(['throttle:costly', 'budget:8']);
                Route::post('climate', [ClimateController::class, 'read']);
                Route::get('hours.csv', [ClimateController::class, 'hours']);
                Route::post('sheet', [SequenceController::class, 'sheet'])->middleware('budget:5');
                Route::post('generate', [SequenceController::class, 'generate'])->middleware('budget:5');
                Route::post('joinery', [SequenceController::class, 'joinery']);
                Route::get('sequences/{key}', [SequenceController::class, 'sequence'])->middleware('budget:5');
                Route::get('sequences/{key}/drill', [SequenceController::class, 'shuffle']);
                Route::post('sequences/{key}/drill', [SequenceController::class, 'drill'])->middleware([
                    'throttle:costly',
                    'budget:8',
                ]);
                Route::get('others', [SequenceController::class, 'others'])->middleware('budget:60');
                Route::get('plan/proposed', [PlanController::class, 'proposed'])->middleware('budget:60');
                Route::get('plan/forecast', [PlanController::class, 'forecast'])->middleware('budget:60');
                Route::get('tests/read', [TestController::class, 'read']);
                Route::get('tests/run', [TestController::class, 'run'])->middleware('budget:60');
                Route::get('runs', [RunController::class, 'index']);
                Route::get('runs/{key}', [RunController::class, 'show']);
                Route::get('runs/{key}/cures', [RunController::class, 'cures']);
                Route::get('plane-sections/{key}', [PlaneSectionController::class, 'show'])->middleware('budget:8');
                Route::post('joints', [PlaneSectionController::class, 'make'])->middleware([
                    'throttle:costly',
                    'budget:20',
                ]);
                Route::get('plan.ics', [PlanController::class, 'calendar']);
                Route::get('plan.csv', [PlanController::class, 'csv']);
                Route::get('order.csv', [TakeoffController::class, 'csv'])->middleware('budget:60');
                Route::get('contacts', [ContactController::class, 'show'])->middleware('budget:60');
                Route::get('contacts.csv', [ContactController::class, 'csv'])->middleware('budget:60');
                Route::post('film', [ContactController::class, 'film']);
                Route::post('contacts/ask', [ContactController::class, 'ask'])->middleware('budget:5');
                Route::get('drills', [SequenceController::class, 'drills']);
                Route::get('site', [SiteController::class, 'show']);
                Route::get('faults.bcf', [SiteController::class, 'faultsOut'])->middleware('budget:60');
                Route::get('readings.csv', [SiteController::class, 'readings'])->middleware('budget:60');
                Route::get('photographs/{digest}', [SiteController::class, 'photograph']);
                Route::get('reports', [ReportController::class, 'index']);
                Route::get('history', [HistoryController::class, 'index']);
                Route::post('reports', [ReportController::class, 'store'])->middleware('throttle:costly');
            });
            Route::middleware('can:inspect,project')->group(function (): void {
                Route::post('site/events', [SiteController::class, 'add']);
                Route::post('faults.bcf', [SiteController::class, 'faultsIn'])->middleware('throttle:costly');
                Route::post('photographs', [SiteController::class, 'addPhotograph']);
            });
            Route::middleware('can:edit,project')->group(function (): void {
                Route::post('acceptances', [AcceptanceController::class, 'store']);
                Route::post('revisions', [RevisionController::class, 'store'])->middleware('throttle:costly');
                Route::post('runs/{key}/start', [RunController::class, 'start']);
                Route::post('runs/{key}/cancel', [RunController::class, 'cancel']);
                Route::post('runs/{key}/cures', [RunController::class, 'runCures'])->middleware('throttle:costly');
                Route::put('documents/{kind}/{key}', [DocumentController::class, 'save']);
                Route::delete('documents/{kind}/{key}', [DocumentController::class, 'remove']);
            });
        });
        Route::prefix('revisions/{revision}')
            ->middleware('can:read,revision')
            ->group(function (): void {
                Route::get('', [RevisionController::class, 'show']);
                Route::get('file', [RevisionController::class, 'file']);
                Route::get('compared', [RevisionController::class, 'compared'])->middleware('budget:60');
            });
        Route::prefix('reports/{report}')
            ->middleware('can:view,report')
            ->group(function (): void {
                Route::get('', [ReportController::class, 'show']);
                Route::get('file', [ReportController::class, 'file']);
                Route::post('cancel', [ReportController::class, 'cancel'])->can('cancel', 'report');
            });
    });
    // Every other page is the application's own; its routes are in resources/js.
    Route::view('/{page?}', 'app')->where('page', '^(?!api/|build/|sw\.js).*$');
});

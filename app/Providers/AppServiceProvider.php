<?php

declare(strict_types=1);

namespace App\Providers;

use App\Project\KeptHeats;
use App\Project\KeptRuns;
use App\Station\Fan;
use App\Station\Gauge;
use App\Station\SimulatedFan;
use App\Station\SimulatedGauge;
use App\Station\SimulatedStation;
use App\Station\WeatherStation;
use Apron\Conduction\HeatCatalogue;
use Apron\Json\CoreData;
use Apron\Material\Catalogue;
use Apron\Project\Sections;
use Apron\Transient\Reckoned;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Catalogue::class);
        $this->app->singleton(Sections::class, Sections::usual(...));
        // No real station is connected: one that is implements the same interface and is bound here.
        $this->app->bind(WeatherStation::class, SimulatedStation::class);
        $this->app->bind(Gauge::class, fn (): Gauge => new SimulatedGauge(random_int(1, 1_000_000)));
        $this->app->bind(Fan::class, fn (): Fan => new SimulatedFan(random_int(1, 1_000_000)));
    }

    public function boot(): void
    {
        // On the command line nothing compiled is kept from one run to the next, and reading JSON is quicker.
        CoreData::keepIn($this->app->runningInConsole() ? null : storage_path('framework/core-data'));
        // Nobody waits for years of hours: they are run by the worker, and found where it puts them.
        Reckoned::keepIn($this->app->make(KeptRuns::class));
        HeatCatalogue::keepIn(new KeptHeats);
        Route::bind(
            'kind',
            fn (string $kind) => app(Sections::class)->ofKind($kind) ??
                abort(404, "No kind of document is called “{$kind}”."),
        );
        Model::preventLazyLoading(! $this->app->isProduction());
        // Only what was refused counts against an address: a crew that shares one signs in on phone after phone.
        RateLimiter::for('sign-in', function (Request $request): array {
            $email = $request->input('email');
            $who = $request->ip().'|'.(is_string($email) ? mb_strtolower($email) : '');
            $refused = fn (Response $response): bool => ! $response->isSuccessful();

            // By the minute, by the hour and by the day: who guesses goes on for longer than who forgot.
            return [
                Limit::perMinute(10)
                    ->by("minute $who")
                    ->after($refused),
                Limit::perHour(40)
                    ->by("hour $who")
                    ->after($refused),
                Limit::perDay(100)
                    ->by("day $who")
                    ->after($refused),
                Limit::perMinute(60)->by((string) $request->ip()),
            ];
        });
        // A mail asked for over and over fills somebody's box, and an address is not to be guessed.
        RateLimiter::for('password', function (Request $request): array {
            $email = $request->input('email');

            return [
                Limit::perMinute(10)->by('password '.$request->ip()),
                Limit::perHour(10)->by('password '.(is_string($email) ? mb_strtolower($email) : '')),
            ];
        });
        // Cures, sweeps, drills and reports take seconds each: a person asks for some, a loop for hundreds.
        RateLimiter::for(
            'costly',
            fn (Request $request): Limit => Limit::perMinute(60)->by('costly '.$request->user()?->getAuthIdentifier()),
        );
        RateLimiter::for(
            'api',
            fn (Request $request): Limit => Limit::perMinute((int) config('apron.requests_a_minute'))->by(
                $request->user()?->getAuthIdentifier() ?: (string) $request->ip(),
            ),
        );
    }
}

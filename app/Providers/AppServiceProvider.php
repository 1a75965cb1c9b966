<?php

namespace App\Providers;

use Apron\Material\Catalogue;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Catalogue::class);
    }

    public function boot(): void
    {
        Model::preventLazyLoading(! $this->app->isProduction());
        // Only what was refused counts against an address: a crew that shares one signs in on phone after phone.
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(10)->by($request->ip().'|'.mb_strtolower($request->string('email')->toString()))->after(fn (Response $response): bool => ! $response->isSuccessful()),
            Limit::perMinute(60)->by((string) $request->ip()),
        ]);
        // A person typing into a drawing posts a draft at every key; a loop gone wild posts many more.
        RateLimiter::for('api', fn (Request $request): Limit => Limit::perMinute(1200)->by($request->user()?->getAuthIdentifier() ?: (string) $request->ip()));
    }
}

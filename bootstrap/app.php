<?php

declare(strict_types=1);

use App\Http\Middleware\Budget;
use App\Http\Middleware\ContentPolicy;
use App\Http\Middleware\NamedHosts;
use App\Http\Refusals;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // same-origin only
        $middleware->append(ContentPolicy::class);
        $middleware->alias(['budget' => Budget::class]);
        $middleware->redirectGuestsTo('/sign-in');
        // Whose word about address and scheme is taken, and under which names the application answers: both by
        // configuration, neither by default.
        $proxies = array_filter(
            explode(
                ',',
                (string) ($_SERVER['APRON_PROXIES'] ?? ($_ENV['APRON_PROXIES'] ?? getenv('APRON_PROXIES')) ?: ''),
            ),
        );
        if ($proxies !== []) {
            $middleware->trustProxies(
                at: array_values($proxies),
                headers: Request::HEADER_X_FORWARDED_FOR |
                    Request::HEADER_X_FORWARDED_PROTO |
                    Request::HEADER_X_FORWARDED_HOST |
                    Request::HEADER_X_FORWARDED_PORT,
            );
        }
        $middleware->prepend(NamedHosts::class);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(
            fn (Request $request): bool => $request->is('api/*') || $request->expectsJson(),
        );
        Refusals::register($exceptions);
    })
    ->create();

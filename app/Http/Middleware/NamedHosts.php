<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers under its own names only: a page elsewhere that gives its own name this machine's address gets nothing. */
class NamedHosts
{
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(
            in_array(strtolower($request->getHost()), config('apron.hosts'), true),
            421,
            'This application does not answer under that name.',
        );

        return $next($request);
    }
}

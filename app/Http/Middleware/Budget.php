<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Apron\Budget\Deadline;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** How long the computation of a request may take: one person's sixty layers must not hold up everybody. */
class Budget
{
    public function handle(Request $request, Closure $next, string $seconds): Response
    {
        return Deadline::within((float) $seconds, fn (): Response => $next($request));
    }
}

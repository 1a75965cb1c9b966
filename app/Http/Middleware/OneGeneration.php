<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** What was open when somebody signed out everywhere, or left, is closed. */
class OneGeneration
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $request->hasSession()) {
            $session = $request->session();
            $begun = $session->get('generation') ?? $user->generation;
            if ($user->left_at !== null || $begun !== $user->generation) {
                Auth::guard('web')->logout();
                $session->invalidate();

                throw new AuthenticationException;
            }
            $session->put('generation', $begun);
        }

        return $next($request);
    }
}

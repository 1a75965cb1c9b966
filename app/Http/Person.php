<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;

/** Who asks, on a route that nobody reaches unsigned. */
final class Person
{
    public static function of(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}

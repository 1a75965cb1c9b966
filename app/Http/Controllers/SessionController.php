<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[
    OA\Info(
        version: '1',
        title: 'Apron',
        description: 'Session cookies; every changing request carries the token of the XSRF-TOKEN cookie as X-XSRF-TOKEN.',
    ),
]
class SessionController
{
    #[
        Api\Post(
            '/api/sign-in',
            id: 'signIn',
            answers: [
                200 => ['who signed in', 'Person'],
                422 => 'no such person',
            ],
        ),
    ]
    public function signIn(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => 'required|string|max:200', 'password' => 'required|string|max:200']);
        $user = User::where('email', $given['email'])->whereNull('left_at')->first();
        // An address that nobody has takes as long to refuse as a wrong password: times tell who works here.
        $right = Hash::check($given['password'], $user->password ?? $this->nobodys());
        if ($user === null || ! $right) {
            throw ValidationException::withMessages([
                'email' => 'No person signs in with this address and password.',
            ]);
        }
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->put('generation', $user->generation);

        return $this->me($request);
    }

    /** A hash of no password, made once and as costly to check as any other. */
    private function nobodys(): string
    {
        return Cache::rememberForever(
            'nobody.'.config('hashing.bcrypt.rounds', 12),
            fn (): string => Hash::make(Str::random(40)),
        );
    }

    #[Api\Post('/api/sign-out', id: 'signOut', answers: [204 => 'signed out'])]
    public function signOut(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    #[Api\Get('/api/me', id: 'me', answers: [200 => ['the person signed in', 'Person']])]
    public function me(Request $request): JsonResponse
    {
        $user = Person::of($request);

        return new JsonResponse([
            'id' => $user->id,
            'name' => $user->name,
            'email' => $user->email,
            'role' => $user->role->value,
            'admin' => $user->admin,
        ]);
    }
}

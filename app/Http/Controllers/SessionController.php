<?php

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Info(version: '1', title: 'Apron', description: 'Session cookies; every changing request carries the token of the XSRF-TOKEN cookie as X-XSRF-TOKEN.')]
class SessionController
{
    #[OA\Post(path: '/api/sign-in', operationId: 'signIn', responses: [new OA\Response(response: 200, description: 'who signed in'), new OA\Response(response: 422, description: 'no such person')])]
    public function signIn(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => 'required|string|max:200', 'password' => 'required|string|max:200']);
        $user = User::where('email', $given['email'])->whereNull('left_at')->first();
        // An address that nobody has takes as long to refuse as a wrong password: times tell who works here.
        $right = Hash::check($given['password'], $user->password ?? $this->nobodys());
        if ($user === null || ! $right) {
            throw ValidationException::withMessages(['email' => 'No person signs in with this address and password.']);
        }
        Auth::login($user);
        $request->session()->regenerate();

        return $this->me($request);
    }

    /** A hash of no password, made once and as costly to check as any other. */
    private function nobodys(): string
    {
        return Cache::rememberForever('nobody.'.config('hashing.bcrypt.rounds', 12), fn (): string => Hash::make(Str::random(40)));
    }

    #[OA\Post(path: '/api/sign-out', operationId: 'signOut', responses: [new OA\Response(response: 204, description: 'signed out')])]
    public function signOut(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(path: '/api/me', operationId: 'me', responses: [new OA\Response(response: 200, description: 'the person signed in')])]
    public function me(Request $request): JsonResponse
    {
        $user = $request->user();

        return new JsonResponse(['id' => $user->id, 'name' => $user->name, 'role' => $user->role->value]);
    }
}

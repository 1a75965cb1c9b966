<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Models\Act;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\Rules\Password as PasswordRule;
use Illuminate\Validation\ValidationException;

/** Passwords: lost, chosen under an address that was mailed, changed; and everything that is open closed. */
class PasswordController
{
    #[
        Api\Post(
            '/api/password/lost',
            id: 'lostPassword',
            answers: [204 => 'a mail is on its way, where somebody signs in with that address'],
        ),
    ]
    public function lost(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => 'required|string|max:200']);
        // Whether somebody has that address is told to nobody.
        $person = User::where('email', mb_strtolower(trim($given['email'])))->whereNull('left_at')->first();
        if ($person !== null) {
            Password::broker($person->invited_at === null ? 'users' : 'invited')->sendResetLink([
                'email' => $person->email,
            ]);
        }

        return new JsonResponse(null, 204);
    }

    #[
        Api\Post(
            '/api/password',
            id: 'choosePassword',
            answers: [
                204 => 'chosen: everything that was open under the account is closed',
                422 => 'the address has been used or is too old, or the password is too short',
            ],
        ),
    ]
    public function choose(Request $request): JsonResponse
    {
        $given = $request->validate([
            'email' => 'required|string|max:200',
            'token' => 'required|string|max:200',
            'password' => ['required', 'string', 'max:200', PasswordRule::min(12)],
        ]);
        $person = User::where('email', $given['email'])->whereNull('left_at')->first();
        $broker = Password::broker($person?->invited_at === null ? 'users' : 'invited');
        $done = $broker->reset($given, function (User $user, string $password): void {
            $user->update([
                'password' => $password,
                'invited_at' => null,
                'generation' => $user->generation + 1,
            ]);
            Act::note($user, 'chose a password', $user->name);
        });
        if ($done !== Password::PASSWORD_RESET || $person === null) {
            throw ValidationException::withMessages([
                'token' => 'This address has been used, or is too old. Ask for another.',
            ]);
        }

        return new JsonResponse(null, 204);
    }

    #[
        Api\Put(
            '/api/me/password',
            id: 'changePassword',
            answers: [
                204 => 'changed; what is open elsewhere is closed',
                422 => 'not the password of now, or one that is too short',
            ],
        ),
    ]
    public function change(Request $request): JsonResponse
    {
        $given = $request->validate([
            'current' => 'required|string|max:200',
            'password' => ['required', 'string', 'max:200', PasswordRule::min(12)],
        ]);
        $person = Person::of($request);
        if (! Hash::check($given['current'], (string) $person->password)) {
            throw ValidationException::withMessages(['current' => 'This is not the password of now.']);
        }
        $person->update(['password' => $given['password'], 'generation' => $person->generation + 1]);
        $this->stay($request, $person);

        return new JsonResponse(null, 204);
    }

    #[
        Api\Post(
            '/api/sign-out-everywhere',
            id: 'signOutEverywhere',
            answers: [204 => 'everything else that is open under the account is closed'],
        ),
    ]
    public function everywhere(Request $request): JsonResponse
    {
        $person = Person::of($request);
        $person->closeSessions();
        Act::note($person, 'signed out everywhere else', $person->name);
        $this->stay($request, $person->refresh());

        return new JsonResponse(null, 204);
    }

    /** Whoever closes the others stays signed in here. */
    private function stay(Request $request, User $person): void
    {
        $request->session()->put('generation', $person->generation);
        $request->session()->regenerate();
    }
}

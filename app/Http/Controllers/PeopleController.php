<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Person;
use App\Models\Act;
use App\Models\Membership;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** Who works in a practice and in its projects, and what they do there. */
class PeopleController
{
    #[
        Api\Get(
            '/api/people',
            id: 'people',
            answers: [
                200 => ['everybody of one’s practice, by name', 'PersonRow[]'],
                403 => 'one invites nobody',
            ],
        ),
    ]
    public function index(Request $request): JsonResponse
    {
        $people = User::where('organisation_id', Person::of($request)->organisation_id)->orderBy('name')->get();

        return new JsonResponse($people->map(self::row(...)));
    }

    #[
        Api\Post(
            '/api/people',
            id: 'invite',
            answers: [
                201 => ['invited: a mail with an address is on its way', 'PersonRow'],
                403 => 'one invites nobody',
                422 => 'no address, or one that is here already',
            ],
        ),
    ]
    public function invite(Request $request): JsonResponse
    {
        $request->merge(['email' => mb_strtolower(trim((string) $request->string('email')))]);
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:200', 'regex:/\S/u'],
                'email' => ['required', 'email', 'max:200', Rule::unique('users', 'email')],
                'role' => ['required', Rule::enum(Role::class)],
                'guest' => 'boolean',
            ],
            [
                'email.unique' => 'Somebody signs in with this address already.',
                'email.email' => 'An address like name@practice.example.',
            ],
        );
        $by = Person::of($request);
        $person = User::create([
            'organisation_id' => $by->organisation_id,
            'name' => trim($given['name']),
            'email' => $given['email'],
            'role' => Role::from($given['role']),
            'guest' => $given['guest'] ?? false,
            'password' => Str::random(40),
            'invited_at' => now(),
        ]);
        Act::note($by, 'invited', "{$person->name}, {$person->role->value}");
        $this->mail($person);

        return new JsonResponse(self::row($person->refresh()), 201);
    }

    #[
        Api\Post(
            '/api/people/{user}/invitation',
            id: 'inviteAgain',
            answers: [
                204 => 'sent again',
                422 => 'they have chosen a password already',
            ],
        ),
    ]
    public function inviteAgain(User $user): JsonResponse
    {
        abort_if($user->invited_at === null, 422, 'They have chosen a password already.');
        $this->mail($user);

        return new JsonResponse(null, 204);
    }

    #[
        Api\Put(
            '/api/people/{user}',
            id: 'changePerson',
            answers: [
                200 => ['as they are now', 'PersonRow'],
                403 => 'of another practice',
                422 => 'the last who may invite stays',
            ],
        ),
    ]
    public function change(Request $request, User $user): JsonResponse
    {
        $given = $request->validate([
            'role' => ['sometimes', Rule::enum(Role::class)],
            'admin' => 'sometimes|boolean',
            'left' => 'sometimes|boolean',
        ]);
        $by = Person::of($request);
        $stays = ($given['admin'] ?? $user->admin) && ! ($given['left'] ?? $user->left_at !== null);
        $others = User::where('organisation_id', $user->organisation_id)
            ->where('admin', true)
            ->whereNull('left_at')
            ->whereKeyNot($user->id);
        abort_if($user->admin && ! $stays && ! $others->exists(), 422, 'Somebody must be left who may invite.');
        if (isset($given['role'])) {
            $user->role = Role::from($given['role']);
        }
        if (isset($given['admin'])) {
            $user->admin = $given['admin'];
        }
        if (isset($given['left']) && $given['left'] !== ($user->left_at !== null)) {
            $user->left_at = $given['left'] ? now() : null;
            $user->generation++;
        }
        if ($user->isDirty()) {
            $user->save();
            Act::note($by, 'changed a person', "{$user->name}: ".self::told($user));
        }

        return new JsonResponse(self::row($user));
    }

    #[
        Api\Get(
            '/api/projects/{project}/people',
            id: 'members',
            answers: [
                200 => ['who takes part in a project, and who of the practice could', 'Member[]'],
            ],
        ),
    ]
    public function members(Project $project): JsonResponse
    {
        $asked = Membership::where('project_id', $project->id)->get()->keyBy('user_id');
        $people = User::where('organisation_id', $project->organisation_id)
            ->orWhereIn('id', $asked->keys())
            ->orderBy('name')
            ->get()
            ->whereNull('left_at');

        return new JsonResponse(
            $people
                ->map(
                    fn (User $person): array => [
                        'id' => $person->id,
                        'name' => $person->name,
                        'email' => $person->email,
                        'role' => $person->roleIn($project)?->value,
                        'asked' => isset($asked[$person->id]),
                    ],
                )
                ->values(),
        );
    }

    #[
        Api\Put(
            '/api/projects/{project}/people/{user}',
            id: 'setMember',
            answers: [
                204 => 'they do that in this project now',
                403 => 'somebody of another practice, or nobody who says who takes part',
                422 => 'no such role',
            ],
        ),
    ]
    public function setMember(Request $request, Project $project, User $user): JsonResponse
    {
        $given = $request->validate(['role' => ['present', 'nullable', Rule::enum(Role::class)]]);
        abort_if($user->organisation_id !== $project->organisation_id, 403, 'Somebody of another practice.');
        $role = $given['role'] ?? null;
        if ($role === null) {
            Membership::where(['project_id' => $project->id, 'user_id' => $user->id])->delete();
        } else {
            Membership::updateOrCreate(['project_id' => $project->id, 'user_id' => $user->id], ['role' => $role]);
        }
        Act::note(
            Person::of($request),
            'said who takes part',
            "{$user->name}: ".($role ?? 'as in the practice'),
            $project,
        );

        return new JsonResponse(null, 204);
    }

    private function mail(User $person): void
    {
        Password::broker('invited')->sendResetLink(['email' => $person->email]);
    }

    private static function told(User $person): string
    {
        return $person->role->value.($person->admin ? ', invites' : '').($person->left_at === null ? '' : ', left');
    }

    /** @return array<string, mixed> */
    private static function row(User $person): array
    {
        return [
            'id' => $person->id,
            'name' => $person->name,
            'email' => $person->email,
            'role' => $person->role->value,
            'admin' => $person->admin,
            'guest' => $person->guest,
            'invited' => $person->invited_at !== null,
            'left' => $person->left_at !== null,
        ];
    }
}

<?php

declare(strict_types=1);

use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Hash;

/** @return array{int, string} */
function people(string ...$words): array
{
    $code = Artisan::call(
        'apron:people',
        array_combine(array_slice(['what', 'name', 'email', 'role', 'practice'], 0, count($words)), $words),
    );

    return [$code, trim(Artisan::output())];
}

it('adds, lists, resets and removes people, and says what is missing', function () {
    expect(people('add', 'Ada', 'ada@practice.example', 'consultant')[1])->toContain('needs a practice');
    [$code, $said] = people('add', 'Ada', 'Ada@Practice.example', 'consultant', 'Gale & Moor');
    $ada = User::where('email', 'ada@practice.example')->sole();
    expect($code)
        ->toBe(0)
        ->and($ada->role)
        ->toBe(Role::Consultant)
        ->and(Hash::check(substr($said, strrpos($said, ' ') + 1), $ada->password))
        ->toBeTrue();
    expect(people('add', 'Bo', 'bo@practice.example', 'inspector')[0])
        ->toBe(0)
        ->and(User::where('email', 'bo@practice.example')->sole()->organisation_id)
        ->toBe($ada->organisation_id);
    expect(people('add', 'Ada', 'ada@practice.example', 'consultant')[0])
        ->toBe(1)
        ->and(people('add', 'X', 'no address', 'consultant')[0])
        ->toBe(1)
        ->and(people('reset', 'nobody@x.example')[0])
        ->toBe(1);
    people('remove', 'bo@practice.example');
    expect(people('list')[1])->toContain('bo@practice.example  Bo  inspector  left');
});

it('lets nobody in who left, nor with the password of before', function () {
    $person = person(Role::Inspector);
    $person->update(['email' => 'left@practice.example']);
    $try = fn (string $password) => $this->postJson('/api/sign-in', [
        'email' => 'left@practice.example',
        'password' => $password,
    ])->getStatusCode();
    expect($try('lapped-outward'))->toBe(200);
    $new = people('reset', 'left@practice.example')[1];
    $new = trim(explode(';', substr($new, strpos($new, 'with ') + 5))[0]);
    expect([$try('lapped-outward'), $try($new)])->toBe([422, 200]);
    people('remove', 'left@practice.example');
    expect($try($new))->toBe(422);
});

it('ends what is open elsewhere when the password changes', function () {
    $person = person(Role::Inspector);
    $this->actingAs($person)->getJson('/api/me')->assertOk();
    $person->fresh()->update(['password' => 'another-one']);
    app('auth')->forgetGuards();
    $this->actingAs($person->fresh());
    $this->getJson('/api/me')->assertUnauthorized();
});

it('refuses who guesses, by the minute and by the hour', function () {
    $person = person(Role::Inspector);
    $guess = fn () => $this->postJson('/api/sign-in', [
        'email' => $person->email,
        'password' => 'wrong',
    ])->getStatusCode();
    $answers = array_map(fn () => $guess(), range(1, 12));
    expect(array_count_values($answers))->toBe([422 => 10, 429 => 2]);
    $hour = [];
    for ($minute = 1; $minute <= 5; $minute++) {
        $this->travel(61)->seconds();
        array_push($hour, ...array_map(fn () => $guess(), range(1, 11)));
    }
    expect(array_count_values([...$answers, ...$hour])[422])->toBeLessThanOrEqual(40);
});

it('answers under its own names only', function () {
    $this->withoutVite();
    $this->get('/sign-in')->assertOk();
    $this->get('http://evil.example/sign-in')->assertStatus(421);
    config(['apron.hosts' => ['apron.practice.example']]);
    $this->get('http://apron.practice.example/sign-in')->assertOk();
});

it('says of an address that nothing is there, and nothing of how things are kept', function () {
    [, $consultant] = practice();
    $this->actingAs($consultant);
    foreach (['projects/01m8k00000000000000000000z', 'projects/%7B%22x%22:1', 'reports/nothing'] as $address) {
        $said = $this->getJson("/api/$address")->assertNotFound()->json('message');
        expect($said)->toBe('There is nothing at this address: it was removed, or never was.');
    }
});

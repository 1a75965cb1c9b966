<?php

declare(strict_types=1);

use App\Mail\PasswordLink;
use App\Models\Membership;
use App\Models\Role;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/** The email and the token of the address that was mailed last. */
function mailedTo(string $email): array
{
    $query = '';
    Mail::assertSent(PasswordLink::class, function (PasswordLink $mail) use ($email, &$query): bool {
        $mail->hasTo($email) && ($query = (string) parse_url($mail->content()->with['address'], PHP_URL_QUERY));

        return true;
    });
    parse_str($query, $given);

    return $given;
}

/** Nobody is signed in any more, as in another browser. */
function inAnotherBrowser($test): void
{
    $test->flushSession();
    Auth::forgetGuards();
}

beforeEach(function () {
    Mail::fake();
    Illuminate\Support\Facades\Queue::fake();
    [$this->project, $this->consultant, $this->inspector] = practice();
    $this->consultant->update(['admin' => true]);
});

it('invites by mail, once, and lets in with the password that is chosen', function () {
    $this->actingAs($this->consultant);
    $given = ['name' => 'Somebody New', 'email' => 'New@Case.test', 'role' => 'crew-lead'];
    $person = $this->postJson('/api/people', $given)->assertCreated()->json();
    expect([$person['email'], $person['invited'], $person['role']])->toBe(['new@case.test', true, 'crew-lead']);
    $this->postJson('/api/people', $given)->assertStatus(422)->assertJsonValidationErrors('email');
    $mailed = mailedTo('new@case.test');
    inAnotherBrowser($this);
    // Not before a password is chosen, not with a short one, not with another token, and not twice.
    $this->postJson('/api/sign-in', ['email' => 'new@case.test', 'password' => ''])->assertStatus(422);
    $this->postJson('/api/password', $mailed + ['password' => 'short'])->assertJsonValidationErrors('password');
    $chosen = ['password' => 'lapped-outward-too'];
    $this->postJson('/api/password', ['token' => 'x'] + $mailed + $chosen)->assertStatus(422);
    $this->postJson('/api/password', $mailed + ['password' => 'lapped-outward-too'])->assertNoContent();
    $this->postJson('/api/password', $mailed + ['password' => 'another-one-instead'])->assertStatus(422);
    $this->postJson('/api/sign-in', ['email' => 'new@case.test', 'password' => 'lapped-outward-too'])
        ->assertOk()
        ->assertJson(['role' => 'crew-lead', 'admin' => false]);
    $this->getJson("/api/projects/{$this->project->id}")->assertOk()->assertJson(['may_edit' => false]);
});

it('lets an invitation lie for a week and an address for a lost password for an hour', function () {
    $this->actingAs($this->consultant)
        ->postJson('/api/people', ['name' => 'N', 'email' => 'n@case.test', 'role' => 'reader'])
        ->assertCreated();
    $invited = mailedTo('n@case.test');
    $this->travel(6)->days();
    $this->postJson('/api/password', $invited + ['password' => 'lapped-outward-too'])->assertNoContent();
    $this->postJson('/api/password/lost', ['email' => 'n@case.test'])->assertNoContent();
    $lost = mailedTo('n@case.test');
    expect($lost['token'])->not->toBe($invited['token']);
    $this->travel(61)->minutes();
    $this->postJson('/api/password', $lost + ['password' => 'lapped-outward-too'])->assertStatus(422);
});

it('says of a lost password the same whoever asks, and mails nobody who is not there', function () {
    $this->postJson('/api/password/lost', ['email' => 'nobody@case.test'])->assertNoContent();
    $this->inspector->update(['left_at' => now()]);
    $this->postJson('/api/password/lost', ['email' => $this->inspector->email])->assertNoContent();
    Mail::assertNothingSent();
    foreach (range(1, 20) as $ignored) {
        $last = $this->postJson('/api/password/lost', ['email' => $this->consultant->email]);
    }
    $last->assertStatus(429);
    Mail::assertSentCount(1);
});

it('writes what it mails to a log, for nothing leaves the machine', function () {
    Mail::swap(new Illuminate\Mail\MailManager(app()));
    config(['mail.default' => 'log', 'logging.channels.mail.path' => $log = tempnam(sys_get_temp_dir(), 'mail')]);
    $this->postJson('/api/password/lost', ['email' => $this->consultant->email])->assertNoContent();
    $written = (string) file_get_contents($log);
    unlink($log);
    expect($written)
        ->toContain($this->consultant->email)
        ->toContain('/password?email=')
        ->toContain('holds for 1 hour and');
});

it('closes everything else that is open, and nothing here', function () {
    $sign = fn () => $this->postJson('/api/sign-in', [
        'email' => $this->inspector->email,
        'password' => 'lapped-outward',
    ])->assertOk();
    $sign();
    $elsewhere = app('session')->driver()->all();
    inAnotherBrowser($this);
    $sign();
    $this->postJson('/api/sign-out-everywhere')->assertNoContent();
    $this->getJson('/api/me')->assertOk();
    inAnotherBrowser($this);
    $this->withSession($elsewhere)->getJson('/api/me')->assertUnauthorized();
});

it('changes a password only with the one of now', function () {
    $this->actingAs($this->inspector);
    $change = fn (string $current) => $this->putJson('/api/me/password', [
        'current' => $current,
        'password' => 'lapped-outward-too',
    ]);
    $change('wrong')->assertJsonValidationErrors('current');
    $change('lapped-outward')->assertNoContent();
    $this->getJson('/api/me')->assertOk();
    inAnotherBrowser($this);
    $this->postJson('/api/sign-in', ['email' => $this->inspector->email, 'password' => 'lapped-outward'])
        ->assertStatus(422);
});

it('keeps somebody who may invite, and closes the door on who leaves', function () {
    $this->actingAs($this->consultant);
    foreach ([['admin' => false], ['left' => true]] as $change) {
        $this->putJson("/api/people/{$this->consultant->id}", $change)->assertStatus(422);
    }
    $this->putJson("/api/people/{$this->inspector->id}", ['admin' => true])->assertOk();
    $this->putJson("/api/people/{$this->consultant->id}", ['admin' => false])->assertOk();
    inAnotherBrowser($this);
    $this->actingAs($this->consultant->fresh())->getJson('/api/people')->assertForbidden();
    inAnotherBrowser($this);
    $this->actingAs($this->inspector->fresh());
    $this->putJson("/api/people/{$this->consultant->id}", ['left' => true])->assertOk()->assertJson(['left' => true]);
    inAnotherBrowser($this);
    $this->actingAs($this->consultant->fresh())->getJson('/api/me')->assertUnauthorized();
});

it('gives people another role in one project, and tells so in its history', function () {
    $path = "/api/projects/{$this->project->id}";
    $this->actingAs($this->consultant);
    $this->putJson("$path/people/{$this->inspector->id}", ['role' => 'consultant'])->assertNoContent();
    $this->putJson("$path/people/{$this->inspector->id}", ['role' => 'painter'])->assertStatus(422);
    $members = array_column($this->getJson("$path/people")->assertOk()->json(), null, 'id');
    expect([$members[$this->inspector->id]['role'], $members[$this->inspector->id]['asked']])
        ->toBe(['consultant', true])
        ->and($this->inspector->fresh()->can('edit', $this->project))
        ->toBeTrue();
    // Of another practice nobody is asked in by their number.
    $this->putJson("$path/people/".person(Role::Reader)->id, ['role' => 'reader'])->assertForbidden();
    $this->putJson("$path/people/{$this->inspector->id}", ['role' => null])->assertNoContent();
    expect($this->inspector->fresh()->can('edit', $this->project))->toBeFalse();
    $done = $this->getJson("$path/history")->assertOk()->json();
    $said = array_values(array_filter($done, fn (array $row): bool => $row['what'] === 'said who takes part'));
    expect(array_column($said, 'account'))
        ->toBe([$this->consultant->email, $this->consultant->email])
        ->and($said[1]['of'])
        ->toContain('consultant');
});

it('shows a guest the projects they were asked into, and no others', function () {
    $guest = person(Role::Reader, $this->consultant->organisation);
    $guest->update(['guest' => true]);
    $this->actingAs($guest);
    expect($this->getJson('/api/projects')->assertOk()->json())->toBe([]);
    Membership::create(['project_id' => $this->project->id, 'user_id' => $guest->id, 'role' => Role::Reader]);
    expect(array_column($this->getJson('/api/projects')->assertOk()->json(), 'role', 'id'))->toBe([
        $this->project->id => 'reader',
    ]);
    $this->getJson("/api/projects/{$this->project->id}")->assertForbidden();
});

it('tells of every save, reading, photograph, report and act by account, page by page', function () {
    $path = "/api/projects/{$this->project->id}";
    $this->actingAs($this->consultant);
    $assembly = array_column($this->getJson($path)->json('assemblies'), null, 'key')['w2'];
    $this->putJson("$path/documents/assembly/w2", [
        'revision' => $assembly['revision'],
        'content' => ['name' => 'Another name'] + $assembly['content'],
    ])->assertOk();
    $this->postJson("$path/revisions", ['title' => 'For tender', 'words' => ''])->assertCreated();
    $done = $this->getJson("$path/history")->assertOk()->json();
    $said = array_map(fn (array $row): string => "{$row['what']}: {$row['of']}", $done);
    expect($said)
        ->toContain('saved: assembly w2, revision '.($assembly['revision'] + 1), 'issued: revision 1, For tender')
        ->and(implode("\n", $said))
        ->toContain('on site: ')
        ->toContain('report: ');
    $older = $this->getJson("$path/history?before=2020-01-01T00:00:00Z")->assertOk()->json();
    expect($older)->toBe([]);
    foreach (['acts', 'issued_revisions'] as $table) {
        expect(fn () => DB::table($table)->update(['by' => 'somebody else']))
            ->toThrow(Illuminate\Database\QueryException::class, 'only ever added to')
            ->and(fn () => DB::table($table)->delete())
            ->toThrow(Illuminate\Database\QueryException::class, 'only ever added to');
    }
});

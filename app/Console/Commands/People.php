<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Organisation;
use App\Models\Role;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

class People extends Command
{
    protected $signature = 'apron:people {what : add, reset, remove or list} {name?} {email?} {role?} {practice?}';

    protected $description = 'Adds people, gives them new passwords, takes them out, or lists them';

    public function handle(): int
    {
        try {
            match ($this->said('what')) {
                'list' => $this->all(),
                'add' => $this->add(
                    trim($this->said('name')),
                    mb_strtolower(trim($this->said('email'))),
                    Role::tryFrom($this->said('role')),
                ),
                'reset' => $this->reset($this->found($this->said('name'))),
                'remove' => $this->remove($this->found($this->said('name'))),
                default => throw new \InvalidArgumentException('./apron people add, reset, remove or list'),
            };
        } catch (\InvalidArgumentException $wrong) {
            $this->error($wrong->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    private function all(): void
    {
        foreach (User::orderBy('email')->get() as $person) {
            $this->line(
                "{$person->email}  {$person->name}  {$person->role->value}".
                    ($person->admin ? ', invites' : '').
                    ($person->left_at === null ? '' : '  left'),
            );
        }
    }

    private function add(string $name, string $email, ?Role $role): void
    {
        if ($name === '' || filter_var($email, FILTER_VALIDATE_EMAIL) === false || $role === null) {
            throw new \InvalidArgumentException(
                './apron people add "Their Name" them@practice.example consultant|inspector|crew-lead|reader "The Practice"',
            );
        }
        if (User::where('email', $email)->exists()) {
            throw new \InvalidArgumentException("{$email} is here already: ./apron people reset {$email}");
        }
        $secret = self::password();
        $practice = $this->practice();
        User::create([
            'organisation_id' => $practice->id,
            // The first of a practice invites the others.
            'admin' => ! User::where('organisation_id', $practice->id)->exists(),
            'name' => $name,
            'email' => $email,
            'role' => $role,
            'password' => $secret,
        ]);
        $this->line("{$name} signs in as {$email} with {$secret}");
    }

    private function practice(): Organisation
    {
        $name = $this->said('practice');

        return ($name === ''
            ? Organisation::orderBy('created_at')->first()
            : Organisation::firstOrCreate(['name' => $name])) ??
            throw new \InvalidArgumentException('The first person needs a practice: a fourth word after the role.');
    }

    private function reset(User $person): void
    {
        $secret = self::password();
        $person->update(['password' => $secret, 'left_at' => null, 'invited_at' => null]);
        $person->closeSessions();
        $this->line("{$person->name} signs in as {$person->email} with {$secret}; what was open elsewhere is closed.");
    }

    /** What they saw and saved stays under their name; another password closes what is open. */
    private function remove(User $person): void
    {
        $person->update(['left_at' => now(), 'password' => self::password()]);
        $person->closeSessions();
        $this->line("{$person->name} signs in no more. What they wrote stays.");
    }

    private function found(string $email): User
    {
        return User::where('email', mb_strtolower($email))->first() ??
            throw new \InvalidArgumentException("Nobody signs in as {$email}.");
    }

    private function said(string $argument): string
    {
        $said = $this->argument($argument);

        return is_string($said) ? $said : '';
    }

    private static function password(): string
    {
        return implode('-', str_split(Str::lower(Str::random(16)), 4));
    }
}

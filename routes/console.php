<?php

use App\Jobs\PrintReport;
use App\Models\Organisation;
use App\Models\Project;
use App\Models\Report;
use App\Models\Role;
use App\Models\User;
use App\Project\PhotographIntake;
use App\Project\ProjectStore;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

Artisan::command('apron:demo', function (ProjectStore $store, PhotographIntake $intake): void {
    if (User::query()->exists()) {
        $this->line('The demo is loaded already.');

        return;
    }
    // Cut short, it leaves nothing, and the next start loads it whole.
    DB::transaction(function () use ($store, $intake): void {
        $practice = Organisation::create(['name' => 'Harrow & Tern, envelope consultants']);
        $people = [
            ['name' => 'Ines Calder', 'email' => 'consultant@demo.test', 'role' => Role::Consultant],
            ['name' => 'Tomas Wren', 'email' => 'inspector@demo.test', 'role' => Role::Inspector],
        ];
        foreach ($people as $person) {
            $users[] = User::create($person + ['organisation_id' => $practice->id, 'password' => 'lapped-outward']);
        }
        $project = $store->import((string) file_get_contents(base_path('database/demo/project.json')), $users[0]);
        foreach (glob(base_path('database/demo/photographs/*.jpg')) ?: [] as $photograph) {
            $intake->keep($project, (string) file_get_contents($photograph), $users[0]);
        }
    });
    $this->line('Loaded '.Project::count().' demo project.');
})->purpose('Loads the demo, once');

Artisan::command('apron:take-up', function (): void {
    // The worker is not running yet: whatever is marked as being worked on was cut short.
    DB::table('jobs')->whereNotNull('reserved_at')->update(['reserved_at' => null, 'available_at' => now()->getTimestamp()]);
    foreach (Report::where('state', 'printing')->get() as $report) {
        $report->update(['state' => 'queued', 'percent' => 0, 'doing' => 'taken up again']);
        if (! DB::table('jobs')->where('payload', 'like', "%{$report->id}%")->exists()) {
            PrintReport::dispatch($report->id);
        }
    }
})->purpose('Takes reports up again that were cut short');

Artisan::command('apron:people {what : add, reset, remove or list} {name?} {email?} {role?} {practice?}', function (string $what): int {
    $found = fn (string $email): User => User::where('email', mb_strtolower($email))->first() ?? throw new InvalidArgumentException("Nobody signs in as {$email}.");
    $password = fn (): string => implode('-', str_split(Str::lower(Str::random(16)), 4));
    try {
        match ($what) {
            'list' => User::orderBy('email')->get()->each(fn (User $u) => $this->line("{$u->email}  {$u->name}  {$u->role->value}".($u->left_at === null ? '' : '  left'))),
            'add' => (function () use ($password): void {
                [$name, $email, $role] = [trim((string) $this->argument('name')), mb_strtolower(trim((string) $this->argument('email'))), Role::tryFrom((string) $this->argument('role'))];
                if ($name === '' || filter_var($email, FILTER_VALIDATE_EMAIL) === false || $role === null) {
                    throw new InvalidArgumentException('./apron people add "Their Name" them@practice.example consultant|inspector "The Practice"');
                }
                if (User::where('email', $email)->exists()) {
                    throw new InvalidArgumentException("{$email} is here already: ./apron people reset {$email}");
                }
                $practice = (string) $this->argument('practice');
                $organisation = $practice === '' ? Organisation::orderBy('created_at')->first() : Organisation::firstOrCreate(['name' => $practice]);
                if ($organisation === null) {
                    throw new InvalidArgumentException('The first person needs a practice: a fourth word after the role.');
                }
                $secret = $password();
                User::create(['organisation_id' => $organisation->id, 'name' => $name, 'email' => $email, 'role' => $role, 'password' => $secret]);
                $this->line("{$name} signs in as {$email} with {$secret}");
            })(),
            'reset' => (function () use ($found, $password): void {
                $person = $found((string) $this->argument('name'));
                $secret = $password();
                $person->update(['password' => $secret, 'left_at' => null]);
                $this->line("{$person->name} signs in as {$person->email} with {$secret}; what was open elsewhere is closed.");
            })(),
            'remove' => (function () use ($found, $password): void {
                // What they saw and saved stays under their name; another password closes what is open.
                $person = $found((string) $this->argument('name'));
                $person->update(['left_at' => now(), 'password' => $password()]);
                $this->line("{$person->name} signs in no more. What they wrote stays.");
            })(),
            default => throw new InvalidArgumentException('./apron people add, reset, remove or list'),
        };
    } catch (InvalidArgumentException $wrong) {
        $this->error($wrong->getMessage());

        return 1;
    }

    return 0;
})->purpose('Accounts of this instance');

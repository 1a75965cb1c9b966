<?php

declare(strict_types=1);

use App\Jobs\PrintReport;
use App\Jobs\RunWall;
use App\Models\Membership;
use App\Models\Organisation;
use App\Models\Project;
use App\Models\Report;
use App\Models\ReportState;
use App\Models\Role;
use App\Models\Run;
use App\Models\RunState;
use App\Models\User;
use App\Project\PhotographIntake;
use App\Project\ProjectImport;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

Artisan::command('apron:demo', function (ProjectImport $import, PhotographIntake $intake): void {
    if (User::query()->exists()) {
        $this->line('The demo is loaded already.');

        return;
    }
    // Cut short, it leaves nothing, and the next start loads it whole.
    DB::transaction(function () use ($import, $intake): void {
        $practice = Organisation::create(['name' => 'Harrow & Tern, envelope consultants']);
        $people = [
            ['name' => 'Ines Calder', 'email' => 'consultant@demo.test', 'role' => Role::Consultant, 'admin' => true],
            ['name' => 'Tomas Wren', 'email' => 'inspector@demo.test', 'role' => Role::Inspector],
            ['name' => 'Odile Marsh', 'email' => 'crew@demo.test', 'role' => Role::CrewLead],
            ['name' => 'Piet Sandel', 'email' => 'reader@demo.test', 'role' => Role::Reader, 'guest' => true],
        ];
        foreach ($people as $person) {
            $users[] = User::create($person + ['organisation_id' => $practice->id, 'password' => 'lapped-outward']);
        }
        $project = $import->parse((string) file_get_contents(base_path('database/demo/project.json')), $users[0]);
        // The owner's architect, of another house, reads what is issued of this project.
        Membership::create(['project_id' => $project->id, 'user_id' => $users[3]->id, 'role' => Role::Reader]);
        foreach (glob(base_path('database/demo/photographs/*.jpg')) ?: [] as $photograph) {
            $intake->keep($project, (string) file_get_contents($photograph), $users[0]);
        }
    });
    $this->line('Loaded '.Project::count().' demo project.');
})->purpose('Loads the demo, once');

Artisan::command('apron:take-up {queue?}', function (?string $queue = null): void {
    // The worker is not running yet: whatever is marked as being worked on was cut short.
    DB::table('jobs')
        ->whereNotNull('reserved_at')
        ->when($queue !== null, fn ($jobs) => $jobs->where('queue', $queue))
        ->update(['reserved_at' => null, 'available_at' => now()->getTimestamp()]);
    if ($queue !== 'default') {
        Run::where('state', RunState::Running)->update(['state' => RunState::Queued, 'doing' => 'taken up again']);
    }
    if ($queue === RunWall::QUEUE) {
        return;
    }
    foreach (Report::where('state', ReportState::Printing)->get() as $report) {
        $report->update(['state' => ReportState::Queued, 'percent' => 0, 'doing' => 'taken up again']);
        if (
            ! DB::table('jobs')
                ->where('payload', 'like', "%{$report->id}%")
                ->exists()
        ) {
            PrintReport::dispatch($report->id);
        }
    }
})->purpose('Takes reports and runs up again that were cut short');

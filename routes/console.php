<?php

use App\Models\Organisation;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use App\Project\PhotographIntake;
use App\Project\ProjectStore;
use Illuminate\Support\Facades\Artisan;

Artisan::command('apron:demo', function (ProjectStore $store, PhotographIntake $intake): void {
    if (User::query()->exists()) {
        $this->line('The demo is loaded already.');

        return;
    }
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
    $this->line('Loaded '.Project::count().' demo project.');
})->purpose('Loads the demo, once');

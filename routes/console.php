<?php

use App\Models\Organisation;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use App\Project\ProjectArchive;
use Illuminate\Support\Facades\Artisan;

Artisan::command('apron:demo', function (ProjectArchive $archive): void {
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
    $archive->import(base_path('database/demo/library.zip'), $users[0]);
    $this->line('Loaded '.Project::count().' demo project.');
})->purpose('Loads the demo, once');

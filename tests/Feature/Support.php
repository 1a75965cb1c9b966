<?php

declare(strict_types=1);

use App\Models\Document;
use App\Models\Organisation;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use App\Project\ProjectImport;

/** @return array<string, mixed> what a document holds */
function contentOf(Document $document): array
{
    return json_decode($document->content, true);
}

function person(Role $role, ?Organisation $practice = null): User
{
    $practice ??= Organisation::create(['name' => 'A practice']);
    static $n = 0;
    $n++;

    return User::create([
        'organisation_id' => $practice->id,
        'name' => "Person $n",
        'email' => "person$n@case.test",
        'password' => 'lapped-outward',
        'role' => $role,
    ]);
}

/** @return array{Project, User, User} the demo as a project, a consultant and an inspector of its practice */
function practice(): array
{
    $practice = Organisation::create(['name' => 'A practice']);
    $consultant = person(Role::Consultant, $practice);
    $file = demoFile();
    // The photographs of the demo are files of their own and not part of these cases.
    $file['site']['events'] = array_values(
        array_filter($file['site']['events'], fn (array $e): bool => ! isset($e['photographs'])),
    );

    return [
        app(ProjectImport::class)->parse(json_encode($file), $consultant),
        $consultant,
        person(Role::Inspector, $practice),
    ];
}

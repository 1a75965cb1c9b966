<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Project;
use App\Models\Role;
use App\Models\User;

/** Who may do what in a project, by what they do there. */
class ProjectPolicy
{
    /** What has been issued. */
    public function read(User $user, Project $project): bool
    {
        return $user->roleIn($project) !== null;
    }

    /** The project as it stands now. */
    public function view(User $user, Project $project): bool
    {
        return ! in_array($user->roleIn($project), [null, Role::Reader], true);
    }

    /** Assemblies, details, the brief; what is issued, and who takes part. */
    public function edit(User $user, Project $project): bool
    {
        return $user->roleIn($project) === Role::Consultant;
    }

    /** What is seen on site. */
    public function inspect(User $user, Project $project): bool
    {
        return in_array($user->roleIn($project), [Role::Consultant, Role::Inspector], true);
    }

    public function create(User $user): bool
    {
        return $user->role === Role::Consultant && ! $user->guest;
    }

    /** Who works in the project: its consultants say, and who invites for the practice. */
    public function people(User $user, Project $project): bool
    {
        return $this->edit($user, $project) || ($user->admin && $user->organisation_id === $project->organisation_id);
    }
}

<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Project;
use App\Models\Role;
use App\Models\User;

class ProjectPolicy
{
    public function view(User $user, Project $project): bool
    {
        return $user->organisation_id === $project->organisation_id;
    }

    /** Assemblies, details, the brief. */
    public function edit(User $user, Project $project): bool
    {
        return $this->view($user, $project) && $user->role === Role::Consultant;
    }

    /** What is seen on site. */
    public function inspect(User $user, Project $project): bool
    {
        return $this->view($user, $project);
    }

    public function create(User $user): bool
    {
        return $user->role === Role::Consultant;
    }
}

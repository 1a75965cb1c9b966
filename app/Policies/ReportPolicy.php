<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Report;
use App\Models\Role;
use App\Models\User;

class ReportPolicy
{
    public function view(User $user, Report $report): bool
    {
        return $report->project !== null && $user->can('view', $report->project);
    }

    /** One's own, or anybody's for who answers for the project. */
    public function cancel(User $user, Report $report): bool
    {
        return $this->view($user, $report) && ($report->user_id === $user->id || $user->role === Role::Consultant);
    }
}

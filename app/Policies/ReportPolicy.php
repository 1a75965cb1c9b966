<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Report;
use App\Models\Role;
use App\Models\User;

class ReportPolicy
{
    /** That of an issued revision is for everybody of the project, any other for who sees the project. */
    public function view(User $user, Report $report): bool
    {
        $ability = $report->issued_revision_id === null ? 'view' : 'read';

        return $report->project !== null && $user->can($ability, $report->project);
    }

    /** One's own, or anybody's for who answers for the project. */
    public function cancel(User $user, Report $report): bool
    {
        return $this->view($user, $report) &&
            $report->project !== null &&
            ($report->user_id === $user->id || $user->roleIn($report->project) === Role::Consultant);
    }
}

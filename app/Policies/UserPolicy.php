<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** People of a practice are asked in, and sent out, by those who may invite there. */
class UserPolicy
{
    public function invite(User $user): bool
    {
        return $user->admin;
    }

    public function change(User $user, User $other): bool
    {
        return $user->admin && $user->organisation_id === $other->organisation_id;
    }
}

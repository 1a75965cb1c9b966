<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\IssuedRevision;
use App\Models\User;

class IssuedRevisionPolicy
{
    public function read(User $user, IssuedRevision $revision): bool
    {
        return $revision->project !== null && $user->can('read', $revision->project);
    }
}

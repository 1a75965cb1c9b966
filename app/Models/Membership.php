<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody does in one project, where that is not what they do in the practice.
 *
 * @property string $project_id
 * @property string $user_id
 * @property Role $role
 * @property User|null $user
 */
class Membership extends Model
{
    protected $guarded = [];

    protected $casts = ['role' => Role::class];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

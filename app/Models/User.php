<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property string $id
 * @property string $organisation_id
 * @property string $name
 * @property Role $role
 * @property \Illuminate\Support\Carbon|null $left_at when they left; what they wrote stays under their name
 */
class User extends Authenticatable
{
    use HasUlids;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'left_at' => 'datetime'];
    }
}

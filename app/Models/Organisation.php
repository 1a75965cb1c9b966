<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/** A practice: its people see its projects and no others. */
class Organisation extends Model
{
    use HasUlids;

    protected $guarded = [];
}

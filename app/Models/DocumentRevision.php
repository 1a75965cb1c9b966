<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A document as one save left it. */
class DocumentRevision extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];
}

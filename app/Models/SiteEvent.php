<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One thing seen on site. Only ever added: the database refuses to change or remove it.
 *
 * @property string $event the id the phone gave it
 * @property string $kind
 * @property string $content JSON
 * @property string|null $user_id the account that sent it, or brought it in with a file
 * @property bool $imported
 */
class SiteEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}

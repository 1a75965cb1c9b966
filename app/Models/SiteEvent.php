<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One thing seen on site. Only ever added: the database refuses to change or remove it.
 *
 * @property string $event the id the phone gave it
 * @property string $kind
 * @property string $content JSON
 */
class SiteEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}

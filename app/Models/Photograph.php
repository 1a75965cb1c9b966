<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A photograph, kept by the SHA-256 of its re-encoded bytes.
 *
 * @property string $project_id
 * @property string $sha256
 * @property int $width
 * @property int $height
 */
class Photograph extends Model
{
    protected $guarded = [];

    public function path(): string
    {
        return "photographs/{$this->project_id}/{$this->sha256}.jpg";
    }
}

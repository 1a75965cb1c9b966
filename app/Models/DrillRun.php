<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One order of the steps that somebody tried and kept: the training record of the pre-installation meeting.
 *
 * @property int $id
 * @property string $project_id
 * @property string $detail
 * @property string $title
 * @property string $by
 * @property list<int> $order
 * @property int $tries
 * @property int $broken
 * @property string $worst
 * @property \Illuminate\Support\Carbon|null $created_at
 */
class DrillRun extends Model
{
    protected $fillable = ['project_id', 'detail', 'title', 'by', 'order', 'tries', 'broken', 'worst', 'created_at'];

    protected $casts = ['order' => 'array'];

    /** @return array<string, mixed> */
    public function toShape(): array
    {
        return ['detail' => $this->detail, 'title' => $this->title, 'by' => $this->by, 'at' => $this->created_at?->toIso8601ZuluString(), 'order' => $this->order, 'tries' => $this->tries, 'broken' => $this->broken, 'worst' => $this->worst];
    }
}

<?php

declare(strict_types=1);

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
 * @property string $at ISO 8601, UTC, to the second
 * @property string|null $user_id
 */
class DrillRun extends Model
{
    protected $guarded = [];

    protected $casts = ['order' => 'array'];

    /** @return array<string, mixed> */
    public function toShape(): array
    {
        return [
            'detail' => $this->detail,
            'title' => $this->title,
            'by' => $this->by,
            'at' => $this->at,
            // An earlier version kept numbers as the text they were sent as.
            'order' => array_map(intval(...), $this->order),
            'tries' => $this->tries,
            'broken' => $this->broken,
            'worst' => $this->worst,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A wall through years of hours: how far it has come, and what it came to.
 *
 * @property string $hash of all that goes into it
 * @property RunState $state
 * @property int $years
 * @property int $years_done
 * @property string $doing
 * @property string|null $memory
 * @property string|null $result
 */
class Run extends Model
{
    protected $primaryKey = 'hash';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $guarded = [];

    protected $attributes = ['years_done' => 0];

    protected $casts = ['state' => RunState::class];

    /** @return array{state: string, years: int, years_done: int, doing: string} */
    public function toShape(): array
    {
        return [
            'state' => $this->state->value,
            'years' => $this->years,
            'years_done' => $this->years_done,
            'doing' => $this->doing,
        ];
    }
}

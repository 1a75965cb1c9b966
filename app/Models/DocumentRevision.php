<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A document as one save left it, or that it was removed. Only ever added: the database refuses to change or remove it.
 *
 * @property int $number
 * @property string|null $content JSON; null where it was removed
 * @property string $by the name of whoever saved it, as it was then
 * @property string|null $user_id their account
 * @property \Illuminate\Support\Carbon $created_at
 */
class DocumentRevision extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @return array{number: int, at: string, by: string, content: mixed} */
    public function toShape(): array
    {
        return [
            'number' => $this->number,
            'at' => $this->created_at->toIso8601ZuluString(),
            'by' => $this->by,
            'content' => $this->content === null ? null : json_decode($this->content, false, 64, JSON_THROW_ON_ERROR),
        ];
    }
}

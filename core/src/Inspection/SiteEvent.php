<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Severity;

/** One observation, with the id that the phone gave it. */
final readonly class SiteEvent
{
    /** @param  list<string>  $photographs SHA-256 of each, in hexadecimal */
    public function __construct(
        public string $id,
        public EventKind $kind,
        /** the id of the visit's own event; its own for a visit */
        public string $visit,
        /** ISO 8601, UTC */
        public string $at,
        public string $by,
        /** the account that sent it, beside the name it had then; null where an earlier version wrote it */
        public ?string $account,
        public ?string $check,
        /** mm */
        public ?float $value,
        public ?string $typed,
        /** of a look: whether it is as it should be */
        public ?bool $holds,
        public ?string $instrument,
        /** the reading this one corrects */
        public ?string $supersedes,
        /** the event that raised the fault this one is about; its own for a raising */
        public ?string $fault,
        public ?Severity $severity,
        public ?string $words,
        public ?bool $passes,
        public array $photographs,
        /** of a reading; null where an earlier version wrote it */
        public ?Asked $asked,
    ) {
    }

    /** Times of one length, so that they sort as text: phones send thousandths of a second and files may not. */
    public function instant(): string
    {
        [$seconds, $fraction] = [substr($this->at, 0, 19), rtrim(substr($this->at, 20), 'Z')];

        return $seconds.'.'.str_pad($fraction, 12, '0');
    }

    public static function order(self $a, self $b): int
    {
        return [$a->instant(), $a->id] <=> [$b->instant(), $b->id];
    }
}

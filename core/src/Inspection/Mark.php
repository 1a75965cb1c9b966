<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** An arrow or words on a photograph, in shares of its width and height from its upper left corner. */
final readonly class Mark
{
    /**
     * @param  array{float, float}  $at  the tip of the arrow, or where the words begin
     * @param  array{float, float}|null  $from  where the arrow comes from; null of words alone
     */
    public function __construct(public array $at, public ?array $from, public ?string $words)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['at' => $this->at] +
            ($this->from === null ? [] : ['from' => $this->from]) +
            ($this->words === null ? [] : ['words' => $this->words]);
    }
}

<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Json\Node;

/** A leak that was found while the fan ran. */
final readonly class Leak
{
    public function __construct(
        public string $words,
        /** the joint of the building that it is at, or the part; null where nobody has said */
        public ?string $joint = null,
    ) {
    }

    public static function read(Node $row): self
    {
        $row->object(['words', 'joint'], ['words']);

        return new self($row->get('words')->text(500), $row->optional('joint')?->text(400));
    }

    /** @return array<string, string> */
    public function write(): array
    {
        return ['words' => $this->words] + ($this->joint === null ? [] : ['joint' => $this->joint]);
    }
}

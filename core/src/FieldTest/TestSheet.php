<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** A test in the field as somebody wrote it down. */
abstract readonly class TestSheet
{
    public string $id;

    public function __construct(public TestHead $head)
    {
        $this->id = $head->id;
    }

    /** @return array<string, mixed> as `apron-project/1` has it, without what its head says */
    abstract public function write(): array;
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** What a detail proves of the joint it is named at: null is nothing, an empty text that it carries, else why not. */
final readonly class Proof
{
    public function __construct(public ?string $water, public ?string $air)
    {
    }
}

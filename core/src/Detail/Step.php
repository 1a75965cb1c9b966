<?php

declare(strict_types=1);

namespace Apron\Detail;

/** One step of the work: what is done, by its code in the text catalogue, with the figures its words speak of. */
final readonly class Step
{
    /** @param  array<string, float|int|string>  $figures */
    public function __construct(public int $number, public string $does, public array $figures)
    {
    }
}

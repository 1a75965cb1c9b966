<?php

declare(strict_types=1);

namespace Apron\Detail;

/** How a detail was made, so that it can be made again with one parameter changed. */
final readonly class Generated
{
    /** @param  array<string, float|string>  $parameters */
    public function __construct(public string $generator, public array $parameters)
    {
    }
}

<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;

/** An assembly with one change made to it, and the figures that the words of the change need. */
final readonly class Step
{
    /**
     * @param  float|null  $to  what was changed comes to: mm, or ng/(Pa·s·m²)
     * @param  array<string, float|int|string>  $figures
     */
    public function __construct(public Assembly $assembly, public ?float $to, public array $figures)
    {
    }
}

<?php

declare(strict_types=1);

namespace Apron\Sealant;

use Apron\Rules\RuleFigures;

/** What a coat is laid on: the rougher, the more goes into it. */
enum CoatOn: string
{
    case Smooth = 'smooth';
    case Rough = 'rough';
    case Masonry = 'masonry';

    /** How much more goes in than on a smooth face, as a factor. */
    public function takes(): float
    {
        return RuleFigures::of('films')->figure("on_$this->value");
    }
}

<?php

declare(strict_types=1);

namespace Apron\Cure;

/** What a material takes over from the one it stands in for. */
enum Keeps: string
{
    case Thickness = 'thickness';
    case Resistance = 'resistance';

    /** nothing: it comes in its own thickness */
    case Usual = 'usual';
}

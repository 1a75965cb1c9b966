<?php

declare(strict_types=1);

namespace Apron\Plan;

/** What of a product has to come to its end before the next thing. */
enum Cures: string
{
    case Cure = 'cure';
    case Recoat = 'recoat';
    case Tack = 'tack';
}

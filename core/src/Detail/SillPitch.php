<?php

declare(strict_types=1);

namespace Apron\Detail;

/** Which way the sill of an opening drains. */
enum SillPitch: string
{
    case Out = 'out';
    case Level = 'level';
    case In = 'in';
}

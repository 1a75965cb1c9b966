<?php

declare(strict_types=1);

namespace Apron\Cure;

/** What of an assembly a cure changes. */
enum CureKind: string
{
    case Thickness = 'thickness';

    case Permeance = 'permeance';

    case Material = 'material';

    /** how steel framing is reckoned */
    case Method = 'method';
}

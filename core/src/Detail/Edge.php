<?php

declare(strict_types=1);

namespace Apron\Detail;

/** How an edge of a patch holds against water. */
enum Edge: string
{
    /** A fastened sheet, metal, board or unit: water gets past it. */
    case Open = 'open';
    /** Relies on a bond: self-adhered membrane or tape. */
    case Adhered = 'adhered';
    /** Relies on a seal: sealant, mastic or a fluid coat. */
    case Sealed = 'sealed';
}

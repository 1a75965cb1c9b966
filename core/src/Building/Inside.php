<?php

declare(strict_types=1);

namespace Apron\Building;

/** What a block holds: what is conditioned is what the envelope bounds. */
enum Inside: string
{
    case Conditioned = 'conditioned';
    /** a garage, a glazed porch */
    case Unconditioned = 'unconditioned';
    /** a canopy */
    case Open = 'open';
}

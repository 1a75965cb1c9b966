<?php

declare(strict_types=1);

namespace Apron\Material;

/** Whether a fastener driven through it is sealed by it. */
enum NailSeal: string
{
    case No = 'no';
    case OneLayer = 'one-layer';
    /** only where two layers lie over each other */
    case TwoLayers = 'two-layers';
}

<?php

declare(strict_types=1);

namespace Apron\Detail;

enum PieceRole: string
{
    case Plane = 'plane';
    case Pan = 'pan';
    case HeadFlashing = 'head-flashing';
    case UnderSill = 'under-sill';
}

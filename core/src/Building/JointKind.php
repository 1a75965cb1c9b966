<?php

declare(strict_types=1);

namespace Apron\Building;

/** Where two parts meet. */
enum JointKind: string
{
    case OutsideCorner = 'outside-corner';
    case InsideCorner = 'inside-corner';
    case AssemblyChange = 'assembly-change';
    case Parapet = 'parapet';
    case Eaves = 'eaves';
    case Verge = 'verge';
    case Ridge = 'ridge';
    case WallAboveRoof = 'wall-above-roof';
    case WallToFoundation = 'wall-to-foundation';
    case FoundationToSlab = 'foundation-to-slab';
    case WallToSlab = 'wall-to-slab';
    case WallToSoffit = 'wall-to-soffit';
    case SoffitToWall = 'soffit-to-wall';
    case Unconditioned = 'unconditioned';
    case Sill = 'sill';
    case Head = 'head';
    case Jamb = 'jamb';
    case Penetration = 'penetration';
    case Movement = 'movement';
}

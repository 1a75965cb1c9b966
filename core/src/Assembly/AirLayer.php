<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** How an air layer moves: ISO 6946:2017, 6.9. */
enum AirLayer: string
{
    case Still = 'still';
    /** Half the resistance of still air, and no more than 0.15 m²K/W counted outside it: ISO 6946:2007, 5.3.3. */
    case SlightlyVentilated = 'slightly-ventilated';
    /** It and everything outside it are left out; the outer surface is then taken as an inner one. */
    case Ventilated = 'ventilated';
}

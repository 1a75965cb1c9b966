<?php

declare(strict_types=1);

namespace App\Station;

/** What a gauge reads. */
enum GaugeKind: string
{
    /** moisture of wood, % */
    case Pins = 'pins';
    /** dry film, µm */
    case Film = 'film';
    /** °C */
    case Thermometer = 'thermometer';
}

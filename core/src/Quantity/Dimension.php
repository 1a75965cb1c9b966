<?php

declare(strict_types=1);

namespace Apron\Quantity;

/** What a field measures. The stored unit is the one named here; everything else is converted on reading. */
enum Dimension: string
{
    /** mm */
    case Length = 'length';
    /** mm; also takes `R-10` and `RSI 1.8`, the thickness of the given material that gives it */
    case Thickness = 'thickness';
    /** °C */
    case Temperature = 'temperature';
    /** % */
    case Percent = 'percent';
    /** ng/(Pa·s·m²) */
    case Permeance = 'permeance';
    /** m²K/W */
    case Resistance = 'resistance';
    /** pieces per m² */
    case PerArea = 'per-area';
    /** Pa */
    case Pressure = 'pressure';
    /** m² */
    case Area = 'area';
    /** m along joints: what is too long for millimetres */
    case Run = 'run';
}

<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** What can happen on site. Events are only ever added; a later one corrects an earlier one, which stays. */
enum EventKind: string
{
    case Visit = 'visit';
    case Reading = 'reading';
    case Photograph = 'photograph';
    case FaultRaised = 'fault-raised';
    case FaultRepaired = 'fault-repaired';
    /** somebody was asked to mend it, by a day */
    case FaultAssigned = 'fault-assigned';
    case FaultReinspected = 'fault-reinspected';
    /** something else was used than what was planned there */
    case Substitution = 'substitution';
}

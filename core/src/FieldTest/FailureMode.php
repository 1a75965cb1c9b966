<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** Where what was pulled let go (ASTM D4541, from memory). */
enum FailureMode: string
{
    /** in what it is stuck to: the bond holds more than that */
    case Substrate = 'substrate';
    /** in itself */
    case Cohesive = 'cohesive';
    /** between the two: the bond itself */
    case Adhesive = 'adhesive';
    /** in the glue of the dolly: the bond holds at least that */
    case Glue = 'glue';
}

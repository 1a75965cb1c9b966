<?php

declare(strict_types=1);

namespace App\Models;

enum Role: string
{
    /** Decides assemblies and details, and answers for them. */
    case Consultant = 'consultant';

    /** Reads everything; writes what is seen on site. */
    case Inspector = 'inspector';
}

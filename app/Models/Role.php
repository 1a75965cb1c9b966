<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody does in a practice, or in one project. */
enum Role: string
{
    /** Decides assemblies and details, and answers for them. */
    case Consultant = 'consultant';

    /** Reads everything; writes what is seen on site. */
    case Inspector = 'inspector';

    /** Reads step cards, sizes, orders and waiting times. */
    case CrewLead = 'crew-lead';

    /** The architect, the owner, the authority: reads what has been issued, and nothing that is not. */
    case Reader = 'reader';
}

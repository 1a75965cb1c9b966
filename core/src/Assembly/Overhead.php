<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** What is over a wall, by how much rain it keeps off or sheds onto it. */
enum Overhead: string
{
    case Eaves = 'eaves';

    /** nothing worth the name */
    case None = 'none';

    /** a roof that sheds onto it */
    case RunOff = 'run-off';
}

<?php

declare(strict_types=1);

namespace Apron\Project;

/** A section whose documents are too long to be sent along with all the others. */
interface LongDocument
{
    /** What of one is sent in a list of them. */
    public function shortened(\stdClass $content): \stdClass;
}

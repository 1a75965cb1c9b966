<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Detail\Detail;
use Apron\Rules\Finding;

/**
 * One row of the opening schedule: a method and its sizes. Its pieces are not kept but made whenever the project is
 * read, so that a school or a wind settled for the project later reaches every opening that does not say otherwise.
 */
final readonly class ScheduledOpening
{
    /**
     * @param  array<string, float|string>  $parameters  as stated for this opening alone; lengths in mm
     * @param  list<string>  $between  ids of the assemblies it stands in or between
     * @param  array<string, float|string>  $seen  the wall as it was when somebody last looked at the opening
     * @param  list<Finding>  $inWall  what of it does not fit the wall, and what has changed there
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $generator,
        public array $parameters,
        public Detail $detail,
        public array $between = [],
        public array $seen = [],
        public array $inWall = [],
    ) {
    }
}

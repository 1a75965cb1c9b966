<?php

declare(strict_types=1);

namespace Apron\Building;

/** Something is put where it cannot stand. */
final class CannotPlace extends \Exception
{
    /** @param  int  $at  its number in its list */
    public function __construct(
        public readonly string $list,
        public readonly int $at,
        public readonly string $expected,
        public readonly string $found,
    ) {
        parent::__construct("$list $at: $found; expected $expected");
    }
}

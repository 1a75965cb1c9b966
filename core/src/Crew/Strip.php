<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;

/** A piece as it is cut off a roll, and how often. */
final readonly class Strip
{
    public function __construct(
        public string $id,
        public string $material,
        public PieceKind $kind,
        public CutSize $cut,
        public int $times = 1,
    ) {
    }
}

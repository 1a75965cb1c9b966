<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;

/** A change that clears a finding and brings no new fail or caution; or, without an assembly, one that was tried. */
final readonly class Cure
{
    /**
     * @param  string  $code  of its words
     * @param  string  $layer  id of what is changed or put in; empty where it is none
     * @param  array<string, float|int|string>  $figures  for the words of it
     * @param  list<array{x: float, y: float, clears: bool}>  $curve  by what is changed: mm, or ng/(Pa·s·m²)
     * @param  Assembly|null  $assembly  with the change made; null where nothing within reach clears it
     * @param  list<self>  $parts  the two of a cure that takes both
     */
    public function __construct(
        public CureKind $kind,
        public string $code,
        public string $layer,
        public array $figures,
        public ?float $from,
        public ?float $to,
        public array $curve,
        public ?Assembly $assembly,
        public array $parts = [],
    ) {
    }

    public static function none(): self
    {
        return new self(CureKind::None, 'cure.none', '', [], null, null, [], null);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A pipe or duct through a facet; patches are drawn straight over it. */
final readonly class Penetration
{
    /** @param  list<string>  $sealedTo pieces */
    public function __construct(
        public string $id,
        public string $facet,
        public Rect $rect,
        public array $sealedTo,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** What a section in two dimensions says of the joint that it is named at. */
final readonly class SectionProof
{
    public function __construct(
        /** W/(m·K); null where it is not between two airs */
        public ?float $psi,
        /** whether water comes out of the air on its inside */
        public bool $isWet,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** What is proved elsewhere of the joints of a building. */
final readonly class Proofs
{
    /**
     * @param  array<string, Proof>  $details  by id of the detail
     * @param  array<string, SectionProof>  $sections  by id of the section
     */
    public function __construct(public array $details = [], public array $sections = [])
    {
    }
}

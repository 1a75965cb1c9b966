<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A volume of air between layers: where it comes out, and what it runs into with nothing between. */
final readonly class Gap
{
    public const OUTDOORS = 'outdoors';

    public const INDOORS = 'indoors';

    /**
     * @param  list<Mouth>  $mouths
     * @param  list<string>  $joins  other gaps, outdoors or indoors
     */
    public function __construct(public string $id, public array $mouths, public array $joins)
    {
    }
}

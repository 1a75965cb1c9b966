<?php

declare(strict_types=1);

namespace Apron\Detail;

/** Where a gap comes out on a facet, and to which side where that is not plain from the facet. */
final readonly class Mouth
{
    /** @param  string|null  $to  outdoors or indoors */
    public function __construct(public string $facet, public Rect $rect, public ?string $to)
    {
    }
}

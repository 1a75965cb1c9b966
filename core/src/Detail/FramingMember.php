<?php

declare(strict_types=1);

namespace Apron\Detail;

/** Framing or blocking behind a facet: what a lap can be pressed against. */
final readonly class FramingMember
{
    public function __construct(public string $facet, public Rect $rect)
    {
    }
}

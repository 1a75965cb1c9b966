<?php

namespace Apron\Detail;

/** A piece flat on the bench, mm. */
final readonly class CutSize
{
    public function __construct(public float $length, public float $width)
    {
    }
}

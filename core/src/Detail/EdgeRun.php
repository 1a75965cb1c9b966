<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A stretch of one edge, mm along u for a top or bottom edge and along v for a side, and how it holds there. */
final readonly class EdgeRun
{
    public function __construct(public float $from, public float $to, public Edge $edge)
    {
    }
}

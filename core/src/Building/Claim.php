<?php

declare(strict_types=1);

namespace Apron\Building;

/** What a connection says of one thread: by what, and from which layer to which; null where it has the control. */
final readonly class Claim
{
    public function __construct(public HandedOver $by, public ?string $from = null, public ?string $to = null)
    {
    }
}

<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** What an assembly asks for in money and in hands: marks of a person, from which nothing is computed. */
final readonly class Effort
{
    public function __construct(public ?Cost $cost, public ?Skill $crew)
    {
    }
}

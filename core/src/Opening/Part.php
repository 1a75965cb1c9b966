<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Drafting\CannotGenerate;
use Apron\Trace\Outcome;

/**
 * One choice of how an opening is made: its water plane, its dressing, what holds the unit, what lies round it. It
 * brings pieces, steps, the figures of their words, least laps and room it needs; a composition puts several together.
 */
abstract class Part
{
    /** @return list<string> groups of `core/data/figures/openings.json` that it asks */
    public function groups(Composition $of): array
    {
        return [];
    }

    /** @return array<string, string> material parameter => the id it starts at */
    public function materials(Composition $of): array
    {
        return [];
    }

    /** @return list<string> what its steps do; the order of the trade puts them among the others */
    abstract public function steps(Scheme $in): array;

    /** @return list<Piece> */
    public function pieces(Scheme $in): array
    {
        return [];
    }

    /**
     * What the words of a step speak of; null for a step that is not its own.
     *
     * @return array<string, float>|null
     */
    public function figures(string $does, Scheme $in): ?array
    {
        return null;
    }

    /** @return list<LeastLap> */
    public function leastLaps(Scheme $in): array
    {
        return [];
    }

    /** @throws CannotGenerate where the sizes leave no room for it */
    public function demandRoom(Scheme $in): void
    {
    }

    /** The worst that this choice honestly brings, by the rain trace of what it draws. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::Shed;
    }
}

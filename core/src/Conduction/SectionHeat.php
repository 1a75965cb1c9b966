<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** What a section comes to, without its field: what others ask of it, and what is worth keeping. */
final readonly class SectionHeat
{
    public function __construct(
        /** W/(m·K); null where it is not between two airs */
        public ?float $psi,
        /** fRsi; null as ψ is */
        public ?float $factor,
        /** of the flow, by the last halving of its cells */
        public ?float $changed,
    ) {
    }

    /** @throws \Apron\Budget\TakesTooLong */
    public static function of(PlaneSection $section): self
    {
        $hash = self::hash($section);
        $kept = HeatCatalogue::keeper()?->find($hash);
        if ($kept !== null) {
            return $kept;
        }
        $heat = HeatCatalogue::solved($section);
        $told = new self($heat->psi(), $heat->factor(), $heat->changed);
        HeatCatalogue::keeper()?->keep($hash, $told);

        return $told;
    }

    /** Of all that the result follows from: its titles may be others. */
    public static function hash(PlaneSection $section): string
    {
        return hash('sha256', serialize([
            PlaneHeat::ENOUGH,
            array_map(fn (Block $block): array => [$block->rect, $block->conductivity], $section->blocks),
            $section->airs,
            $section->points,
            $section->flanking,
            $section->isRound,
        ]));
    }
}

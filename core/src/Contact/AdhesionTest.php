<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Rules\RuleFigures;

/** The pulls of one product on one face, in this project: what the real face says wins over a rule. */
final readonly class AdhesionTest
{
    /** @param  list<Pull>  $pulls  at least one */
    public function __construct(
        public string $id,
        /** the id of what was stuck, and of what it was stuck on */
        public string $product,
        public string $on,
        public array $pulls,
    ) {
    }

    /** @return non-empty-list<Pull> those of the last day: what held once and let go later has let go */
    private function latest(): array
    {
        $latest = [];
        foreach ($this->pulls as $pull) {
            $later = $latest === [] ? 1 : $pull->at <=> $latest[0]->at;
            $latest = match (true) {
                $later > 0 => [$pull],
                $later === 0 => [...$latest, $pull],
                default => $latest,
            };
        }

        return $latest ?: throw new \LogicException('a test without a pull');
    }

    public function held(): bool
    {
        return array_filter($this->latest(), fn (Pull $pull): bool => ! $pull->mode->holds()) === [];
    }

    /** The least days any of them had lain; null where it was not written down of each. */
    public function curedDays(): ?float
    {
        $least = INF;
        foreach ($this->latest() as $pull) {
            if ($pull->curedDays === null) {
                return null;
            }
            $least = min($least, $pull->curedDays);
        }

        return $least;
    }

    /** Whether it lay long enough for what moves slowly to have shown. */
    public function hasShown(): bool
    {
        return $this->held() && ($this->curedDays() ?? 0.0) >= RuleFigures::of('checks')->figure('oils_shown_days');
    }

    /** @return array{by: string, at: string} who pulled last, and when */
    public function signed(): array
    {
        $last = $this->latest()[0];

        return ['by' => $last->by, 'at' => $last->at];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Detail;

/** A stretch of a line, mm. */
final readonly class Interval
{
    private function __construct(public float $from, public float $to)
    {
    }

    public static function of(float $from, float $to): self
    {
        return new self($from, $to);
    }

    /**
     * The first stretch of it that none of these covers; null where they cover it all.
     *
     * @param  array<array{float, float}>  $runs
     */
    public function firstBare(array $runs): ?self
    {
        sort($runs);
        $from = $this->from;
        foreach ($runs as [$start, $end]) {
            if ($start > $from) {
                break;
            }
            $from = max($from, $end);
        }
        if ($from >= $this->to) {
            return null;
        }
        $next = array_filter(array_column($runs, 0), fn (float $start): bool => $start > $from && $start < $this->to);

        return new self($from, $next === [] ? $this->to : min($next));
    }

    /** @param  array<array{float, float}>  $runs */
    public function isCoveredBy(array $runs): bool
    {
        return $this->firstBare($runs) === null;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Acceptance;

/**
 * A finding that somebody has taken on, with their name and reason. It holds for the finding as it stood then: where
 * its severity or its figures, rounded, have changed since, it is open again.
 */
final readonly class Acceptance
{
    private const DIGITS = 3;

    /** one finding, one acceptance: what it is kept under follows from the finding */
    public string $id;

    public function __construct(
        /** of the finding */
        public string $key,
        public string $reason,
        public string $by,
        /** ISO 8601, UTC */
        public string $at,
        /** what the finding said, as `stamp` has it */
        public string $stamp,
    ) {
        $this->id = self::idOf($key);
    }

    public static function idOf(string $key): string
    {
        return 'a'.substr(hash('sha256', $key), 0, 20);
    }

    /**
     * What a finding says, so far as it matters to whoever took it on: how bad it is, and its figures to three digits.
     *
     * @param  array<mixed>  $figures  by name
     */
    public static function stamp(string $severity, array $figures): string
    {
        ksort($figures);
        $said = array_map(
            fn (mixed $figure): string => is_int($figure) || is_float($figure)
                ? sprintf('%.'.(self::DIGITS - 1).'e', $figure)
                : (string) json_encode($figure),
            $figures,
        );

        return substr(hash('sha256', $severity.' '.json_encode($said, JSON_THROW_ON_ERROR)), 0, 20);
    }

    /**
     * Findings as they are told, each with what was accepted of it; `changed` where it was accepted as something else.
     *
     * @param  list<\stdClass|array<string, mixed>>  $shapes
     * @param  array<string, self>  $acceptances  by key of the finding
     * @return list<\stdClass|array<string, mixed>>
     */
    public static function mark(array $shapes, array $acceptances): array
    {
        $marked = [];
        foreach ($shapes as $shape) {
            /** @var array<string, mixed> $row */
            $row = (array) $shape;
            $key = $row['key'] ?? null;
            $accepted = is_string($key) ? $acceptances[$key] ?? null : null;
            $marked[] = $accepted === null ? $shape : ['accepted' => $accepted->toldOf($row)] + $row;
        }

        return $marked;
    }

    /**
     * @param  array<string, mixed>  $shape  the finding as it is told now
     * @return array{by: string, at: string, reason: string, changed: bool}
     */
    private function toldOf(array $shape): array
    {
        $severity = $shape['severity'] ?? '';
        $now = self::stamp(is_string($severity) ? $severity : '', (array) ($shape['figures'] ?? []));

        return ['by' => $this->by, 'at' => $this->at, 'reason' => $this->reason, 'changed' => $now !== $this->stamp];
    }
}

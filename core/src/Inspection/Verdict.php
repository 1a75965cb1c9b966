<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Severity;

/** The readings of one check taken together; corrected ones left out. */
final readonly class Verdict
{
    public function __construct(
        /** null while nothing has been read */
        public ?Severity $severity,
        public int $count,
        /** the least of what was read; null for a look or without readings */
        public ?float $least,
        public ?float $most,
        public ?float $mean,
        /** share of the readings out of tolerance, 0 to 1 */
        public float $out,
    ) {
    }

    /**
     * @param  Check|null  $check  null where it is no longer made: its readings carry what it asked
     * @param  list<SiteEvent>  $readings
     */
    public static function of(?Check $check, array $readings): self
    {
        if ($readings === []) {
            return new self(null, 0, null, null, null, 0.0);
        }
        if ($check?->rhythm !== null) {
            $at = array_map(fn (SiteEvent $r): string => $r->at, $readings);
            array_multisort($at, $readings);
            $severity = self::judge($check, $readings[count($readings) - 1]);

            return new self($severity, count($readings), null, null, null, $severity === Severity::Pass ? 0.0 : 1.0);
        }
        $severities = array_map(fn (SiteEvent $reading): Severity => self::judge($check, $reading), $readings);
        $worst = array_reduce(
            $severities,
            fn (Severity $a, Severity $b): Severity => $b->rank() < $a->rank() ? $b : $a,
            Severity::Pass,
        );
        $values = array_values(
            array_filter(
                array_map(fn (SiteEvent $r): ?float => $r->reading()?->value, $readings),
                fn (?float $v): bool => $v !== null,
            ),
        );
        $out = count(array_filter($severities, fn (Severity $s): bool => $s !== Severity::Pass)) / count($readings);

        return new self(
            $worst,
            count($readings),
            $values === [] ? null : min($values),
            $values === [] ? null : max($values),
            $values === [] ? null : array_sum($values) / count($values),
            $out,
        );
    }

    /** By what was asked when it was read; where an earlier version did not note that, by what is asked now. */
    public static function judge(?Check $check, SiteEvent $event): Severity
    {
        $asked = $event->reading()?->asked;

        return self::against($asked === null ? $check?->bounds : $asked->bounds, $event);
    }

    /** What it would be by what is asked today. */
    public static function today(Check $check, SiteEvent $event): Severity
    {
        return self::against($check->bounds, $event);
    }

    /** A look holds or fails. */
    private static function against(?Bounds $bounds, SiteEvent $event): Severity
    {
        $reading = $event->reading();
        if ($bounds === null) {
            return $reading?->holds === true || ($reading?->holds === null && $reading?->value !== null)
                ? Severity::Pass
                : Severity::Fail;
        }

        return $reading?->value === null ? Severity::Fail : $bounds->judge($reading->value);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Outcome;
use Apron\Trace\Rain;
use Apron\Trace\Releases;
use Apron\Trace\StripResult;

/** Where the water of a detail goes, strip by strip, and what it meets there. */
final readonly class RainPaths implements DetailCheck
{
    /** @param  list<StripResult>  $strips */
    private function __construct(private Rain $rain, public array $strips)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, Releases::of($rain));
    }

    /** @return list<Finding> one for each place where water comes to grief, over all strips that end there */
    public function findings(): array
    {
        $rows = [];
        foreach ($this->strips as $strip) {
            if ($strip->severity->rank() > Severity::Caution->rank()) {
                continue;
            }
            // Where the substrate bears being wet, what makes it a caution is the seal or bond further on.
            $path = array_filter(
                $strip->told()->path,
                fn (array $event): bool => $event['outcome'] !== Outcome::WetsTolerant,
            );
            $outcome = array_reduce(
                $path,
                fn (Outcome $worst, array $event): Outcome => $worst->worse($event['outcome']),
                Outcome::Shed,
            );
            foreach ($path as $event) {
                if ($event['outcome'] !== $outcome) {
                    continue;
                }
                // Let go at the top or lower down behind the cladding: the same water.
                $source = $strip->source === 'top' ? 'face' : $strip->source;
                $key =
                    self::code($outcome).
                    '|'.
                    $event['at'].
                    '|'.
                    (in_array($source, ['unit', 'fastener'], true) ? $source : 'face');
                // Where it happens, which need not be on the facet it was let go on.
                [$facet, $u] = $strip->told()->worstAt();
                $key .= '|'.$facet;
                // A strip is as wide on the facet it comes to as on the one it began on.
                $half = ($strip->u1 - $strip->u0) / 2;
                [$u0, $u1] = $facet === $strip->facet ? [$strip->u0, $strip->u1] : [$u - $half, $u + $half];
                $row = $rows[$key] ?? [
                    'strip' => $strip,
                    'source' => $source,
                    'facet' => $facet,
                    'outcome' => $outcome,
                    'event' => $event,
                    'from' => $u0,
                    'to' => $u1,
                ];
                $rows[$key] = ['from' => min($row['from'], $u0), 'to' => max($row['to'], $u1)] + $row;
                break;
            }
        }
        $findings = [];
        foreach (
            $rows as [
                'strip' => $strip,
                'source' => $source,
                'facet' => $facet,
                'outcome' => $outcome,
                'event' => $event,
                'from' => $from,
                'to' => $to,
            ]
        ) {
            $findings[] = new Finding(
                self::code($outcome),
                $strip->severity,
                $this->rain->subject(),
                [
                    'piece' => $event['at'],
                    'how' => $event['code'],
                    'up_mm' => $event['elevation'],
                    'source' => $source,
                    'facet' => $facet,
                    'from_mm' => $from,
                    'to_mm' => $to,
                    'lines' => $strip->lines ?? 0,
                ],
                self::source(),
                $event['at'].'.'.$source.'.'.$facet,
            );
        }

        return $findings;
    }

    /** The paths need words, and stand apart in what is told of a detail. */
    public function told(): array
    {
        return [];
    }

    private static function code(Outcome $outcome): string
    {
        return match ($outcome) {
            Outcome::Enters => 'rain.enters',
            Outcome::Wets => 'rain.wets',
            Outcome::Trapped => 'rain.trapped',
            Outcome::ReliesOnBond => 'rain.bond',
            Outcome::Ponds => 'rain.ponds',
            default => 'rain.seal',
        };
    }

    public static function source(): Source
    {
        return Source::computed(
            'rain trace over the pieces as drawn; wind, wicking and water that runs sideways are outside of it',
        );
    }
}

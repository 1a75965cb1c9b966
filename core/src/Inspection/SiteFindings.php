<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** What the site record comes to: checks read outside their bounds, and faults not yet closed. */
final class SiteFindings
{
    /**
     * @param  list<array{Check, string, string}>  $checks  each with the title of what it is of, and its own
     * @param  list<SiteEvent>  $events
     * @return list<Finding>
     */
    public static function of(array $checks, array $events): array
    {
        $record = new SiteRecord($events);
        $findings = [];
        $standing = $record->byCheck();
        foreach ($checks as [$check, $of, $title]) {
            $readings = $standing[$check->id] ?? [];
            unset($standing[$check->id]);
            $missed = $check->rhythm?->missed($readings);
            if ($missed !== null) {
                $findings[] = new Finding(
                    'site.walk-missed',
                    Severity::Caution,
                    'site/checks/'.$check->id,
                    ['title' => $title, 'on' => $missed, 'every_days' => $check->rhythm->every],
                    Source::commonPractice(),
                );
            }
            $verdict = Verdict::of($check, $readings);
            if ($verdict->severity !== null && $verdict->severity !== Severity::Pass) {
                $findings[] = self::outOfBounds($check, $of, $title, $verdict, $readings);
            }
        }
        // Their details were changed or taken out; what was read stays read.
        foreach ($standing as $id => $readings) {
            $verdict = Verdict::of(null, $readings);
            if ($verdict->severity !== null && $verdict->severity !== Severity::Pass) {
                $findings[] = new Finding(
                    'site.check-gone',
                    $verdict->severity,
                    'site/checks/'.$id,
                    [
                        'title' => $readings[0]->reading()?->asked->title ?? (string) $id,
                        'count' => $verdict->count,
                    ],
                    Source::computed('site record'),
                );
            }
        }
        foreach ($record->faults() as $fault) {
            if ($fault->state() !== FaultState::Closed) {
                $code = $fault->state() === FaultState::Open ? 'site.fault-open' : 'site.fault-repaired';
                $severity = $fault->state() === FaultState::Open ? $fault->severity : Severity::Caution;
                $findings[] = new Finding(
                    $code,
                    $severity,
                    'site/faults/'.$fault->raised->id,
                    [
                        'words' => $fault->raised->words ?? '',
                        'by' => $fault->raised->by,
                        'at' => substr($fault->raised->at, 0, 10),
                    ],
                    Source::computed('site record'),
                );
            }
        }

        return $findings;
    }

    /** @param  list<SiteEvent>  $readings */
    private static function outOfBounds(
        Check $check,
        string $of,
        string $title,
        Verdict $verdict,
        array $readings,
    ): Finding {
        $severity = $verdict->severity ?? Severity::Pass;
        $subject = 'site/checks/'.$check->id;
        $figures = [
            'detail' => $of,
            'title' => $title,
            'count' => $verdict->count,
        ];
        // The worst of them, against what it was asked then.
        $worst = array_values(
            array_filter($readings, fn (SiteEvent $r): bool => Verdict::judge($check, $r) === $severity),
        );
        $value = fn (SiteEvent $event): float => $event->reading()->value ?? 0.0;
        usort($worst, fn (SiteEvent $a, SiteEvent $b): int => $value($a) <=> $value($b));
        $reading = ($worst[0] ?? null)?->reading();
        $bounds = $reading?->asked === null ? $check->bounds : $reading->asked->bounds;
        $read = $reading?->value;
        if ($bounds === null || $read === null) {
            return new Finding('site.look-fails', $severity, $subject, $figures, Source::commonPractice());
        }
        if ($bounds->unit !== ReadingUnit::Millimetre || $bounds->least === null || $read > $bounds->least) {
            $bound = $bounds->most !== null && $read > $bounds->most ? $bounds->most : (float) $bounds->least;
            $figures += [
                'read' => (string) round($read, 2),
                'bound' => (string) round($bound, 2),
                'unit' => $bounds->unit->value,
            ];

            return new Finding(
                'site.reading-out',
                $severity,
                $subject,
                $figures,
                Source::computed('bounds of the check'),
            );
        }

        return new Finding(
            'site.reading-short',
            $severity,
            $subject,
            $figures + ['read_mm' => $read, 'least_mm' => $bounds->least, 'short_mm' => $bounds->least - $read],
            Source::computed('least lap of the detail'),
        );
    }
}

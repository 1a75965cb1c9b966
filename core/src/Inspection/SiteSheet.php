<?php

declare(strict_types=1);

namespace Apron\Inspection;

/**
 * The site record as the phone and the report show it.
 *
 * @phpstan-import-type AskingCheck from CheckFormat
 */
final class SiteSheet
{
    /** @param  AskingCheck  $told  as CheckFormat tells it */
    public static function asCheck(array $told): Check
    {
        return new Check(
            $told['id'],
            $told['detail'],
            $told['what'],
            $told['place'],
            $told['step'],
            $told['drawn_mm'],
            $told['least_mm'] === null && $told['most_mm'] === null
                ? null
                : Bounds::of($told['least_mm'], $told['most_mm'], ReadingUnit::Millimetre),
            null,
            rhythm: Rhythm::read($told['rhythm'] ?? null),
        );
    }

    /**
     * @param  list<AskingCheck>  $checks  as CheckFormat tells them to the site
     * @param  array<string, int>  $lines  what stands behind each fault, by the event that raised it
     * @return array<string, mixed>
     */
    public static function of(array $checks, SiteRecord $record, array $lines = []): array
    {
        $write = fn (SiteEvent $event): array => SiteFormat::write($event);
        $ofKind = fn (EventKind $kind): array => array_values(
            array_map($write, array_filter($record->events, fn (SiteEvent $e): bool => $e->kind === $kind)),
        );
        $standing = $record->byCheck();
        $orphans = array_diff_key($standing, array_column($checks, null, 'id'));

        return [
            'visits' => $ofKind(EventKind::Visit),
            'checks' => array_map(
                fn (array $told): array => self::check($told, $standing[$told['id']] ?? []),
                $checks,
            ),
            'photographs' => $ofKind(EventKind::Photograph),
            'faults' => array_map(
                fn (Fault $fault): array => [
                    'id' => $fault->raised->id,
                    'state' => $fault->state()->value,
                    'severity' => $fault->severity->value,
                    'raised' => $write($fault->raised),
                    'who' => $fault->assigned?->who,
                    'due' => $fault->assigned?->due,
                    'lines' => $lines[$fault->raised->id] ?? null,
                    'repaired' => $fault->repaired === null ? null : $write($fault->repaired),
                    'reinspected' => $fault->reinspected === null ? null : $write($fault->reinspected),
                ],
                self::ranked($record->faults(), $lines),
            ),
            'orphans' => array_map(
                fn (string|int $check, array $readings): array => [
                    'check' => (string) $check,
                    'title' => $readings[0]->reading()?->asked->title ?? (string) $check,
                    'readings' => array_map(
                        fn (SiteEvent $r): array => SiteFormat::write($r) + [
                            'severity_of' => Verdict::judge(null, $r)->value,
                            'today' => null,
                        ],
                        $readings,
                    ),
                ],
                array_keys($orphans),
                $orphans,
            ),
        ];
    }

    /**
     * What is open first, the worst of it before the rest, and of those what the least stands behind.
     *
     * @param  list<Fault>  $faults
     * @param  array<string, int>  $lines
     * @return list<Fault>
     */
    private static function ranked(array $faults, array $lines): array
    {
        $rank = fn (Fault $f): array => [
            $f->state()->rank(),
            $f->severity->rank(),
            $lines[$f->raised->id] ?? PHP_INT_MAX,
        ];
        usort($faults, fn (Fault $a, Fault $b): int => $rank($a) <=> $rank($b));

        return $faults;
    }

    /**
     * @param  AskingCheck  $told
     * @param  list<SiteEvent>  $readings
     * @return array<string, mixed>
     */
    private static function check(array $told, array $readings): array
    {
        $check = self::asCheck($told);
        $verdict = Verdict::of($check, $readings);
        unset($told['what'], $told['rhythm']);

        return $told + [
            'due' => $check->rhythm?->due($readings),
            'missed' => $check->rhythm?->missed($readings) !== null,
            'readings' => array_map(function (SiteEvent $r) use ($check): array {
                [$then, $today] = [Verdict::judge($check, $r), Verdict::today($check, $r)];

                return SiteFormat::write($r) + [
                    'severity_of' => $then->value,
                    'today' => $today === $then ? null : $today->value,
                ];
            }, $readings),
            'verdict' => [
                'severity' => $verdict->severity?->value,
                'count' => $verdict->count,
                'least_mm' => $verdict->least,
                'most_mm' => $verdict->most,
                'mean_mm' => $verdict->mean,
                'out' => $verdict->out,
            ],
        ];
    }
}

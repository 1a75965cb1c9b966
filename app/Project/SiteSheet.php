<?php

namespace App\Project;

use Apron\File\SiteFormat;
use Apron\Inspection\Check;
use Apron\Inspection\EventKind;
use Apron\Inspection\Fault;
use Apron\Inspection\OpeningChecks;
use Apron\Inspection\SiteEvent;
use Apron\Inspection\SiteRecord;
use Apron\Inspection\Verdict;
use Apron\Project;
use Apron\Words;

/** The site record as the phone and the report show it. */
final class SiteSheet
{
    /** @return array<string, mixed> */
    public static function of(Project $project, Words $words): array
    {
        $record = new SiteRecord($project->site ?? []);
        $write = fn (SiteEvent $event): array => SiteFormat::write($event);
        $ofKind = fn (EventKind $kind): array => array_values(array_map($write, array_filter($record->events, fn (SiteEvent $e): bool => $e->kind === $kind)));
        $checks = [];
        foreach ($project->details as $detail) {
            foreach (OpeningChecks::of($detail) as $check) {
                $checks[] = self::check($check, $detail->title, $record, $words);
            }
        }

        return [
            'visits' => $ofKind(EventKind::Visit),
            'checks' => $checks,
            'photographs' => $ofKind(EventKind::Photograph),
            'faults' => array_map(fn (Fault $fault): array => [
                'id' => $fault->raised->id,
                'state' => $fault->state(),
                'severity' => $fault->severity->value,
                'raised' => $write($fault->raised),
                'repaired' => $fault->repaired === null ? null : $write($fault->repaired),
                'reinspected' => $fault->reinspected === null ? null : $write($fault->reinspected),
            ], $record->faults()),
        ];
    }

    /** @return array<string, mixed> */
    private static function check(Check $check, string $detail, SiteRecord $record, Words $words): array
    {
        $readings = $record->readings($check->id);
        $verdict = Verdict::of($check, $readings);

        return SequenceSheet::check($check, $words) + [
            'detail_title' => $detail,
            'readings' => array_map(fn (SiteEvent $r): array => SiteFormat::write($r) + ['severity_of' => Verdict::judge($check, $r)->value], $readings),
            'verdict' => ['severity' => $verdict->severity?->value, 'count' => $verdict->count, 'least_mm' => $verdict->least, 'mean_mm' => $verdict->mean, 'out' => $verdict->out],
        ];
    }
}

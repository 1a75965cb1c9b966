<?php

namespace Apron\Inspection;

use Apron\Finding;
use Apron\Project;
use Apron\Severity;
use Apron\Source;

/** What the site record comes to: checks read outside their bounds, and faults not yet closed. */
final class SiteFindings
{
    /** @return list<Finding> */
    public static function of(Project $project): array
    {
        $record = new SiteRecord($project->site ?? []);
        $findings = [];
        foreach ($project->details as $detail) {
            foreach (OpeningChecks::of($detail) as $check) {
                $verdict = Verdict::of($check, $record->readings($check->id));
                if ($verdict->severity === null || $verdict->severity === Severity::Pass) {
                    continue;
                }
                $figures = ['detail' => $detail->title, 'what' => $check->what, 'place' => $check->place, 'count' => $verdict->count];
                $findings[] = $check->least === null
                    ? new Finding('site.look-fails', $verdict->severity, 'site/checks/'.$check->id, $figures, Source::commonPractice())
                    : new Finding('site.reading-short', $verdict->severity, 'site/checks/'.$check->id, $figures + [
                        'read_mm' => $verdict->least ?? 0.0, 'least_mm' => $check->least, 'short_mm' => $check->least - ($verdict->least ?? 0.0),
                    ], Source::computed('least lap of the detail'));
            }
        }
        foreach ($record->faults() as $fault) {
            if ($fault->state() !== 'closed') {
                $code = $fault->state() === 'open' ? 'site.fault-open' : 'site.fault-repaired';
                $severity = $fault->state() === 'open' ? $fault->severity : Severity::Caution;
                $findings[] = new Finding($code, $severity, 'site/faults/'.$fault->raised->id, [
                    'words' => $fault->raised->words ?? '', 'by' => $fault->raised->by, 'at' => substr($fault->raised->at, 0, 10),
                ], Source::computed('site record'));
            }
        }

        return $findings;
    }
}

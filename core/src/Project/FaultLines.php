<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Inspection\Fault;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;
use Apron\Trace\StripResult;

/** What stands behind the place of a fault: how many edges must fail there before water does harm. */
final class FaultLines
{
    /**
     * Of faults raised by a check of a detail; the fewest lines on the facet that the check looks at, or of all of the
     * detail where it looks at none.
     *
     * @param  list<Fault>  $faults
     * @return array<string, int> by the event that raised the fault; left out where nobody can say
     */
    public static function of(Project $project, array $faults): array
    {
        $lines = [];
        $facets = [];
        foreach (SiteChecks::of($project) as [$check]) {
            $facets[$check->id] = [$check->detail, $check->measured?->facet];
        }
        $details = array_column($project->details, null, 'id');
        $traced = [];
        foreach ($faults as $fault) {
            [$id, $facet] = $facets[$fault->raised->check ?? ''] ?? [null, null];
            $detail = $details[$id ?? ''] ?? null;
            if ($detail === null) {
                continue;
            }
            $strips = $traced[$detail->id] ??=
                (new DetailAssessment($detail, School::of($project->brief->schools)))->strips;
            $here = array_filter($strips, fn (StripResult $s): bool => $facet === null || $s->facet === $facet);
            $counted = array_filter(
                array_map(fn (StripResult $s): ?int => $s->lines, $here === [] ? $strips : $here),
                fn (?int $n): bool => $n !== null,
            );
            if ($counted !== []) {
                $lines[$fault->raised->id] = min($counted);
            }
        }

        return $lines;
    }
}

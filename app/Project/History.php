<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What was done in a project, by whom: saves and removals, what came from the site, photographs, reports, drills, and
 * what no document tells of. Newest first, from what is only ever added to; all that came with
 * one import is one row.
 *
 * @phpstan-type Done array{at: string, by: string, account: string|null, what: string, of: string}
 */
final class History
{
    public const PAGE = 100;

    /** @return list<Done> the last that was done before a moment */
    public static function of(Project $project, ?string $before): array
    {
        $rows = [];
        foreach (self::kinds($project) as [$query, $column, $table]) {
            $found = $query
                ->when($before !== null, fn (Builder $q) => $q->where($column, '<', $before))
                ->groupBy('done_at', 'done_by', 'account', 'what', 'grain')
                ->orderByDesc('done_at')
                ->orderByRaw("max($table.id) desc")
                ->limit(self::PAGE)
                ->get();
            foreach ($found as $row) {
                $more = (int) $row->done_count - 1;
                $rows[] = [
                    'at' => str_replace(' ', 'T', (string) $row->done_at).'Z',
                    'by' => (string) $row->done_by,
                    'account' => $row->account,
                    'what' => (string) $row->what,
                    'of' => $row->done_of.($more > 0 ? " and $more more" : ''),
                ];
            }
        }
        usort($rows, fn (array $a, array $b): int => $b['at'] <=> $a['at']);

        // A page ends with a whole second: the next begins before it.
        $last = $rows[self::PAGE - 1]['at'] ?? '';

        return array_values(array_filter($rows, fn (array $row): bool => $row['at'] >= $last));
    }

    /** @return list<array{Builder, string, string}> a query of each kind, the column that says when, and its table */
    private static function kinds(Project $project): array
    {
        $from = fn (string $table, string $at, string $by, string $what, string $of, string $grain): array => [
            DB::table($table)
                ->where("$table.project_id", $project->id)
                ->leftJoin('users', 'users.id', '=', "$table.user_id")
                ->selectRaw("$at as done_at, $by as done_by, users.email as account, $what as what, min($of) as done_of,".
                    " count(*) as done_count, $grain as grain"),
            $at,
            $table,
        ];

        return [
            [
                DB::table('document_revisions')
                    ->join('documents', 'documents.id', '=', 'document_revisions.document_id')
                    ->leftJoin('users', 'users.id', '=', 'document_revisions.user_id')
                    ->where('documents.project_id', $project->id)
                    ->selectRaw(
                        'document_revisions.created_at as done_at, document_revisions.by as done_by,'.
                            " users.email as account, if(document_revisions.content is null, 'removed', 'saved')".
                            " as what, min(concat(documents.kind, ' ', documents.key, ', revision ',".
                            ' document_revisions.number)) as done_of, count(*) as done_count,'.
                            " if(document_revisions.number = 1, '', document_revisions.id) as grain",
                    ),
                'document_revisions.created_at',
                'document_revisions',
            ],
            $from(
                'site_events',
                'site_events.received_at',
                "coalesce(users.name, json_value(site_events.content, '$.by'), '')",
                "'on site'",
                "concat(site_events.kind, ' ', coalesce(json_value(site_events.content, '$.check'),".
                    " json_value(site_events.content, '$.fault'), site_events.event))",
                "if(site_events.imported, '', site_events.id)",
            ),
            $from(
                'photographs',
                'photographs.created_at',
                "coalesce(users.name, '')",
                "'photograph'",
                'left(photographs.sha256, 12)',
                'photographs.id',
            ),
            $from(
                'reports',
                'reports.created_at',
                'reports.by',
                "'report'",
                "if(reports.cards is null, 'of the project', concat('step cards of ', reports.cards))",
                'reports.id',
            ),
            $from(
                'drill_runs',
                'drill_runs.created_at',
                'drill_runs.by',
                "'practised'",
                'drill_runs.title',
                'drill_runs.id',
            ),
            $from('acts', 'acts.at', 'acts.by', 'acts.what', 'acts.of', 'acts.id'),
        ];
    }
}

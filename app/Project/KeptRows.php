<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use Apron\Quantity\UnitSystem;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** The table of what is kept of assessments: a row for each document, and one for all of them put together. */
final class KeptRows
{
    /** Raised when what is kept of a document has another shape. */
    public const SHAPE = 'kept 10';

    /** The row that holds all of it put together, under the version of the project. */
    private const WHOLE = ['kind' => 'project', 'key' => ''];

    private const TRIES = 5;

    public function whole(Project $project, UnitSystem $units, string $hash): ?string
    {
        $kept = DB::table('assessments')
            ->where(['project_id' => $project->id, 'units' => $units->value, 'hash' => $hash] + self::WHOLE)
            ->value('content');

        return is_string($kept) ? $kept : null;
    }

    public function keepWhole(Project $project, UnitSystem $units, string $hash, string $content): void
    {
        $row = ['hash' => $hash, 'materials' => '', 'content' => $content, 'checks' => null];
        $this->keep($project, $units, [self::WHOLE + $row]);
    }

    /** The units that the whole is kept in, where it is up to date in any. */
    public function unitsOfWhole(Project $project, string $hash): ?UnitSystem
    {
        $units = DB::table('assessments')
            ->where(['project_id' => $project->id, 'hash' => $hash] + self::WHOLE)
            ->value('units');

        return is_string($units) ? UnitSystem::from($units) : null;
    }

    /**
     * @param  bool  $checks  with their checks
     * @return array<string, \stdClass> rows by kind and key
     */
    public function parts(Project $project, UnitSystem $units, bool $checks): array
    {
        $columns = ['kind', 'key', 'hash', 'materials', 'content', ...$checks ? ['checks'] : []];
        $rows = $this->ofDocuments($project, $units)->get($columns);

        return $rows->keyBy(fn (\stdClass $row): string => "$row->kind/$row->key")->all();
    }

    /** @return list<\stdClass> rows of documents that cannot be read */
    public function broken(Project $project, UnitSystem $units): array
    {
        return array_values(
            $this->ofDocuments($project, $units)->where('content', 'like', '%"broken":%')->get()->all(),
        );
    }

    private function ofDocuments(Project $project, UnitSystem $units): Builder
    {
        return DB::table('assessments')
            ->where(['project_id' => $project->id, 'units' => $units->value])
            ->where('kind', '!=', self::WHOLE['kind']);
    }

    /**
     * Two who ask at once keep the same rows, and one of them may have to let the other go first. What could not be
     * kept is worked out again the next time: no answer fails for it.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    public function keep(Project $project, UnitSystem $units, array $rows): void
    {
        $rows = array_map(
            fn (array $row): array => ['project_id' => $project->id, 'units' => $units->value] + $row,
            $rows,
        );
        try {
            foreach (array_chunk($rows, 100) as $some) {
                DB::transaction(
                    fn () => DB::table('assessments')->upsert(
                        $some,
                        ['project_id', 'units', 'kind', 'key'],
                        ['hash', 'materials', 'content', 'checks'],
                    ),
                    self::TRIES,
                );
            }
        } catch (QueryException $crossed) {
            report($crossed);
        }
    }

    /** Everything that is kept of a project under one of its documents, which is told anew. */
    public function forgetDocument(Project $project, string $kind, string $key): void
    {
        DB::table('assessments')
            ->where('project_id', $project->id)
            ->where(fn (Builder $rows) => $rows->where(['kind' => $kind, 'key' => $key])->orWhere(self::WHOLE))
            ->delete();
    }

    /** @param  array<string>  $names  kind and key of documents that are no more */
    public function forget(Project $project, UnitSystem $units, array $names): void
    {
        foreach ($names as $name) {
            [$kind, $key] = explode('/', $name, 2);
            DB::table('assessments')
                ->where(['project_id' => $project->id, 'units' => $units->value, 'kind' => $kind, 'key' => $key])
                ->delete();
        }
    }
}

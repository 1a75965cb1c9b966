<?php

namespace App\Project;

use App\Models\Document;
use App\Models\DocumentKind;
use App\Models\Project;
use Apron\Inspection\SiteFindings;
use Apron\Material\Catalogue;
use Apron\Project\Assessment;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Edition;
use Apron\Rules\Words;
use Illuminate\Database\QueryException;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What is said of a project, kept document by document under all that it depends on: its own content, the brief's, the materials it is made
 * of, and the edition of the rules. What has changed is assessed; the rest is put together from what is kept.
 */
final class KeptAssessment
{
    /** The row that holds all of it put together, under the version of the project. */
    private const WHOLE = ['kind' => 'project', 'key' => ''];

    private const TRIES = 5;

    /** The order in which the file has them. */
    private const RANK = ['brief' => 0, 'material' => 1, 'assembly' => 2, 'detail' => 3, 'opening' => 4];

    private ?string $edition = null;

    public function __construct(private readonly Catalogue $catalogue, private readonly StoredProject $stored)
    {
    }

    /** JSON as `apron-assessment/1`, without the paths of its details. */
    public function of(Project $project, UnitSystem $units): string
    {
        $at = ['project_id' => $project->id, 'units' => $units->value] + self::WHOLE;
        $hash = $this->wholeHash($project);
        $kept = DB::table('assessments')->where($at)->where('hash', $hash)->value('content');
        if (is_string($kept)) {
            return $kept;
        }
        $whole = json_encode($this->together($project, $units), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        $this->keep([$at + ['hash' => $hash, 'materials' => '', 'content' => $whole]]);

        return $whole;
    }

    /** @return array<string, string> why a document cannot be read, by section and key */
    public function broken(Project $project): array
    {
        $why = [];
        $current = DB::table('assessments')->where('project_id', $project->id)->where(self::WHOLE)->where('hash', $this->wholeHash($project))->value('units');
        if ($current === null) {
            foreach ($this->stored->withoutRecord($project)->broken as $broken) {
                $why["$broken->section/$broken->id"] = $broken->why->getMessage();
            }

            return $why;
        }
        $rows = DB::table('assessments')->where(['project_id' => $project->id, 'units' => $current])->where('kind', '!=', self::WHOLE['kind'])->where('content', 'like', '%"broken":%')->get();
        foreach ($rows as $row) {
            $kind = DocumentKind::from($row->kind);
            $why[($kind->section() ?? 'brief').'/'.($kind === DocumentKind::Brief ? '' : $row->key)] = json_decode($row->content)->broken;
        }

        return $why;
    }

    /** @return list<array<string, mixed>> the checks of all details, in their words */
    public function checks(Project $project, UnitSystem $units): array
    {
        $checks = [];
        foreach ($this->parts($project, $units) as $part) {
            foreach ($part->checks ?? [] as $told) {
                $checks[] = (array) $told;
            }
        }

        return $checks;
    }

    /** @return array<string, mixed> */
    private function together(Project $project, UnitSystem $units): array
    {
        $parts = $this->parts($project, $units);
        $document = ['format' => Assessment::FORMAT];
        $assemblies = $findings = $checks = [];
        foreach ($parts as $part) {
            if (isset($part->climate)) {
                $document['climate'] = $part->climate;
            }
            if (isset($part->assembly)) {
                $assemblies[] = $part->assembly;
            }
            array_push($findings, ...$part->findings);
            array_push($checks, ...($part->checks ?? []));
        }
        if ($assemblies !== []) {
            $document['assemblies'] = $assemblies;
        }
        array_push($findings, ...$this->ofSite($project, $checks, $units));
        $document['findings'] = Assessment::worstFirst($findings);

        return $document;
    }

    /**
     * @param  list<\stdClass>  $checks
     * @return list<mixed>
     */
    private function ofSite(Project $project, array $checks, UnitSystem $units): array
    {
        $events = SiteEvents::of($project);
        if ($events === []) {
            return [];
        }
        $words = new Words($units);
        $rows = array_map(fn (\stdClass $told): array => [SiteSheet::asCheck((array) $told), $told->detail_title], $checks);

        return array_map(fn ($finding): array => Assessment::shape($finding, $words), SiteFindings::ofRecord($rows, $events));
    }

    /** @return array<string, \stdClass> what is said of each document, in the order of the file, by kind and key */
    private function parts(Project $project, UnitSystem $units): array
    {
        // Plain rows, for there may be thousands and nothing but their hashes is looked at.
        $documents = $project->documents()->toBase()->get(['id', 'kind', 'key', 'position', 'hash'])->all();
        usort($documents, fn (\stdClass $a, \stdClass $b): int => [self::RANK[$a->kind], $a->position, $a->key] <=> [self::RANK[$b->kind], $b->position, $b->key]);
        $brief = array_column($documents, 'hash', 'kind')[DocumentKind::Brief->value] ?? '';
        $materials = array_column(array_filter($documents, fn (\stdClass $d): bool => $d->kind === DocumentKind::Material->value), 'hash', 'key');
        $kept = DB::table('assessments')->where(['project_id' => $project->id, 'units' => $units->value])->where('kind', '!=', self::WHOLE['kind'])
            ->get(['kind', 'key', 'hash', 'materials', 'content'])->keyBy(fn (\stdClass $row): string => "$row->kind/$row->key");
        $parts = $stale = [];
        foreach ($documents as $document) {
            $name = "$document->kind/$document->key";
            $row = $kept[$name] ?? null;
            $fresh = $row !== null && $row->hash === $this->hash($document->hash, $brief) && $this->sameMaterials($row->materials, $materials);
            $parts[$name] = $fresh ? json_decode($row->content) : null;
            if (! $fresh) {
                $stale[] = $document->id;
            }
        }
        foreach ($stale === [] ? [] : $this->assess($project, $stale, $units, $brief, $materials) as $name => $part) {
            $parts[$name] = $part;
        }
        $this->forget($project, $units, $kept->keys()->diff(array_keys($parts)));

        return $parts;
    }

    /**
     * @param  list<string>  $ids
     * @param  array<string, string>  $materials  hashes by id
     * @return array<string, \stdClass>
     */
    private function assess(Project $project, array $ids, UnitSystem $units, string $brief, array $materials): array
    {
        $documents = Document::whereKey($ids)->get();
        $others = $documents->reject(fn (Document $d): bool => in_array($d->kind, [DocumentKind::Brief, DocumentKind::Material], true));
        $core = $this->stored->part($project, $others);
        $told = new DocumentsTold($core, new Words($units));
        $rows = $parts = [];
        foreach ($documents as $document) {
            $part = $told->of($document->kind, $document->key);
            // Once through JSON, as what is kept comes back.
            $text = json_encode($part['said'], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $parts["{$document->kind->value}/{$document->key}"] = json_decode($text);
            $depends = [];
            foreach ($part['materials'] as $id) {
                $depends[$id] = $materials[$id] ?? '';
            }
            $rows[] = [
                'project_id' => $project->id, 'units' => $units->value, 'kind' => $document->kind->value, 'key' => $document->key,
                'hash' => $this->hash($document->hash, $brief), 'materials' => json_encode((object) $depends, JSON_THROW_ON_ERROR), 'content' => $text,
            ];
        }
        $this->keep($rows);

        return $parts;
    }

    /**
     * Two who ask at once keep the same rows, and one of them may have to let the other go first. What could not be kept is worked out again
     * the next time: no answer fails for it.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    private function keep(array $rows): void
    {
        try {
            foreach (array_chunk($rows, 100) as $some) {
                DB::transaction(fn () => DB::table('assessments')->upsert($some, ['project_id', 'units', 'kind', 'key'], ['hash', 'materials', 'content']), self::TRIES);
            }
        } catch (QueryException $crossed) {
            report($crossed);
        }
    }

    /** @param  Collection<int, string>  $names  of documents that are no more */
    private function forget(Project $project, UnitSystem $units, Collection $names): void
    {
        foreach ($names as $name) {
            [$kind, $key] = explode('/', $name, 2);
            DB::table('assessments')->where(['project_id' => $project->id, 'units' => $units->value, 'kind' => $kind, 'key' => $key])->delete();
        }
    }

    private function hash(string $document, string $brief): string
    {
        return hash('sha256', $this->edition()." $document $brief");
    }

    /** @param  array<string, string>  $materials  hashes by id */
    private function sameMaterials(string $depends, array $materials): bool
    {
        foreach (json_decode($depends, true) as $id => $hash) {
            if (($materials[$id] ?? '') !== $hash) {
                return false;
            }
        }

        return true;
    }

    private function wholeHash(Project $project): string
    {
        return hash('sha256', "{$project->version} ".$this->edition());
    }

    private function edition(): string
    {
        return $this->edition ??= Assessment::FORMAT.' '.Edition::told($this->catalogue->version);
    }
}

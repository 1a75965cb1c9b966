<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Document;
use App\Models\Project;
use Apron\Inspection\Check;
use Apron\Inspection\CheckFormat;
use Apron\Inspection\SiteEvent;
use Apron\Inspection\SiteFindings;
use Apron\Inspection\SiteSheet;
use Apron\Inspection\Substituted;
use Apron\Json\Broken;
use Apron\Material\Catalogue;
use Apron\Project\Assessment;
use Apron\Project\ListSection;
use Apron\Project\Project as CoreProject;
use Apron\Project\Section\AdhesionSection;
use Apron\Project\Section\BriefSection;
use Apron\Project\Section\MaterialsSection;
use Apron\Project\Section\SystemsSection;
use Apron\Project\Substitutions;
use Apron\Project\Told;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Edition;
use Apron\Rules\Finding;
use Apron\Rules\Words;
use Illuminate\Support\Collection;

/**
 * What is said of a project, kept document by document under all that it depends on: its own content, the brief's, the
 * materials it is made of, and the edition of the rules. What has changed is assessed; the rest is put together from
 * what is kept.
 *
 * @phpstan-import-type AskingCheck from CheckFormat
 */
final class KeptAssessment
{
    private ?string $edition = null;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly StoredProject $stored,
        private readonly KeptRows $rows,
    ) {
    }

    /** JSON as `apron-assessment/1`, without the paths of its details. */
    public function of(Project $project, UnitSystem $units): string
    {
        $hash = $this->wholeHash($project);
        $kept = $this->rows->whole($project, $units, $hash);
        if ($kept !== null) {
            return $kept;
        }
        $whole = $this->together($project, $units);
        // Kept when the answer has gone: nobody waits for it.
        defer(fn () => $this->rows->keepWhole($project, $units, $hash, $whole));

        return $whole;
    }

    /** @return array<string, string> why a document cannot be read, by kind and key */
    public function broken(Project $project): array
    {
        $why = [];
        $units = $this->rows->unitsOfWhole($project, $this->wholeHash($project));
        if ($units !== null) {
            foreach ($this->rows->broken($project, $units) as $row) {
                $why["$row->kind/$row->key"] = json_decode($row->content)->broken;
            }

            return $why;
        }
        foreach ($this->stored->withoutRecord($project)->broken as $broken) {
            foreach ($this->stored->sections->documents() as $section) {
                if ($section->section() === $broken->section) {
                    $why[
                        $section->kind().'/'.($broken->id === '' ? $section->kind() : $broken->id)
                    ] = $broken->why->getMessage();
                }
            }
        }

        return $why;
    }

    /** @return list<AskingCheck> the checks of all details, in their words */
    public function checks(Project $project, UnitSystem $units): array
    {
        $checks = [];
        foreach ($this->parts($project, $units, true) as $part) {
            foreach ($part->checks as $told) {
                /** @var AskingCheck $row */
                $row = (array) $told;
                $checks[] = $row;
            }
        }

        return $checks;
    }

    /** JSON as `apron-assessment/1` */
    private function together(Project $project, UnitSystem $units): string
    {
        $events = SiteEvents::of($project);
        $text = new AssessmentText;
        $checks = [];
        foreach ($this->parts($project, $units, $events !== []) as $name => $part) {
            $list = $this->stored->sections->ofKind(strtok($name, '/') ?: '') instanceof ListSection;
            foreach (get_object_vars($part->figures) as $key => $said) {
                $text->addFigure($key, $said, $list);
            }
            $text->addFindings($part->findings);
            array_push($checks, ...$events === [] ? [] : $part->checks);
        }
        $text->addFindings($events === [] ? [] : $this->ofSite($project, $events, $checks, $units));

        return $text->json($this->stored->acceptances($project));
    }

    /**
     * @param  list<SiteEvent>  $events
     * @param  list<\stdClass>  $checks
     * @return list<array{string, string, string}>
     */
    private function ofSite(Project $project, array $events, array $checks, UnitSystem $units): array
    {
        $words = new Words($units);
        $rows = [];
        foreach ($checks as $told) {
            /** @var AskingCheck $row */
            $row = (array) $told;
            $rows[] = [SiteSheet::asCheck($row), (string) $told->detail_title, (string) $told->title];
        }

        return array_map(
            fn (Finding $finding): array => AssessmentText::finding($finding, $words),
            [
                ...SiteFindings::of($rows, $events),
                ...$this->substitutions($project, $events, $words)->findings($events),
            ],
        );
    }

    /**
     * What was used instead of what was planned, each judged for its place.
     *
     * @param  list<SiteEvent>  $events
     * @return list<array{event: array<string, mixed>, severity: string, title: string, reason: string, remedy: string}>
     */
    public function instead(Project $project, UnitSystem $units, array $events): array
    {
        return $this->substitutions($project, $events, new Words($units))->told($events);
    }

    /** @param  list<SiteEvent>  $events */
    private function substitutions(Project $project, array $events, Words $words): Substitutions
    {
        $keys = [];
        foreach ($events as $event) {
            if ($event->says instanceof Substituted) {
                $keys[] = $event->says->parts()['id'];
            }
        }
        $documents = $keys === [] ? new Collection : $project->documents()->whereIn('key', $keys)->get();
        $bases = $this->stored->base($project)->pluck('id')->all();
        $rest = $documents->reject(fn (Document $d): bool => in_array($d->id, $bases, true));

        return new Substitutions($this->stored->part($project, $rest), $words);
    }

    /**
     * @param  bool  $checks  with the checks of each, which are four fifths of what is kept
     * @return array<string, \stdClass> what is said of each document, in the order of the file, by kind and key
     */
    private function parts(Project $project, UnitSystem $units, bool $checks = false): array
    {
        // Plain rows, for there may be thousands and nothing but their hashes is looked at.
        $documents = $project
            ->documents()
            ->toBase()
            ->get(['id', 'kind', 'key', 'position', 'hash'])
            ->all();
        $rank = array_flip(
            array_map(fn ($section): string => $section->kind(), $this->stored->sections->documents()),
        );
        $documents = array_filter($documents, fn (\stdClass $d): bool => isset($rank[$d->kind]));
        usort(
            $documents,
            fn (\stdClass $a, \stdClass $b): int => [$rank[$a->kind], $a->position, $a->key] <=> [
                $rank[$b->kind],
                $b->position,
                $b->key,
            ],
        );
        // The brief, and what settles what touches, systems and tests: all else is said under them.
        $over = [(new BriefSection)->kind(), (new SystemsSection)->kind(), (new AdhesionSection)->kind()];
        $brief = implode(
            ' ',
            array_column(array_filter($documents, fn (\stdClass $d): bool => in_array($d->kind, $over, true)), 'hash'),
        );
        $materials = self::stoodOn($documents);
        $kept = $this->rows->parts($project, $units, $checks);
        $parts = $stale = [];
        foreach ($documents as $document) {
            $name = "$document->kind/$document->key";
            $row = $kept[$name] ?? null;
            $fresh =
                $row !== null &&
                $row->hash === $this->hash($document->hash, $brief) &&
                self::sameMaterials($row->materials, $materials);
            $parts[$name] = $fresh ? json_decode($row->content) : null;
            if ($fresh && $checks) {
                $parts[$name]->checks = json_decode($row->checks);
            }
            if (! $fresh) {
                $stale[] = $document->id;
            }
        }
        foreach (
            $stale === [] ? [] : $this->assess($project, $stale, $units, $brief, $materials) as $name => $part
        ) {
            $parts[$name] = $part;
        }
        $this->rows->forget($project, $units, array_diff(array_keys($kept), array_keys($parts)));

        return $parts;
    }

    /**
     * @param  array<int, \stdClass>  $documents
     * @return array<string, string> hashes of what others stand on: materials by id, walls by a name of their own
     */
    private static function stoodOn(array $documents): array
    {
        $material = (new MaterialsSection)->kind();
        $hashes = [];
        foreach ($documents as $document) {
            if ($document->kind === $material) {
                $hashes[$document->key] = $document->hash;
            } elseif (in_array($document->kind, StoredProject::stoodOn(), true)) {
                // A wall and an opening may have one id: both are stood on then.
                $key = self::wall($document->key);
                $hashes[$key] = ($hashes[$key] ?? '').$document->hash;
            }
        }

        return $hashes;
    }

    /** No material has such an id: theirs have no space in them. */
    private static function wall(string $id): string
    {
        return "wall $id";
    }

    /**
     * @param  list<string>  $ids
     * @param  array<string, string>  $materials  hashes by id, those of walls too
     * @return array<string, \stdClass>
     */
    private function assess(Project $project, array $ids, UnitSystem $units, string $brief, array $materials): array
    {
        $documents = Document::whereKey($ids)->get();
        $bases = $this->stored->base($project)->pluck('id')->all();
        $core = $this->stored->part(
            $project,
            $documents->reject(fn (Document $d): bool => in_array($d->id, $bases, true)),
        );
        $words = new Words($units);
        $rows = $parts = [];
        foreach ($documents as $document) {
            [$said, $checks, $uses, $also] = $this->said($core, $document, $words);
            // Once through JSON, as what is kept comes back.
            $text = json_encode($said, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $checking = json_encode($checks, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $part = json_decode($text);
            $part->checks = json_decode($checking);
            $parts["$document->kind/$document->key"] = $part;
            $depends = [];
            $walls = $this->stored->sections->ofKind($document->kind)?->standsOn($document->decoded()) ?? [];
            foreach ([...$uses, ...array_map(self::wall(...), [...$walls, ...$also])] as $id) {
                $depends[$id] = $materials[$id] ?? '';
            }
            $rows[] = [
                'kind' => $document->kind,
                'key' => $document->key,
                'hash' => $this->hash($document->hash, $brief),
                'materials' => json_encode((object) $depends, JSON_THROW_ON_ERROR),
                'content' => $text,
                'checks' => $checking,
            ];
        }
        $this->rows->keep($project, $units, $rows);

        return $parts;
    }

    /**
     * @return array{array<string, mixed>, list<AskingCheck>, list<string>, list<string>} what is kept of one document,
     *   its checks, the materials that it was said of, and the documents
     */
    private function said(CoreProject $core, Document $document, Words $words): array
    {
        $section =
            $this->stored->sections->ofKind($document->kind) ??
            throw new \LogicException("no section of $document->kind");
        $shapes = fn (array $findings): array => array_map(
            fn (Finding $finding): array => AssessmentText::finding($finding, $words),
            $findings,
        );
        $broken =
            array_values(
                array_filter(
                    $core->broken,
                    fn (Broken $b): bool => $b->section === $section->section() &&
                        ($b->id === $document->key || $b->id === ''),
                ),
            )[0] ?? null;
        if ($broken !== null) {
            $said = [
                'findings' => $shapes([Assessment::broken($broken)]),
                'figures' => (object) [],
                'broken' => $broken->why->getMessage(),
            ];

            return [$said, [], array_map(strval(...), array_keys($core->materials->own)), []];
        }
        $told = $section->told($core, $document->key, $words) ?? new Told;
        $checks = array_map(
            fn (Check $check): array => CheckFormat::asking(
                $check,
                $told->title,
                $words,
                $core->materials->catalogue->version,
            ),
            $told->checks,
        );

        return [
            [
                'findings' => $shapes($told->findings),
                'figures' => (object) array_map(AssessmentText::text(...), $told->figures),
            ],
            $checks,
            $told->materials,
            $told->documents,
        ];
    }

    private function hash(string $document, string $brief): string
    {
        return hash('sha256', $this->edition()." $document $brief");
    }

    /** @param  array<string, string>  $materials  hashes by id */
    private static function sameMaterials(string $depends, array $materials): bool
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
        return $this->edition ??=
            Assessment::FORMAT.' '.KeptRows::SHAPE.' '.Edition::told($this->catalogue->version);
    }
}

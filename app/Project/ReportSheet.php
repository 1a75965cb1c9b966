<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\DrillRun;
use App\Models\IssuedRevision;
use App\Models\Project;
use App\Models\Report;
use Apron\Crew\SequenceSheet;
use Apron\Detail\Detail;
use Apron\Inspection\CheckFormat;
use Apron\Inspection\SiteRecord;
use Apron\Inspection\SiteSheet;
use Apron\Method\OpeningSchedule;
use Apron\Method\ScheduledOpening;
use Apron\Project\Assessment;
use Apron\Project\ContactSheet;
use Apron\Project\FaultLines;
use Apron\Project\ForOthers;
use Apron\Project\Project as CoreProject;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\DetailsSection;
use Apron\Project\Section\PlaneSectionsSection;
use Apron\Project\SiteChecks;
use Apron\Project\Substitutions;
use Apron\Rules\Edition;
use Apron\Rules\Words;
use Apron\Trace\School;
use Apron\Trace\Seals;
use Illuminate\Support\Facades\URL;

/**
 * Everything the printed report shows, gathered once.
 *
 * @phpstan-import-type AskingCheck from CheckFormat
 */
final class ReportSheet
{
    public function __construct(private readonly StoredProject $stored, private readonly Issuing $issuing)
    {
    }

    /** @return array<string, mixed> */
    public function of(Report $report): array
    {
        $project = $report->project ?? throw new \LogicException('a report of no project');
        $revision = $report->revision;
        // What was issued is printed as it was issued, whatever has been saved since.
        $core = $revision === null
            ? $this->stored->open($project)
            : $this->stored->read((array) $revision->toFile());
        $words = new Words($core->brief->units);
        $sheet = [
            'name' => $core->brief->name,
            'heading' => self::heading($core->brief->name, $report),
            'paper' => $report->paper,
            'by' => $report->by,
            'cards' => $report->cards,
            'at' => $report->created_at?->toIso8601ZuluString(),
            'catalogue' => $core->materials->catalogue->version,
        ];
        $school = School::of($core->brief->schools);
        $sequences = fn (array $details): array => array_map(
            fn (Detail $detail): array => SequenceSheet::of($detail, $words, $school),
            array_values($details),
        );
        if ($report->cards !== null) {
            return $sheet + [
                'units' => $core->brief->units->value,
                'sequences' => $sequences(
                    array_filter($core->details, fn (Detail $d): bool => $d->id === $report->cards),
                ),
            ];
        }
        $photographs = [];
        foreach ($project->photographs()->get() as $photograph) {
            // By address, each for this report and a while only: some hundreds of them are more than a page can hold.
            $photographs[$photograph->sha256] = URL::temporarySignedRoute(
                'print.photograph',
                now()->addMinutes(10),
                ['report' => $report->id, 'digest' => $photograph->sha256],
                false,
            );
        }

        $record = new SiteRecord($core->site ?? []);
        $assessed = new Assessment($core);
        $kinds = OpeningSchedule::kinds($core->openings);
        // Five hundred windows of three kinds are three sheets and a table.
        $drawn =
            count($core->details) <= OpeningSchedule::MOST_DRAWN
                ? $core->details
                : [
                    ...array_values($core->of(DetailsSection::class)),
                    ...array_map(fn (array $kind): Detail => $kind[0]->detail, $kinds),
                ];

        return $sheet + $this->issued($project, $revision) + [
            'practice' => $project->organisation->name ?? '',
            'edition' => Edition::told($core->materials->catalogue->version),
            'seals' => array_merge(
                ...array_map(fn (Detail $detail): array => Seals::of($detail, $school), $drawn),
            ),
            'units' => $core->brief->units->value,
            'file' => self::file($core),
            // What is printed of it: the paths of every strip stay in the file.
            'assessment' => $assessed->toArray($words, long: false),
            'sequences' => $sequences($drawn),
            'schedule' => $this->schedule($kinds, $assessed, $words),
            'pictures' => (object) array_map(KeptHeats::picture(...), $core->of(PlaneSectionsSection::class)),
            'contacts' => ContactSheet::of($core),
            'others' => ForOthers::of($core, $words),
            'site' => SiteSheet::of($this->checks($core, $words), $record, FaultLines::of($core, $record->faults())) + [
                'substitutions' => (new Substitutions($core, $words))->told($core->site ?? []),
            ],
            'drills' => DrillRun::where('project_id', $project->id)
                ->when($revision, fn ($query, IssuedRevision $of) => $query->where('created_at', '<=', $of->at))
                ->latest('id')
                ->limit(200)
                ->get()
                ->map(fn (DrillRun $run): array => $run->toShape()),
            'photographs' => (object) $photographs,
        ];
    }

    /** @return array<string, mixed> the project file without the hours of its weather, which no sheet prints */
    private static function file(CoreProject $core): array
    {
        $file = ProjectFormat::document($core);
        if (isset($file['weather']) && is_array($file['weather'])) {
            unset($file['weather']['hours']);
        }

        return $file;
    }

    /** What stands on every page: the project, and what it was issued as. */
    private static function heading(string $name, Report $report): string
    {
        $revision = $report->revision;
        $as = $revision === null ? 'draft' : "revision {$revision->number}, {$revision->title}";

        return "$name · $as · ".($revision->at ?? $report->created_at)?->toDateString();
    }

    /** @return array<string, mixed> the revision, those before it, and what is another since the last of them */
    private function issued(Project $project, ?IssuedRevision $revision): array
    {
        $until = $revision->number ?? PHP_INT_MAX;
        $revisions = IssuedRevision::where('project_id', $project->id)
            ->where('number', '<=', $until)
            ->orderByDesc('number')
            ->get(IssuedRevision::SHORT);
        $before = IssuedRevision::where('project_id', $project->id)
            ->where('number', '<', $until)
            ->orderByDesc('number')
            ->first();

        return [
            'revision' => $revision?->toShape(),
            'revisions' => $revisions->map(fn (IssuedRevision $r): array => $r->toShape()),
            'compared' => $before === null
                ? null
                : ['from' => $before->number] + $this->issuing->compared($before, $revision)->toArray(),
        ];
    }

    /** @return list<AskingCheck> */
    private function checks(CoreProject $core, Words $words): array
    {
        return array_map(
            fn (array $row): array => CheckFormat::asking(
                $row[0],
                $row[1],
                $words,
                $core->materials->catalogue->version,
            ),
            SiteChecks::of($core),
        );
    }

    /**
     * @param  list<non-empty-list<ScheduledOpening>>  $kinds
     * @return list<array<string, mixed>> a row for each opening, those of one kind together
     */
    private function schedule(array $kinds, Assessment $assessed, Words $words): array
    {
        $traced = [];
        foreach ($assessed->details as $detail) {
            $traced[$detail->detail->id] = $detail;
        }
        $rows = [];
        foreach ($kinds as $kind) {
            foreach ($kind as $opening) {
                $rows[] = [
                    'id' => $opening->id,
                    'title' => $opening->title,
                    'method' => $words->listed('generator', $opening->generator),
                    'sizes_mm' => array_values(OpeningSchedule::sizes($opening)),
                    'as' => $kind[0]->id,
                    'worst' => $traced[$opening->id]->worst()->told(),
                    'severity' => $traced[$opening->id]->severity()->value,
                ];
            }
        }

        return $rows;
    }
}

<?php

namespace App\Project;

use App\Models\DrillRun;
use App\Models\Report;
use Apron\Assessment;
use Apron\File\ProjectFormat;
use Apron\Trace\School;
use Apron\Words;
use Illuminate\Support\Facades\Storage;

/** Everything the printed report shows, gathered once. */
final class ReportSheet
{
    public function __construct(private readonly ProjectStore $store)
    {
    }

    /** @return array<string, mixed> */
    public function of(Report $report): array
    {
        $project = $report->project;
        $core = $this->store->open($project);
        $words = new Words($core->units);
        $photographs = [];
        foreach ($project->photographs()->get() as $photograph) {
            $photographs[$photograph->sha256] = 'data:image/jpeg;base64,'.base64_encode((string) Storage::get($photograph->path()));
        }

        return [
            'by' => $report->by,
            'cards' => $report->cards,
            'at' => $report->created_at?->toIso8601ZuluString(),
            'catalogue' => $core->materials->catalogue->version,
            'file' => ProjectFormat::document($core),
            'assessment' => (new Assessment($core))->toArray($words),
            'sequences' => array_map(fn ($detail): array => SequenceSheet::of($detail, $words, School::of($core->schools)), $core->details),
            'site' => SiteSheet::of($core, $words),
            'drills' => DrillRun::where('project_id', $project->id)->latest('id')->limit(200)->get()->map(fn (DrillRun $run): array => $run->toShape()),
            'photographs' => (object) $photographs,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Act;
use App\Models\IssuedRevision;
use App\Models\Project;
use App\Models\User;
use Apron\Project\Compared;
use Apron\Project\ProjectFormat;
use Apron\Rules\Edition;
use Illuminate\Support\Facades\DB;

/** Takes a project as it stands, with what is said of it, and keeps both for good. */
final readonly class Issuing
{
    public function __construct(private StoredProject $stored, private KeptAssessment $kept)
    {
    }

    /** @throws \DomainException where a document cannot be read: nobody issues what they cannot open */
    public function issue(Project $project, User $by, string $title, string $words): IssuedRevision
    {
        return DB::transaction(function () use ($project, $by, $title, $words): IssuedRevision {
            // Two who issue at once get two numbers, and nobody saves in between.
            Project::query()->whereKey($project->id)->lockForUpdate()->firstOrFail();
            $core = $this->stored->open($project);
            if ($core->broken !== []) {
                $broken = $core->broken[0];
                $what = "{$broken->section} {$broken->id}";

                throw new \DomainException("{$what} cannot be read, so it cannot be issued: mend it or remove it.");
            }
            [$file, $findings] = [ProjectFormat::write($core), $this->findings($project)];
            $last = IssuedRevision::where('project_id', $project->id)->max('number');
            $revision = IssuedRevision::create([
                'project_id' => $project->id,
                'number' => (is_numeric($last) ? (int) $last : 0) + 1,
                'title' => $title,
                'words' => $words,
                'user_id' => $by->id,
                'by' => $by->name,
                'at' => now(),
                'core' => Edition::told($core->materials->catalogue->version),
                'catalogue' => $core->materials->catalogue->version,
                'file' => $file,
                'findings' => $findings,
                'sha256' => IssuedRevision::seal($file, $findings),
            ]);
            Act::note($by, 'issued', "revision {$revision->number}, {$title}", $project);

            return $revision;
        });
    }

    /** What is another since a revision was issued: in a later one, or in the project as it stands. */
    public function compared(IssuedRevision $from, ?IssuedRevision $to): Compared
    {
        $project = $from->project ?? throw new \LogicException('a revision of no project');
        $file = $to === null ? ProjectFormat::write($this->stored->open($project)) : $to->file;
        $findings = $to === null ? $this->findings($project) : $to->findings;

        return new Compared(
            $from->toFile(),
            (object) json_decode($file, false, 512, JSON_THROW_ON_ERROR),
            $from->toFindings(),
            IssuedRevision::decoded($findings),
        );
    }

    private function findings(Project $project): string
    {
        $units = $this->stored->part($project)->brief->units;
        $told = json_decode($this->kept->of($project, $units), false, 512, JSON_THROW_ON_ERROR);

        return json_encode(
            $told->findings,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}

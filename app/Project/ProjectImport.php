<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\DrillRun;
use App\Models\Project;
use App\Models\SiteEvent;
use App\Models\User;
use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Project\Project as CoreProject;
use Apron\Project\ProjectFormat;
use Illuminate\Support\Facades\DB;

/** A whole project file becomes a project of a person's organisation, or none of it does. */
final class ProjectImport
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly StoredProject $stored,
        private readonly DocumentRows $rows,
    ) {
    }

    /** @throws FileRefused also where what was written could not be read again */
    public function parse(string $json, User $by): Project
    {
        return $this->store(ProjectFormat::parse($json, $this->catalogue, $this->stored->sections), $by);
    }

    /** @throws FileRefused where what was written could not be read again */
    public function store(CoreProject $core, User $by): Project
    {
        $file = ProjectFormat::document($core);

        return DB::transaction(function () use ($core, $file, $by): Project {
            $project = Project::create(['organisation_id' => $by->organisation_id, 'name' => $core->brief->name]);
            foreach ($this->stored->sections->documents() as $section) {
                $position = 0;
                foreach ($section->documents($file) as $key => $content) {
                    $this->rows->add(
                        $project,
                        $section->kind(),
                        (string) $key,
                        $content,
                        $by,
                        position: $position++,
                    );
                }
            }
            $this->record($project, $file, $by);
            $this->demandReadable($project);

            return $project;
        });
    }

    /** @param  array<string, mixed>  $file */
    private function record(Project $project, array $file, User $by): void
    {
        foreach ($file['training'] ?? [] as $run) {
            DrillRun::create(['project_id' => $project->id, 'user_id' => $by->id] + $run);
        }
        foreach ($file['site']['events'] ?? [] as $event) {
            SiteEvent::record($project, $event, $by, imported: true);
        }
    }

    /** What was imported is read as it is stored: a project that could not be opened again is not kept. */
    private function demandReadable(Project $project): void
    {
        $core = $this->stored->open($project);
        if ($core->broken !== []) {
            throw $core->broken[0]->why;
        }
        ProjectFormat::parse(ProjectFormat::write($core), $this->catalogue, $this->stored->sections);
    }
}

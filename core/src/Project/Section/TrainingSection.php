<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Crew\Training;
use Apron\Crew\TrainingFormat;
use Apron\Json\Node;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Section;

/**
 * What was practised, oldest first: only ever added to.
 *
 * @implements Section<list<Training>>
 */
final class TrainingSection implements Section
{
    public function schema(): array
    {
        return ['training' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/DrillRun']]];
    }

    public function read(Node $file, Reading $reading): array
    {
        return $reading->rows->all('training', $file->optional('training'), TrainingFormat::read(...));
    }

    public function write(Project $project): array
    {
        return $project->training === []
            ? []
            : ['training' => array_map(TrainingFormat::write(...), $project->training)];
    }

    public function findings(Project $project): array
    {
        return [];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Inspection\CheckFormat;
use Apron\Inspection\SiteEvent;
use Apron\Inspection\SiteFindings;
use Apron\Inspection\SiteFormat;
use Apron\Json\Node;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Section;
use Apron\Project\SiteChecks;
use Apron\Project\Substitutions;
use Apron\Rules\Words;

/**
 * The site record, only ever added to; null where the project has none.
 *
 * @implements Section<list<SiteEvent>|null>
 */
final class SiteSection implements Section
{
    public function schema(): array
    {
        return [
            'site' => [
                'type' => 'object',
                'properties' => ['events' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/SiteEvent']]],
                'additionalProperties' => false,
            ],
        ];
    }

    public function read(Node $file, Reading $reading): ?array
    {
        return $file->has('site') ? SiteFormat::read($file->get('site'), $reading->rows) : null;
    }

    public function write(Project $project): array
    {
        $events = SiteEvent::inOrder($project->site ?? []);

        return $events === [] ? [] : ['site' => ['events' => array_map(SiteFormat::write(...), $events)]];
    }

    public function findings(Project $project): array
    {
        $events = $project->site ?? [];
        $words = new Words($project->brief->units);

        return $events === []
            ? []
            : [
                ...SiteFindings::of(
                    array_map(
                        fn (array $row): array => [...$row, CheckFormat::title($row[0], $words)],
                        SiteChecks::of($project),
                    ),
                    $events,
                ),
                ...(new Substitutions($project, $words))->findings($events),
            ];
    }
}

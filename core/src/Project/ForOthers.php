<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Crew\FramersList;
use Apron\Inspection\SiteRecord;
use Apron\Inspection\Verdict;
use Apron\Junction\TemporaryTie;
use Apron\Rules\Words;

/**
 * What a project asks of others on site: what they frame before the wall is closed, and what of theirs goes through its
 * plane for a while and has to be closed again.
 */
final class ForOthers
{
    /**
     * @return array{framer: list<array{what: string, title: string, reason: string, for: list<string>}>,
     *   temporary: list<array{id: string, title: string, thing: string, number: int, walls: list<string>,
     *   closed: bool|null}>}
     */
    public static function of(Project $project, Words $words): array
    {
        return [
            'framer' => FramersList::gathered($project->details, $words),
            'temporary' => self::temporary($project, $words),
        ];
    }

    /**
     * @return list<array{id: string, title: string, thing: string, number: int, walls: list<string>,
     *   closed: bool|null}> closed as it was last looked at; null where nobody has
     */
    private static function temporary(Project $project, Words $words): array
    {
        $walls = array_column($project->assemblies, 'name', 'id');
        $between = array_column($project->openings, 'between', 'id');
        $record = new SiteRecord($project->site ?? []);
        $rows = [];
        foreach ($project->details as $detail) {
            if ($detail->generated?->generator !== TemporaryTie::NAME) {
                continue;
            }
            $parameters = $detail->generated->parameters;
            $readings = $record->readings("$detail->id.ties-closed.all");
            $rows[] = [
                'id' => $detail->id,
                'title' => $detail->title,
                'thing' => $words->answer('thing', (string) ($parameters['thing'] ?? TemporaryTie::usualThing())),
                'number' => (int) ($parameters['number'] ?? 1),
                'walls' => array_map(
                    fn (string $id): string => $walls[$id] ?? $id,
                    $between[$detail->id] ?? $detail->between,
                ),
                'closed' => self::closed($readings),
            ];
        }

        return $rows;
    }

    /** @param  list<\Apron\Inspection\SiteEvent>  $readings */
    private static function closed(array $readings): ?bool
    {
        $last = $readings === [] ? null : $readings[count($readings) - 1];

        return $last === null ? null : Verdict::judge(null, $last)->value === 'pass';
    }
}

<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Assembly\Assembly;
use Apron\Detail\Detail;
use Apron\Inspection\Check;
use Apron\Inspection\DetailChecks;
use Apron\Inspection\FieldChecks;
use Apron\Project\Section\PlanSection;

/** Everything of a project that is read on site: the fields of its walls, its openings and its joints. */
final class SiteChecks
{
    /** @return list<array{Check, string}> each with the title of what it is of */
    public static function of(Project $project): array
    {
        return self::told(
            [
                ...array_map(
                    fn (Assembly $a): array => [FieldChecks::of($a, $project->brief->schools), $a->name],
                    $project->assemblies,
                ),
                ...array_map(fn (Detail $d): array => [DetailChecks::of($d), $d->title], $project->details),
                [PlanSection::assess($project)?->checks() ?? [], PlanSection::TITLE],
            ],
        );
    }

    /**
     * @param  list<array{list<Check>, string}>  $groups
     * @return list<array{Check, string}>
     */
    private static function told(array $groups): array
    {
        $told = [];
        foreach ($groups as [$checks, $title]) {
            foreach ($checks as $check) {
                $told[] = [$check, $title];
            }
        }

        return $told;
    }
}

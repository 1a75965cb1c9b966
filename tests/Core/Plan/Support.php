<?php

declare(strict_types=1);

use Apron\Project\Assessment;

/** @return array<string, mixed> the whole assessment of a project that is a plan and its materials */
function calendarOf(array $plan, array $more = []): array
{
    $file = $more + [
        'format' => 'apron-project/1',
        'project' => ['name' => 'P', 'units' => 'si'],
        'materials' => [
            [
                'id' => 'film',
                'name' => 'Film',
                'family' => 'polyolefin',
                'conductivity_w_mk' => 0.2,
                'sd_m' => 0.02,
                'usual_thickness_mm' => 0.4,
                'product' => ['sun_days' => 120],
                'source' => ['kind' => 'data-sheet', 'name' => 'invented'],
            ],
        ],
        'plan' => $plan + ['start' => '2027-04-01'],
    ];
    $assessed = new Assessment(readProject($file));
    $words = new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI);

    return json_decode(json_encode($assessed->toArray($words)), true);
}

/** @return list<string> codes of what is said, with the severity */
function calendarSays(array $told): array
{
    return array_map(fn (array $f): string => "{$f['severity']} {$f['code']}", $told['findings']);
}

/** A film laid in the first three days of April, and boards over it from a day on. */
function filmAndBoards(string $from, array $more = []): array
{
    return $more + [
        'work_days' => [1, 2, 3, 4, 5, 6, 7],
        'tasks' => [
            ['id' => 'film', 'title' => 'Film', 'days' => 3, 'product' => 'film'],
            ['id' => 'boards', 'title' => 'Boards', 'days' => 5, 'covers' => ['film'], 'not_before' => $from],
        ],
    ];
}

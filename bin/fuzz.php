<?php

declare(strict_types=1);

// Mutations of the demo's project file, read, assessed and written in one process: ./apron fuzz 20000 [SEED]. It looks
// for what no file may do: an exception that is no refusal, a verdict that is no number, a file that cannot be read
// back as it was written, work without end.

require __DIR__.'/../core/autoload.php';

use Apron\Budget\Deadline;
use Apron\Budget\TakesTooLong;
use Apron\Conduction\Made\Buck;
use Apron\Conduction\Made\Flashing;
use Apron\Conduction\Made\Joint;
use Apron\Conduction\Made\JointSizes;
use Apron\Conduction\Made\Stack;
use Apron\Conduction\Made\Unit;
use Apron\Conduction\PlaneSectionFormat;
use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Rules\Words;

ini_set('memory_limit', '1G');
[$count, $seed] = [(int) ($argv[1] ?? 20000), (int) ($argv[2] ?? random_int(1, 1_000_000))];
$random = new Random\Randomizer(new Random\Engine\Mt19937($seed));
$catalogue = new Catalogue;
$whole = json_decode((string) file_get_contents(__DIR__.'/../database/demo/project.json'));
// A part of the demo at a time: as many mutations of each section, and no second spent on what was not touched.
$parts = [];
foreach (['assemblies', 'details', 'openings'] as $section) {
    foreach ($whole->{$section} ?? [] as $row) {
        $part = clone $whole;
        unset($part->assemblies, $part->details, $part->openings, $part->site, $part->training);
        $part->{$section} = [$row];
        $parts[] = json_encode($part);
    }
}
$part = clone $whole;
unset($part->assemblies, $part->details, $part->openings);
$parts[] = json_encode($part);

// What the demo does not have: joints cut through, one that the building counts, a sample and a wall through hours.
$stacks = array_column(
    array_map(
        fn ($assembly): array => [$assembly->id, new Stack($assembly)],
        ProjectFormat::parse((string) json_encode($whole), $catalogue)->assemblies,
    ),
    1,
    0,
);
$sizes = new JointSizes(new Unit, Buck::Wood, Flashing::Membrane, 40, 200, 1.5, 40, 600, 600);
$cut = fn (string $id, ?string $meets, string $way): array => ['id' => $id] + PlaneSectionFormat::write(
    (new Joint($stacks['w1'], $sizes, $meets === null ? null : $stacks[$meets]))->made($way, $id, 20, 0)
        ?? throw new LogicException("no $way"),
);
$lean = fn (array $more): string => (string) json_encode($more + array_diff_key((array) $whole, [
    'details' => 1, 'openings' => 1, 'site' => 1, 'training' => 1, 'takeoff' => 1, 'plan' => 1, 'tests' => 1,
]));
$wall = array_values(array_filter($whole->assemblies, fn (stdClass $row): bool => $row->id === 'w1'));
$building = clone $whole->building;
unset($building->placed);
$building->connections = [['joint' => ['kind' => 'parapet'], 'section' => 'cut2']];
$parts[] = $lean(['building' => $building, 'plane_sections' => [
    $cut('cut1', null, 'corner'), $cut('cut2', 'r1', 'parapet'), $cut('cut3', null, 'sheathing'),
]]);
$sample = ['id' => 'r1', 'layers' => [['material' => 'osb', 'thickness_mm' => 11]], 'hours' => 24] + [
    'initial' => ['temperature_c' => 20, 'rh_pct' => 90], 'depths_mm' => [1, 5],
    'left' => ['temperature_c' => 20, 'rh_pct' => 40, 'h_w_m2k' => 8, 'beta_s_m' => 1e-8],
    'right' => ['closed' => true],
];
$years = ['id' => 'r2', 'assembly' => 'w1', 'years' => 1] +
    ['leak' => ['share' => 0.01, 'layer' => $wall[0]->layers[0]->id]];
$parts[] = $lean(['building' => null, 'assemblies' => $wall, 'runs' => [$sample]]);
$parts[] = $lean(['building' => null, 'assemblies' => $wall, 'runs' => [$years]]);

const ODD = [
    null,
    true,
    false,
    0,
    -1,
    -0.0,
    1e308,
    5e-324,
    1e-9,
    1e9,
    0.5,
    '',
    "\n",
    'x',
    '1e5',
    [],
    [[]],
    [0],
    'steel-sheet',
];

/** @return list<array{object|array<mixed>, string|int}> every place in a document */
$places = function (mixed $node) use (&$places): array {
    $found = [];
    foreach ($node as $key => $value) {
        $found[] = [$node, $key];
        if (is_object($value) || is_array($value)) {
            array_push($found, ...$places($value));
        }
    }

    return $found;
};
$mutate = function (stdClass $file) use ($random, $places): void {
    $all = array_values(array_filter($places($file), fn (array $p): bool => is_object($p[0])));
    $numbers = array_values(
        array_filter($all, fn (array $p): bool => is_int($p[0]->{$p[1]}) || is_float($p[0]->{$p[1]})),
    );
    if ($numbers !== [] && $random->getInt(0, 2) > 0) {
        // Figures that may be right: most of what is wrong with a file is refused before anything is worked out.
        [$node, $key] = $numbers[$random->getInt(0, count($numbers) - 1)];
        $node->{$key} *= [0.001, 0.1, 0.5, 0.9, 1.1, 2, 10, 1000, -1][$random->getInt(0, 8)];

        return;
    }
    foreach (range(1, $random->getInt(1, 3)) as $_) {
        [$node, $key] = $all[$random->getInt(0, count($all) - 1)];
        $value = $node->{$key} ?? null;
        $how = $random->getInt(0, 5);
        if ($how === 0) {
            unset($node->{$key});
        } elseif ($how === 1 && is_array($value) && $value !== []) {
            $node->{$key} = [...$value, ...$value];
        } elseif ($how === 2 && (is_int($value) || is_float($value))) {
            $node->{$key} = $value * [0, -1, 1000, 1e-6, 0.5, 2][$random->getInt(0, 5)];
        } elseif ($how === 3 && is_array($value)) {
            $node->{$key} = array_reverse($value);
        } elseif ($how === 4) {
            $node->{['id', 'extra', 'thickness_mm', 'material'][$random->getInt(0, 3)]} =
                ODD[$random->getInt(0, count(ODD) - 1)];
        } else {
            $node->{$key} = ODD[$random->getInt(0, count(ODD) - 1)];
        }
    }
};

$ends = ['refused' => 0, 'fails' => 0, 'passes' => 0, 'cut off' => 0, 'faults' => 0];
$times = $told = [];
for ($n = 0; $n < $count; $n++) {
    $file = json_decode($parts[$random->getInt(0, count($parts) - 1)]);
    $mutate($file);
    $json = (string) json_encode($file);
    $began = hrtime(true);
    try {
        Deadline::within(5, function () use ($json, $catalogue, &$ends): void {
            $project = ProjectFormat::parse($json, $catalogue);
            $assessment = new Assessment($project);
            json_encode($assessment->toArray(new Words($project->brief->units)), JSON_THROW_ON_ERROR);
            $written = ProjectFormat::write($project);
            if (ProjectFormat::write(ProjectFormat::parse($written, $catalogue)) !== $written) {
                throw new LogicException('written and read back it is another file');
            }
            $ends[$assessment->fails() ? 'fails' : 'passes']++;
        });
    } catch (FileRefused) {
        $ends['refused']++;
    } catch (TakesTooLong $cut) {
        $ends['cut off']++;
        $told[] = $cut->getMessage();
    } catch (Throwable $fault) {
        $ends['faults']++;
        $told[] =
            $fault::class.
            ': '.
            $fault->getMessage().
            ' at '.
            basename($fault->getFile()).
            ':'.
            $fault->getLine();
        file_put_contents(sys_get_temp_dir()."/apron-fuzz-$seed-$n.json", $json);
    }
    $times[] = (hrtime(true) - $began) / 1e6;
}
sort($times);
printf(
    "%d mutations, seed %d: %s; p50 %.1f ms, p99 %.0f ms, most %.0f ms\n",
    $count,
    $seed,
    implode(', ', array_map(fn (string $k, int $v): string => "$v $k", array_keys($ends), $ends)),
    $times[intdiv($count, 2)],
    $times[(int) (0.99 * ($count - 1))],
    end($times),
);
foreach (array_slice(array_count_values($told), 0, 12) as $what => $often) {
    echo "  $often × $what\n";
}
exit($ends['faults'] + $ends['cut off'] > 0 ? 1 : 0);

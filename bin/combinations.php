<?php

declare(strict_types=1);

use Apron\Drafting\CannotGenerate;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\WallPlane;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Opening\Axes;
use Apron\Opening\Combinations;
use Apron\Opening\Presets;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Severity;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;

// php bin/combinations.php            writes the table of docs/details.md
// php bin/combinations.php --check    fails where the table there is another
// php bin/combinations.php --grid     makes every combination at a grid of sizes, and counts what comes of them

require dirname(__DIR__).'/vendor/autoload.php';

$words = new Words(UnitSystem::SI);
$composed = Presets::all()['unit-in-its-wall'];
$goes = function (array $answers) use ($composed): bool {
    try {
        $composed->composition($answers);

        return true;
    } catch (CannotGenerate) {
        return false;
    }
};
$drawn = array_values(array_filter(Combinations::of(Combinations::DRAWN), $goes));
$name = fn (string $axis, string $answer): string => $words->answer($axis, $answer);

if (in_array('--grid', $argv, true)) {
    $sizes = [[600.0, 600.0, 140.0], [900.0, 1200.0, 140.0], [2400.0, 1500.0, 235.0], [1000.0, 2200.0, 300.0]];
    $boards = [25.0, 50.8, 150.0, 300.0];
    $counts = [];
    foreach ($drawn as $answers) {
        foreach (($answers['outboard'] ?? '') === 'board' ? $boards : [null] as $board) {
            foreach ($sizes as [$w, $h, $d]) {
                $given = $answers + ['width_mm' => $w, 'height_mm' => $h, 'depth_mm' => $d];
                $given += $board === null ? [] : ['insulation_mm' => $board];
                $made = new DetailAssessment($composed->make('o', 'O', $given, new Materials([], new Catalogue)));
                $fails = array_filter($made->findings(), fn ($f): bool => $f->severity === Severity::Fail);
                $what = match (true) {
                    $fails !== [] => 'with a fail: '.
                        implode(', ', array_unique(array_map(fn ($f) => $f->code, $fails))),
                    $made->worst()->rank() > $composed->worst($answers)->rank() => 'worse than declared',
                    $made->worst() !== $composed->worst($answers) => 'better than declared',
                    default => 'sound, its declared worst met',
                };
                $counts[$what] = ($counts[$what] ?? 0) + 1;
                if ($what !== 'sound, its declared worst met') {
                    fwrite(STDERR, "$what: ".json_encode($given)."\n");
                }
            }
        }
    }
    foreach ($counts as $what => $count) {
        echo "$count $what\n";
    }
    exit(array_keys($counts) === ['sound, its declared worst met'] ? 0 : 1);
}

$seals = array_values(array_filter(Combinations::of(['plane', 'held_by', ...Combinations::SEALS]), $goes));
$planes = Axes::all()['plane']['of'];
$lines = [
    '<!-- made by `php bin/combinations.php` -->',
    '',
    sprintf(
        'Along the axes that change what is drawn %d combinations can be built, and each of them with the ways of closing'.
            ' the joint that its holding allows (%d over planes and holdings). By dressing and plane:',
        count($drawn),
        count($seals),
    ),
    '',
    '| dressed with | '.implode(' | ', array_map(fn (string $p): string => $name('plane', $p), $planes)).' |',
    '|---'.str_repeat('|---', count($planes)).'|',
];
foreach (Axes::all()['dressing']['of'] as $dressing) {
    $cells = array_map(
        fn (string $plane): string => (string) count(
            array_filter($drawn, fn (array $a): bool => $a['plane'] === $plane && $a['dressing'] === $dressing),
        ),
        $planes,
    );
    $lines[] = '| '.$name('dressing', $dressing).' | '.implode(' | ', $cells).' |';
}
array_push(
    $lines,
    '',
    'What does not go together, and the nearest that does:',
    '',
    '| not | with | instead | for |',
    '|---|---|---|---|',
);
foreach (Axes::refused() as $row) {
    $said = [];
    foreach ($row['if'] as $axis => $of) {
        $said[] = $words->listed('choice', $axis).': '.implode(', ', array_map(fn ($o) => $name($axis, $o), $of));
    }
    $instead = [];
    foreach ($row['instead'] as $axis => $answer) {
        $instead[] = $words->listed('choice', $axis).': '.$name($axis, $answer);
    }
    $lines[] =
        '| '.
        $said[0].
        ' | '.
        implode('; ', array_slice($said, 1)).
        ' | '.
        implode('; ', $instead).
        " | {$row['why']} |";
}
array_push(
    $lines,
    '',
    'Junctions, and the planes of a wall that each can be made in; the usual one in bold:',
    '',
    '| junction | '.
        implode(' | ', array_map(fn (WallPlane $p): string => $name('plane', $p->value), WallPlane::cases())).
        ' |',
    '|---'.str_repeat('|---', count(WallPlane::cases())).'|',
);
foreach (Methods::all() as $method) {
    if (! $method instanceof FacetDetail || $method->namesPlane()) {
        continue;
    }
    $cells = array_map(function (WallPlane $plane) use ($method): string {
        try {
            $method->inPlane(['plane' => $plane->value]);

            return $method->inPlane([]) === $plane->value ? '**yes**' : 'yes';
        } catch (CannotGenerate $refused) {
            return $refused->expected;
        }
    }, WallPlane::cases());
    $lines[] = '| '.$words->listed('generator', $method->name()).' | '.implode(' | ', $cells).' |';
}
array_push($lines, '', '<!-- end -->');
$path = dirname(__DIR__).'/docs/details.md';
$text = (string) file_get_contents($path);
$new = preg_replace_callback(
    '/<!-- made by `php bin\/combinations.php` -->.*?<!-- end -->/s',
    fn (): string => implode("\n", $lines),
    $text,
);
if (in_array('--check', $argv, true)) {
    if ($new !== $text) {
        fwrite(STDERR, "docs/details.md is not what php bin/combinations.php makes\n");
        exit(1);
    }
    exit(0);
}
file_put_contents($path, $new);
echo count($drawn)." combinations\n";

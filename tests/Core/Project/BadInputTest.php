<?php

declare(strict_types=1);

use Apron\Crew\Drill;
use Apron\Detail\DetailWriter;
use Apron\Detail\Step;
use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;
use Apron\Project\ProjectFormat;
use Apron\Rules\Severity;
use Apron\Trace\DetailAssessment;

/** A wall whose one material has this figure in place of a usual one. */
function odd(string $figure, float $value, float $mm = 100): string
{
    $file = wallFile([[0.04, 1, $mm]]);
    $file['materials'][0][$figure] = $value;

    return json_encode($file);
}

/** A detail of facets of its own. @param  list<array<string, mixed>>  $folds */
function folded(array $folds): string
{
    $facets = array_fill_keys(['a', 'b', 'c'], ['u' => [0, 1000], 'v' => [0, 200]]);

    return json_encode([
        'format' => 'apron-project/1',
        'project' => ['name' => 'case', 'units' => 'si'],
        'details' => [
            [
                'id' => 'loop',
                'title' => 'loop',
                'facets' => $facets,
                'folds' => $folds,
                'release' => 'a',
                'pieces' => [
                    [
                        'id' => 'p',
                        'material' => 'polyolefin-wrap',
                        'kind' => 'sheet',
                        'step' => 1,
                        'patches' => [['id' => 'p1', 'facet' => 'a', 'rect' => [0, 0, 1000, 200]]],
                    ],
                ],
            ],
        ],
    ]);
}

it('refuses figures that are nothing in the trade, where they stand', function (string $json, string $pointer) {
    $checked = apronCheck($json);
    expect($checked['code'])
        ->toBe(2)
        ->and($checked['out'])
        ->toBe('')
        ->and($checked['err'])
        ->toContain("at $pointer");
})->with([
    'conducts next to nothing' => [fn () => odd('conductivity_w_mk', 1e-323), '/materials/0/conductivity_w_mk'],
    'a layer of R 10²⁹⁹' => [fn () => odd('conductivity_w_mk', 1e-300), '/materials/0/conductivity_w_mk'],
    'the best insulation there is, five metres of it' => [
        fn () => odd('conductivity_w_mk', 0.002, 5000),
        '/assemblies/0/layers/0/thickness_mm',
    ],
    'no vapour in the air' => [
        function () {
            $file = wallFile([[0.04, 1, 100]]);
            $file['climate']['months'][3]['rh_pct'] = 5e-324;

            return json_encode($file);
        },
        '/climate/months/3/rh_pct',
    ],
    'a fold onto itself' => [fn () => folded([['from' => 'a', 'to' => 'a', 'at_v' => 100]]), '/details/0/folds/0/to'],
    'folds in a ring' => [
        fn () => folded([
            ['from' => 'a', 'to' => 'b', 'at_v' => 100],
            ['from' => 'b', 'to' => 'c', 'at_v' => 100],
            ['from' => 'c', 'to' => 'a', 'at_v' => 100],
        ]),
        '/details/0/folds/2/to',
    ],
    'a facet as wide as a country' => [
        fn () => str_replace('"c":{"u":[0,1000]', '"c":{"u":[0,1e9]', folded([])),
        '/details/0/facets/c',
    ],
    'an id with a line break' => [
        fn () => str_replace('"id":"w"', '"id":"w\n"', json_encode(wallFile([[0.04, 1, 100]]))),
        '/assemblies/0/id',
    ],
    'a name with a bell in it' => [
        fn () => str_replace('"name":"w"', '"name":"w\u0007"', json_encode(wallFile([[0.04, 1, 100]]))),
        '/assemblies/0/name',
    ],
    'a number too large to hold' => [
        fn () => str_replace('"thickness_mm":100', '"thickness_mm":1e999', json_encode(wallFile([[0.04, 1, 100]]))),
        '/assemblies/0/layers/0/thickness_mm',
    ],
    'seventy levels' => [
        fn () => str_replace(
            '"name":"w"',
            '"name":'.str_repeat('[', 70).str_repeat(']', 70),
            json_encode(wallFile([[0.04, 1, 100]])),
        ),
        '/ (the whole file)',
    ],
]);

it('refuses folds on an opening that lead its water back onto its face', function () {
    $generator = Methods::named('flanged-unit-in-fastened-sheet');
    $detail = DetailWriter::write(
        $generator->make('x', 'x', usualSizes('flanged-unit-in-fastened-sheet'), new Materials([], new Catalogue)),
    );
    $said = function (array $folds) use ($detail): array {
        $rows = [array_diff_key($detail, ['generated' => true]) + ['folds' => $folds]];

        return apronCheck(
            json_encode([
                'format' => 'apron-project/1',
                'project' => ['name' => 'case', 'units' => 'si'],
                'details' => $rows,
            ]),
        );
    };
    $ring = $said([['from' => 'face', 'to' => 'jamb-left', 'at_v' => 0]]);
    expect($said([])['code'])
        ->toBeLessThan(2)
        ->and($ring['code'])
        ->toBe(2)
        ->and($ring['err'])
        ->toContain('/details/0/folds')
        ->toContain('a ring');
});

it('reads a file that begins with a byte order mark', function () {
    expect(apronCheck("\xEF\xBB\xBF".json_encode(wallFile([[0.04, 1, 100]])))['code'])->toBeLessThan(2);
});

it('says that it could not finish, and not that something fails', function (array $limit, string $said) {
    $process = proc_open(
        [PHP_BINARY, __DIR__.'/../../../bin/core.php', '-', '--json'],
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
        null,
        $limit + getenv(),
    );
    fwrite($pipes[0], (string) file_get_contents(__DIR__.'/../../../database/demo/project.json'));
    fclose($pipes[0]);
    [$out, $err] = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];
    expect(proc_close($process))->toBe(3)->and($out)->toBe('')->and($err)->toContain($said);
})->with([
    'out of time' => [['APRON_SECONDS' => '0.001'], 'was cut off'],
    'out of memory' => [['APRON_MEMORY' => '6M'], 'could not be worked out'],
]);

it('writes what it can read again, byte for byte', function (callable $change) {
    $file = demoFile();
    $change($file);
    $written = ProjectFormat::write(ProjectFormat::parse(json_encode($file), new Catalogue));
    expect(ProjectFormat::write(ProjectFormat::parse($written, new Catalogue)))->toBe($written);
})->with([
    'a method without parameters' => [
        function (array &$file): void {
            $file['details'][0]['generated'] = ['generator' => 'own', 'parameters' => new stdClass];
        },
    ],
    'parameters that are numbered' => [
        function (array &$file): void {
            $file['details'][0]['generated'] = ['generator' => 'own', 'parameters' => (object) ['0' => 5, '1' => 7]];
        },
    ],
    'figures of a step that are numbered' => [
        function (array &$file): void {
            $file['details'][0]['steps'] = [['number' => 1, 'does' => 'own', 'figures' => (object) ['0' => 5]]];
        },
    ],
    'schools that settle nothing' => [
        function (array &$file): void {
            $file['project']['schools'] = new stdClass;
        },
    ],
    'minus nothing' => [
        function (array &$file): void {
            $file['climate']['months'][0]['mean_c'] = -0.0;
        },
    ],
]);

it('refuses a photograph event without a photograph, which could not be written', function () {
    $file = demoFile();
    $visit = array_values(array_filter($file['site']['events'], fn (array $e) => $e['kind'] === 'visit'))[0];
    $file['site']['events'][] = [
        'id' => 'empty',
        'kind' => 'photograph',
        'visit' => $visit['id'],
        'at' => $visit['at'],
        'by' => 'x',
        'photographs' => [],
    ];
    expect(fn () => ProjectFormat::parse(json_encode($file), new Catalogue))->toThrow(FileRefused::class);
});

it('refuses times that no site has seen', function (string $at) {
    $file = demoFile();
    $file['site']['events'][0]['at'] = $at;
    expect(fn () => ProjectFormat::parse(json_encode($file), new Catalogue))->toThrow(FileRefused::class);
})->with(['0000-01-01T00:00:00Z', '0001-01-01T00:00:00Z', '9999-01-01T00:00:00Z', "2026-01-01T00:00:00Z\n"]);

it(
    'keeps the gaps of a detail that is practised: what leaks when drawn leaks when built in the right order',
    function () {
        $generator = Methods::named('panel-joint');
        $detail = $generator->make(
            'p',
            'p',
            usualSizes('panel-joint') + ['cavities' => 'tape-only'],
            new Materials([], new Catalogue),
        );
        $gaps = fn ($of): int => count(
            array_filter((new DetailAssessment($of))->findings(), fn ($f) => $f->code === 'air.gap'),
        );
        $drill = Drill::run($detail, array_map(fn (Step $s): int => $s->number, $detail->steps));
        expect($gaps($detail))->toBe(2)->and($gaps($drill->built))->toBe(2);
        // What a list of details shows is the worst of what is said of each.
        expect((new DetailAssessment($detail))->severity())->toBe(Severity::Caution);
    },
);

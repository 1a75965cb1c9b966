<?php

declare(strict_types=1);

use Apron\Inspection\Check;
use Apron\Inspection\DetailChecks;
use Apron\Inspection\SiteFormat;
use Apron\Inspection\SiteRecord;
use Apron\Inspection\Verdict;
use Apron\Json\Node;
use Apron\Rules\Severity;

function events(array ...$rows): array
{
    return array_map(
        fn (array $row) => SiteFormat::event(
            Node::of($row + ['by' => 'somebody', 'visit' => 'v1', 'at' => '2026-05-01T10:00:00Z']),
        ),
        $rows,
    );
}

$check = new Check('o.lap', 'o', 'pan-upturn', '', 1, 80.0, Apron\Inspection\Bounds::atLeast(75.0), null);

it('judges a length at its bounds', function (float $mm, Severity $severity) use ($check) {
    [$reading] = events(['id' => 'r1', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => $mm]);
    expect(Verdict::judge($check, $reading))->toBe($severity);
})->with([
    [75.0, Severity::Pass],
    [74.9, Severity::Caution],
    [37.5, Severity::Caution],
    [37.4, Severity::Fail],
    [0.0, Severity::Fail],
]);

it('takes the worst, the least, the mean and the share out', function () use ($check) {
    $verdict = Verdict::of(
        $check,
        events(
            ['id' => 'a', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 80],
            ['id' => 'b', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 60],
            ['id' => 'c', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 76],
            ['id' => 'd', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 84],
        ),
    );
    expect([$verdict->severity, $verdict->count, $verdict->least, $verdict->mean, $verdict->out])->toBe([
        Severity::Caution,
        4,
        60.0,
        75.0,
        0.25,
    ]);
});

it('comes to the same whatever order the events arrive in', function () {
    $rows = [
        ['id' => 'v1', 'kind' => 'visit', 'at' => '2026-05-01T08:00:00Z'],
        ['id' => 'r1', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 30, 'at' => '2026-05-01T09:00:00Z'],
        [
            'id' => 'f1',
            'kind' => 'fault-raised',
            'severity' => 'fail',
            'words' => 'short',
            'at' => '2026-05-01T09:01:00Z',
        ],
        [
            'id' => 'f2',
            'kind' => 'fault-repaired',
            'fault' => 'f1',
            'words' => 'patched',
            'at' => '2026-05-01T10:00:00Z',
        ],
        [
            'id' => 'f3',
            'kind' => 'fault-reinspected',
            'fault' => 'f1',
            'passes' => false,
            'at' => '2026-05-01T11:00:00Z',
        ],
        [
            'id' => 'f4',
            'kind' => 'fault-repaired',
            'fault' => 'f1',
            'words' => 'patched again',
            'at' => '2026-05-01T12:00:00Z',
        ],
        [
            'id' => 'r2',
            'kind' => 'reading',
            'check' => 'o.lap',
            'value_mm' => 78,
            'supersedes' => 'r1',
            'at' => '2026-05-01T12:30:00Z',
        ],
    ];
    $states = [];
    for ($turn = 0; $turn < 12; $turn++) {
        mt_srand($turn);
        shuffle($rows);
        $record = new SiteRecord(events(...$rows));
        $states[] = [
            array_map(fn ($r) => $r->id, $record->readings('o.lap')),
            array_map(fn ($f) => [$f->raised->id, $f->state()->value, $f->repaired?->words], $record->faults()),
        ];
    }
    expect(array_unique($states, SORT_REGULAR))
        ->toHaveCount(1)
        ->and($states[0])
        ->toBe([['r2'], [['f1', 'repaired', 'patched again']]]);
});

it('opens a fault again when its re-inspection fails, and closes it when it passes', function (
    bool $passes,
    string $state,
) {
    $record = new SiteRecord(
        events(
            [
                'id' => 'f1',
                'kind' => 'fault-raised',
                'severity' => 'fail',
                'words' => 'short',
                'at' => '2026-05-01T09:01:00Z',
            ],
            [
                'id' => 'f2',
                'kind' => 'fault-repaired',
                'fault' => 'f1',
                'words' => 'patched',
                'at' => '2026-05-01T10:00:00Z',
            ],
            [
                'id' => 'f3',
                'kind' => 'fault-reinspected',
                'fault' => 'f1',
                'passes' => $passes,
                'at' => '2026-05-01T11:00:00Z',
            ],
        ),
    );
    expect($record->faults()[0]->state()->value)->toBe($state);
})->with([[true, 'closed'], [false, 'open']]);

it('asks of an opening what it draws, against the least it names', function () {
    $checks = [];
    foreach (DetailChecks::of(readProject(demoFile())->details[0]) as $check) {
        $checks[$check->id] = [$check->step, $check->drawn, $check->bounds?->least];
    }
    expect($checks)
        ->toHaveCount(18)
        ->toMatchArray([
            'o4.pan-upturn.left' => [2, 150.0, 150.0],
            'o4.liner-over-pan.right' => [3, 75.0, 50.0],
            'o4.jamb-strip-on-sheet.left' => [6, 118.0, 50.0],
            'o4.head-strip-past-jamb.left' => [7, 50.0, 50.0],
            'o4.flap-over-head-strip' => [8, 120.0, 100.0],
            'o4.slit-tape-side.right' => [9, 75.0, 50.0],
            'o4.bottom-flange-open' => [5, null, null],
        ]);
});

it('judges a reading by what was asked when it was read, whatever is asked today', function () {
    $asked = fn (?float $least): array => ['title' => 'upturn of the pan', 'edition' => 'core 4'] +
        ($least === null ? [] : ['least_mm' => $least, 'drawn_mm' => 80]);
    [$failed, $passed, $older] = events(
        ['id' => 'a', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 80, 'asked' => $asked(100.0)],
        ['id' => 'b', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 55, 'asked' => $asked(50.0)],
        ['id' => 'c', 'kind' => 'reading', 'check' => 'o.lap', 'value_mm' => 80],
    );
    $today = new Check('o.lap', 'o', 'pan-upturn', '', 1, 80.0, Apron\Inspection\Bounds::atLeast(75.0), null);
    expect([Verdict::judge($today, $failed), Verdict::today($today, $failed)])
        ->toBe([Severity::Caution, Severity::Pass])
        ->and([Verdict::judge($today, $passed), Verdict::today($today, $passed)])
        ->toBe([Severity::Pass, Severity::Caution])
        ->and(Verdict::judge($today, $older))
        ->toBe(Severity::Pass)
        // Its detail is gone and the evidence stands.
        ->and(Verdict::judge(null, $failed))
        ->toBe(Severity::Caution)
        ->and(SiteFormat::write($failed)['asked'])
        ->toBe(['title' => 'upturn of the pan', 'least_mm' => 100.0, 'drawn_mm' => 80.0, 'edition' => 'core 4']);
});

it(
    'takes thousandths of a second in their order: a fault repaired in the second in which it was raised is repaired',
    function () {
        $record = new SiteRecord(
            events(
                ['id' => 'v1', 'kind' => 'visit', 'at' => '2026-05-01T08:00:00Z'],
                [
                    'id' => 'f2',
                    'kind' => 'fault-repaired',
                    'fault' => 'f1',
                    'words' => 'patched',
                    'at' => '2026-05-01T10:00:00.400Z',
                ],
                [
                    'id' => 'f1',
                    'kind' => 'fault-raised',
                    'severity' => 'fail',
                    'words' => 'short',
                    'at' => '2026-05-01T10:00:00Z',
                ],
            ),
        );
        expect($record->faults()[0]->state()->value)->toBe('repaired');
    },
);

it('holds a reading to a least, a most or both, in the unit of what is read', function (
    ?float $least,
    ?float $most,
    array $said,
) {
    $bounds = Apron\Inspection\Bounds::of($least, $most, Apron\Inspection\ReadingUnit::Percent);
    foreach ($said as $value => $severity) {
        expect($bounds->judge((float) $value)->value)->toBe($severity, (string) $value);
    }
})->with([
    'a least' => [10.0, null, ['10' => 'pass', '6' => 'caution', '5' => 'caution', '4' => 'fail']],
    'a most' => [null, 20.0, ['20' => 'pass', '21' => 'caution', '30' => 'caution', '31' => 'fail', '-5' => 'pass']],
    'both' => [10.0, 20.0, ['9' => 'caution', '15' => 'pass', '25' => 'caution', '40' => 'fail', '2' => 'fail']],
]);

it('knows no bounds that bound nothing, or that nothing is within', function () {
    $of = Apron\Inspection\Bounds::of(...);
    expect(fn () => $of(null, null, Apron\Inspection\ReadingUnit::Celsius))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => $of(5.0, 4.0, Apron\Inspection\ReadingUnit::Celsius))
        ->toThrow(InvalidArgumentException::class);
});

it('keeps a reading of any unit with what it was asked, byte for byte', function (array $reading) {
    $event = ['id' => 'r', 'kind' => 'reading', 'visit' => 'v', 'at' => '2026-05-01T10:00:00Z', 'by' => 'x'];
    $event += ['check' => 'w1.moisture'] + $reading;
    $read = Apron\Inspection\SiteFormat::event(Apron\Json\Node::of($event));
    expect(Apron\Inspection\SiteFormat::write($read))
        ->toEqual($event)
        // and as quickly read back, without looking at each part of it again
        ->and(Apron\Inspection\SiteFormat::write(Apron\Inspection\SiteFormat::written($event)))
        ->toEqual($event);
})->with([
    'wood, in %' => [
        [
            'value' => 17.5,
            'unit' => 'pct',
            'asked' => ['title' => 'Moisture of the plate', 'most' => 19.0, 'unit' => 'pct', 'edition' => 'e'],
        ],
    ],
    'a wall below freezing' => [['value' => -4.0, 'unit' => 'c', 'typed' => '-4 °C']],
    'a lap between two bounds' => [
        [
            'value_mm' => 80.0,
            'asked' => [
                'title' => 'Lap',
                'least_mm' => 75.0,
                'most_mm' => 110.0,
                'drawn_mm' => 80.0,
                'edition' => 'e',
            ],
        ],
    ],
    'a look' => [['holds' => false]],
    'a place on an elevation' => [
        ['holds' => false, 'pin' => ['part' => 'hall.wall.0@porch', 'x_mm' => 1200.0, 'z_mm' => 900.5]],
    ],
]);

it('refuses what an event of its kind does not say, and a number without its unit', function (
    array $more,
    string $at,
) {
    $event = ['id' => 'e', 'visit' => 'v', 'at' => '2026-05-01T10:00:00Z', 'by' => 'x', 'check' => 'c'] + $more;
    expect(fn () => Apron\Inspection\SiteFormat::event(Apron\Json\Node::of($event)))->toThrow(
        Apron\Json\FileRefused::class,
        $at,
    );
})->with([
    'a fault with a value' => [
        ['kind' => 'fault-raised', 'severity' => 'fail', 'words' => 'w', 'value_mm' => 3],
        'value_mm',
    ],
    'a value without its unit' => [['kind' => 'reading', 'value' => 3], 'unit'],
    'two values' => [['kind' => 'reading', 'value' => 3, 'unit' => 'c', 'value_mm' => 3], 'value_mm'],
    'a pin without a height' => [
        ['kind' => 'reading', 'holds' => true, 'pin' => ['part' => 'hall.wall.0', 'x_mm' => 3]],
        'z_mm',
    ],
    'a pin beside the world' => [
        ['kind' => 'reading', 'holds' => true, 'pin' => ['part' => 'hall.wall.0', 'x_mm' => 3e9, 'z_mm' => 0]],
        '/pin/x_mm',
    ],
    'a unit that there is not' => [['kind' => 'reading', 'value' => 3, 'unit' => 'furlong'], '/unit'],
]);

it('says what a reading out of other bounds than a least is out of', function () {
    $check = new Check(
        'w1.moisture',
        'w1',
        'pan-upturn',
        '',
        1,
        null,
        Apron\Inspection\Bounds::of(null, 19.0, Apron\Inspection\ReadingUnit::Percent),
        null,
    );
    $event = [
        'id' => 'r',
        'kind' => 'reading',
        'visit' => 'v',
        'at' => '2026-05-01T10:00:00Z',
        'by' => 'x',
        'check' => 'w1.moisture',
        'value' => 31.0,
        'unit' => 'pct',
    ];
    $found = Apron\Inspection\SiteFindings::of(
        [[$check, 'The plate', 'Moisture']],
        [Apron\Inspection\SiteFormat::event(Apron\Json\Node::of($event))],
    )[0];
    expect([$found->code, $found->severity->value, $found->figures['bound']])->toBe([
        'site.reading-out',
        'fail',
        '19',
    ]);
    $words = new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI);
    expect($words->of($found)['reason'])->toContain('31 %')->toContain('19 %');
});

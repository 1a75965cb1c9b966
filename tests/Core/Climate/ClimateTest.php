<?php

declare(strict_types=1);

use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\ClimateFileRefused;
use Apron\Climate\EpwReader;
use Apron\Climate\GenericClimates;
use Apron\Climate\HourlyYear;
use Apron\Climate\MoistureProduction;
use Apron\Climate\Month;
use Apron\Climate\MonthTable;
use Apron\Climate\Soil;

/** A sound weather file of a made-up year: a cosine over the days, 6 K up and down over each day, rain at noon. */
function epw(): string
{
    $lines = [
        'LOCATION,Made-up place,XX,NON,None,0,45.0,0.0,0.0,10.0',
        'DESIGN CONDITIONS,0',
        'TYPICAL/EXTREME PERIODS,0',
        'GROUND TEMPERATURES,0',
        'HOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0',
        'COMMENTS 1,made up',
        'COMMENTS 2,',
        'DATA PERIODS,1,1,Data,Sunday, 1/ 1,12/31',
    ];
    foreach (Month::DAYS as $m => $days) {
        for ($d = 1; $d <= $days; $d++) {
            for ($h = 1; $h <= 24; $h++) {
                $cells = array_fill(0, 35, '0');
                [$cells[0], $cells[1], $cells[2], $cells[3], $cells[4]] = ['2001', $m + 1, $d, $h, 60];
                $cells[6] = round(8 - 14 * cos((2 * M_PI * $m) / 12) + 6 * cos((2 * M_PI * ($h - 15)) / 24), 1);
                [$cells[8], $cells[13], $cells[20], $cells[21], $cells[33]] = [
                    70,
                    $h === 12 ? 480 : 0,
                    180,
                    4,
                    $h === 12 ? 2 : 0,
                ];
                $lines[] = implode(',', $cells);
            }
        }
    }

    return implode("\r\n", $lines)."\r\n";
}

it('has seven made-up climates, cold to hot, each by its formula', function () {
    $climates = (new GenericClimates)->all();
    expect($climates)
        ->toHaveCount(7)
        ->and(array_unique(array_map(fn (Climate $c) => $c->name, $climates)))
        ->toHaveCount(7);
    foreach ($climates as $climate) {
        expect($climate->name)
            ->toContain('made up')
            ->and($climate->zone)
            ->not->toBeNull()
            ->and($climate->designWinter)
            ->toBeLessThan($climate->months[$climate->coldest()]->celsius);
        foreach ($climate->months as $month) {
            expect($month->rain)
                ->toBeGreaterThan(0.0)
                ->and($month->wind)
                ->toBeGreaterThan(0.0)
                ->and($month->humidity)
                ->toBeBetween(5.0, 100.0);
        }
    }
    // Cold continental: 5.2 − 15.8 · cos(2π(m − 0.3)/12), m 6 for July.
    expect((new GenericClimates)->named('cold continental (made up)')->months[6]->celsius)->toBe(
        round(5.2 - 15.8 * cos((2 * M_PI * 5.7) / 12), 1),
    );
});

it('makes a year of hours that has the months it was made from, the same for the same seed', function (int $i) {
    $climate = (new GenericClimates)->all()[$i];
    $year = HourlyYear::synthesise($climate, 11);
    expect($year->hours)
        ->toHaveCount(8760)
        ->and(serialize(HourlyYear::synthesise($climate, 11)))
        ->toBe(serialize($year))
        ->and(HourlyYear::synthesise($climate, 12)->hours[100])
        ->not->toEqual($year->hours[100]);
    foreach ($year->climate()->months as $m => $month) {
        $asked = $climate->months[$m];
        expect($month->celsius)
            ->toEqualWithDelta($asked->celsius, 1e-9)
            ->and($month->vapourPressure())
            ->toEqualWithDelta($asked->vapourPressure(), 1e-6)
            ->and($month->rain)
            ->toEqualWithDelta($asked->rain, 1e-9)
            ->and($month->wind)
            ->toEqualWithDelta($asked->wind, 1e-9)
            ->and($month->sun)
            ->toEqualWithDelta($asked->sun, 1e-9);
    }
    expect(
        max(array_map(fn ($hour) => $hour->vapourPressure / Air::saturation($hour->celsius), $year->hours)),
    )->toBeLessThanOrEqual(1 + 1e-9);
    expect($year->zone())->toBe($climate->zone);
})->with(range(0, 6));

it(
    'reads an EPW file into months, its zone, its cold and its driving rain (ISO 15927-3:2009, formula 1; arithmetic worked by hand)',
    function () {
        $year = EpwReader::read(epw());
        $climate = $year->climate();
        expect($climate->name)
            ->toBe('Made-up place')
            ->and($climate->months[0]->celsius)
            ->toEqualWithDelta(-6.0, 0.03)
            ->and($climate->months[6]->celsius)
            ->toEqualWithDelta(22.0, 0.03)
            ->and($climate->months[0]->rain)
            ->toEqualWithDelta(62.0, 1e-9)
            ->and($climate->months[3]->wind)
            ->toEqualWithDelta(4.0, 1e-9)
            ->and($climate->months[3]->sun)
            ->toEqualWithDelta(20.0, 1e-9)
            ->and($climate->zone)
            ->toBe('5A')
            ->and($climate->designWinter)
            ->toBeLessThan(-11.0);
        // One hour a day of 2 mm at 4 m/s from the south: 2/9 · 365 · 4 · 2^(8/9) on a south wall, nothing on a north
        // one.
        expect($year->drivingRain(180))
            ->toEqualWithDelta((2 / 9) * 365 * 4 * 2 ** (8 / 9), 1e-9)
            ->and($year->drivingRain(0))
            ->toEqualWithDelta(0.0, 1e-9)
            // All of it from one side: the wall there gets π times what one facing anywhere does.
            ->and($climate->months[0]->worstFacing)
            ->toEqualWithDelta(M_PI, 1e-9);
    },
);

it('refuses a damaged EPW file with its line and the reason', function (callable $damage, int $line, string $why) {
    $lines = explode("\r\n", rtrim(epw()));
    try {
        EpwReader::read(implode("\n", $damage($lines)));
    } catch (ClimateFileRefused $refused) {
        expect($refused->atLine)->toBe($line)->and($refused->getMessage())->toContain($why);

        return;
    }
    expect('refused')->toBe('read');
})->with([
    'empty' => [fn (array $l) => [''], 1, 'empty'],
    'no header' => [fn (array $l) => array_slice($l, 1), 1, 'LOCATION'],
    'a header line short' => [fn (array $l) => [...array_slice($l, 0, 4), ...array_slice($l, 5)], 5, 'HOLIDAYS'],
    'cut off' => [fn (array $l) => array_slice($l, 0, 5000), 5000, '4992 hours'],
    'a word for a temperature' => [
        fn (array $l) => array_replace($l, [100 => str_replace(explode(',', $l[100])[6], 'warm', $l[100])]),
        101,
        'column',
    ],
    'missing temperature' => [
        function (array $l) {
            $cells = explode(',', $l[2000]);
            $cells[6] = '99.9';

            return array_replace($l, [2000 => implode(',', $cells)]);
        },
        2001,
        'dry bulb',
    ],
    'a row cut short' => [fn (array $l) => array_replace($l, [900 => substr($l[900], 0, 30)]), 901, 'columns'],
    'an hour twice' => [
        fn (array $l) => [...array_slice($l, 0, 51), $l[50], ...array_slice($l, 51)],
        52,
        'hours in order',
    ],
    'a leap day' => [fn (array $l) => [...$l, ...array_slice($l, -24)], 8769, 'leap day'],
]);

it('leaves out a column that the file marks as missing', function () {
    $rows = array_map(function (string $line) {
        $cells = explode(',', $line);
        if (count($cells) === 35) {
            $cells[33] = '999.0';
        }

        return implode(',', $cells);
    }, explode("\r\n", rtrim(epw())));
    $climate = EpwReader::read(implode("\n", $rows))->climate();
    expect($climate->months[0]->rain)->toBeNull()->and($climate->months[0]->wind)->not->toBeNull();
});

it('reads twelve months from a table as they are pasted', function (string $text, ?float $rain) {
    $climate = MonthTable::read($text, 'mine');
    expect($climate->months)
        ->toHaveCount(12)
        ->and($climate->months[0]->celsius)
        ->toBe(-3.5)
        ->and($climate->months[11]->humidity)
        ->toBe(81.0)
        ->and($climate->months[0]->rain)
        ->toBe($rain);
})->with([
    'comma' => [
        implode("\n", [
            'month,mean C,RH,rain',
            ...array_map(fn (int $m) => "$m,".(-4.5 + $m).','.(69 + $m).',50', range(1, 12)),
        ]),
        50.0,
    ],
    'semicolon and decimal comma' => [
        implode(
            "\n",
            array_map(
                fn (int $m) => 'M'.$m.';'.str_replace('.', ',', (string) (-4.5 + $m)).';'.(69 + $m),
                range(1, 12),
            ),
        ),
        null,
    ],
    'two rows of twelve' => [
        implode("\t", array_map(fn (int $m) => -4.5 + $m, range(1, 12))).
        "\n".
        implode("\t", array_map(fn (int $m) => 69 + $m, range(1, 12))),
        null,
    ],
]);

it('refuses a table of months with the line', function (string $text, int $line, string $why) {
    expect(fn () => MonthTable::read($text, 'x'))->toThrow(
        fn (ClimateFileRefused $r) => expect($r->atLine)->toBe($line)->and($r->getMessage())->toContain($why),
    );
})->with([
    ["1,2\n3,4", 2, '2 lines of figures'],
    ['words only', 1, 'twelve lines'],
    [implode("\n", array_map(fn (int $m) => '5,70', range(1, 11)))."\n5,170", 12, 'relative humidity'],
    [implode("\n", array_map(fn (int $m) => $m === 4 ? '5' : '5,70', range(1, 12))), 4, 'one figure'],
]);

it(
    'carries the year’s swing into the ground, flatter and later with depth (Kusuda and Achenbach 1965; arithmetic worked by hand)',
    function () {
        $months = array_map(fn (int $m) => new Month(10 - 12 * cos((2 * M_PI * ($m + 0.5)) / 12), 70), range(0, 11));
        $air = new Climate('cosine', $months);
        $at = fn (float $depth) => array_map(fn (Month $m) => $m->celsius, (new Soil($depth))->months($air)->months);
        expect($at(0))->toEqualWithDelta(array_map(fn (Month $m) => $m->celsius, $months), 1e-9);
        // d = √(2a/ω) with a 7·10⁻⁷ m²/s and ω 2π/365 days is 2.6506 m: at that depth 12/e and 58 days behind.
        $deep = $at(sqrt((2 * 7e-7) / ((2 * M_PI) / (365 * 86400))));
        expect(max($deep) - 10)
            ->toBeLessThan(12 / M_E + 1e-9)
            ->toBeGreaterThan((12 / M_E) * 0.96)
            ->and(array_search(min($deep), $deep))
            ->toBeIn([1, 2])
            ->and(array_sum($deep) / 12)
            ->toEqualWithDelta(10.0, 1e-9);
    },
);

it('gets indoor air from moisture given off and ventilation (ideal gas; arithmetic worked by hand)', function () {
    // 10 kg a day into 0.5 changes of 300 m³ an hour: 10/86400 ÷ (150/3600) kg/m³ = 2.7778e-3; times 461.5 · 293.15 is
    // 375.80 Pa.
    $air = (new MoistureProduction(20, 10, 300, 0.5))->during(0, new Month(0, 80));
    expect($air['pressure'] - 0.8 * Air::saturation(0))
        ->toEqualWithDelta(375.8, 0.01)
        ->and($air['celsius'])
        ->toBe(20.0);
});

it('takes a first column for the calendar only where all twelve count the months', function () {
    $month = fn (array $first): string => implode("\n", array_map(fn (float|int $c): string => "$c,55,60", $first));
    $read = fn (string $table): array => array_map(
        fn ($m): array => [$m->celsius, $m->humidity, $m->rain],
        MonthTable::read($table, 'x')->months,
    );
    // A January of 1.0 °C and an October of 10 are weather.
    $weather = $read($month([1, 3, 6, 8, 12, 16, 18, 17, 14, 10, 6, 2]));
    expect($weather[0])
        ->toBe([1.0, 55.0, 60.0])
        ->and($weather[9])
        ->toBe([10.0, 55.0, 60.0]);
    $numbered = $read(implode("\n", array_map(fn (int $m): string => "$m,-5,80,40", range(1, 12))));
    expect($numbered[11])->toBe([-5.0, 80.0, 40.0]);
});

it('refuses air that no formula speaks of', function () {
    expect(fn () => Apron\Climate\Air::saturation(-300))
        ->toThrow(RangeException::class)
        ->and(fn () => Apron\Climate\Air::dewPoint(0))
        ->toThrow(RangeException::class);
});

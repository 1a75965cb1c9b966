<?php

declare(strict_types=1);

use Apron\Detail\Detail;
use Apron\Detail\Reasons;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Method\Methods;

function dressed(string $name): Detail
{
    return Methods::named($name)->make('o', 'O', usualSizes($name), new Materials([], new Catalogue));
}

it('orders every generator’s steps as its reasons ask, and gives each step after the first a reason', function (
    string $name,
) {
    $detail = dressed($name);
    $reasons = Reasons::of($detail);
    foreach ($reasons as $reason) {
        expect($reason['before'])->toBeLessThan($reason['after']);
    }
    foreach ($detail->steps as $step) {
        // These begin something of their own and may come whenever there is a wall to put them on.
        if (
            $step->number > 1 &&
            ! in_array(
                $step->does,
                ['sheathing-gap', 'roof-upturn', 'membrane-below-and-beside', 'membrane-all-over'],
                true,
            )
        ) {
            $before = array_filter($reasons, fn (array $r) => $r['after'] === $step->number);
            expect($before)->not->toBe([], "$step->does");
        }
    }
})->with(array_keys(Methods::all()));

it('ties what lies under to what lies over, and a seal to the unit it seals', function () {
    $detail = dressed('flanged-unit-in-fastened-sheet');
    $tied = array_map(fn (array $r) => "{$r['before']}-{$r['after']} {$r['why']}", Reasons::of($detail));
    expect($tied)
        ->toContain('2-3 order.lies-under')
        ->toContain('7-8 order.lies-under')
        ->toContain('5-10 order.needs-unit')
        ->and(Reasons::against($detail, 7)['inner'])
        ->toBe('head-strip')
        ->and(Reasons::against($detail, 7)['outer'])
        ->toBe('sheet')
        // Slit tapes and inner seal: either first.
        ->and(Reasons::against($detail, 9))
        ->toBeNull();
});

it('ties what is tucked under to what it goes under', function () {
    $reason = Reasons::against(dressed('wall-to-roof'), 2);
    expect($reason)->toBe([
        'before' => 2,
        'after' => 3,
        'why' => 'order.tucked',
        'inner' => 'wall-sheet',
        'outer' => 'roof-membrane',
    ]);
});

it('lets what only cures or is reached later wait, by what the steps do', function () {
    $detail = dressed('strapped-unit-in-self-adhered');
    expect(Reasons::against($detail, 7)['why'])
        ->toBe('order.cures')
        ->and(Reasons::against($detail, 8)['why'])
        ->toBe('order.access')
        ->and(Reasons::against($detail, 5)['why'])
        ->toBe('order.inspected');
});

<?php

use Apron\Detail\Detail;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Sequence\Generators;
use Apron\Sequence\Reasons;

function dressed(string $name): Detail
{
    return Generators::named($name)->make('o', 'O', ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 140], new Materials([], new Catalogue));
}

it('orders every generator’s steps as its reasons ask, and gives each step after the first a reason', function (string $name) {
    $detail = dressed($name);
    $reasons = Reasons::of($detail);
    foreach ($reasons as $reason) {
        expect($reason['before'])->toBeLessThan($reason['after']);
    }
    foreach ($detail->steps as $step) {
        if ($step->number > 1) {
            expect(array_filter($reasons, fn (array $r) => $r['after'] === $step->number))->not->toBe([], "step $step->number");
        }
    }
})->with(array_keys(Generators::all()));

it('ties what lies under to what lies over, and a seal to the unit it seals', function () {
    $detail = dressed('flanged-unit-in-fastened-sheet');
    $tied = array_map(fn (array $r) => "{$r['before']}-{$r['after']} {$r['why']}", Reasons::of($detail));
    expect($tied)->toContain('2-3 order.lies-under')->toContain('7-8 order.lies-under')->toContain('5-10 order.needs-unit')
        ->and(Reasons::against($detail, 7)['inner'])->toBe('head-strip')->and(Reasons::against($detail, 7)['outer'])->toBe('sheet')
        // Slit tapes and inner seal: either first.
        ->and(Reasons::against($detail, 9))->toBeNull();
});

it('lets what only cures or is reached later wait, by what the steps do', function () {
    $detail = dressed('strapped-unit-in-self-adhered');
    expect(Reasons::against($detail, 7)['why'])->toBe('order.cures')->and(Reasons::against($detail, 8)['why'])->toBe('order.access')->and(Reasons::against($detail, 5)['why'])->toBe('order.inspected');
});

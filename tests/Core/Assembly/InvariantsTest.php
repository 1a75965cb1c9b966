<?php

declare(strict_types=1);

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Framing;
use Apron\Assembly\Layer;
use Apron\Climate\Climate;
use Apron\Material\Catalogue;

it('makes nothing that cannot be', function (Closure $make, string $why): void {
    expect($make)->toThrow(InvalidArgumentException::class, $why);
})->with([
    'a year of no months' => [
        fn (): Climate => new Climate('short', []),
        'twelve months, and not 0',
    ],
    'a wall of nothing' => [
        fn (): Assembly => new Assembly('w', 'W', AssemblyKind::Wall, null, null, null, []),
        'the assembly w has no layer',
    ],
    'a layer of no thickness' => [
        fn (): Layer => new Layer('l', (new Catalogue)->find('osb'), 0.0, null, [], null, null, null),
        'the layer l is 0 mm thick',
    ],
    'studs that take all of a wall' => [
        fn (): Framing => new Framing((new Catalogue)->find('osb'), 1.0, null, null, null),
        'framing takes 1 of the area',
    ],
]);

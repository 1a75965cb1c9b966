<?php

require_once __DIR__.'/Support.php';

/** Whether the left jamb is reached: the wall's air layer, then what is between it and a lining of the jamb, the inner seal at 80. */
function jambReached(array $between, array $lining = [], array $unit = []): bool
{
    $layer = one('layer', 'sheet', 1, [-500, -500, -60, 1500], ['air' => true, 'air_layer' => true]);
    $lined = array_replace(piece('lining', 'membrane', 20, [['jamb-left', [0, 0, 140, 1000], ['joined' => ['l']]], ['face', [-20, 0, 0, 1000], ['joined' => ['l']]]], ['air' => true]), $lining);

    return traced(openingDetail([$layer, ...$between, $lined], [], ['unit' => array_replace(['z' => [0, 80], 'joints' => ['jamb-left' => ['outer' => 'open', 'inner' => true]]], $unit)]))->air['jamb-left'];
}

it('follows contacts from the wall’s air layer to the jamb', function (array $between, bool $reached) {
    expect(jambReached($between))->toBe($reached);
})->with([
    'nothing between' => [[], false],
    'a bonded strip over both' => [[one('strip', 'tape', 2, [-100, 0, -10, 1000], ['air' => true])], true],
    'a strip that is not for air' => [[one('strip', 'tape', 2, [-100, 0, -10, 1000])], false],
    'a fastened strip: the lining is bonded to it, it is not to the layer' => [[one('strip', 'sheet', 2, [-100, 0, -10, 1000], ['air' => true])], false],
    'a fastened strip, its edge taped' => [[one('strip', 'sheet', 2, [-100, 0, -10, 1000], ['air' => true]), one('tape', 'tape', 3, [-120, 0, -80, 1000], ['air' => true])], true],
    'a strip that does not reach the layer' => [[one('strip', 'tape', 2, [-55, 0, -10, 1000], ['air' => true])], false],
    'a strip that does not reach the lining' => [[one('strip', 'tape', 2, [-100, 0, -25, 1000], ['air' => true])], false],
    'by way of two strips' => [[one('a', 'tape', 2, [-100, 0, -40, 1000], ['air' => true]), one('b', 'tape', 3, [-50, 0, -10, 1000], ['air' => true])], true],
    'a bead that both touch' => [[one('bead', 'sealant', 2, [-70, 0, -10, 1000])], true],
]);

it('asks the seal to lie on the lining over its whole height, at its own depth', function (array $patches, array $unit, bool $reached) {
    $strip = [one('strip', 'tape', 2, [-100, 0, -10, 1000], ['air' => true])];
    $rows = array_map(fn (int $i) => ['id' => "l.$i", 'facet' => $patches[$i][0], 'rect' => $patches[$i][1], 'joined' => ['l']], array_keys($patches));
    expect(jambReached($strip, ['patches' => $rows], $unit))->toBe($reached);
})->with([
    'whole' => [[['jamb-left', [0, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]], [], true],
    'in two lengths that meet' => [[['jamb-left', [0, 0, 140, 400]], ['jamb-left', [0, 400, 140, 1000]], ['face', [-20, 0, 0, 1000]]], [], true],
    'in two lengths with a gap' => [[['jamb-left', [0, 0, 140, 390]], ['jamb-left', [0, 400, 140, 1000]], ['face', [-20, 0, 0, 1000]]], [], false],
    'stops short of the head' => [[['jamb-left', [0, 0, 140, 990]], ['face', [-20, 0, 0, 1000]]], [], false],
    'not as deep as the seal' => [[['jamb-left', [0, 0, 79, 1000]], ['face', [-20, 0, 0, 1000]]], [], false],
    'just as deep' => [[['jamb-left', [0, 0, 80, 1000]], ['face', [-20, 0, 0, 1000]]], [], true],
    'without an inner seal' => [[['jamb-left', [0, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]], ['joints' => ['jamb-left' => ['outer' => 'open', 'inner' => false]]], false],
    'by the outer seal instead' => [[['jamb-left', [0, 0, 30, 1000]], ['face', [-20, 0, 0, 1000]]], ['joints' => ['jamb-left' => ['outer' => 'sealed', 'inner' => false]]], true],
    'insulation alone is no seal' => [[['jamb-left', [0, 0, 140, 1000]], ['face', [-20, 0, 0, 1000]]], ['joints' => ['jamb-left' => ['outer' => 'open', 'insulation' => true]]], false],
]);

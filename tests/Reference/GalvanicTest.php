<?php

declare(strict_types=1);

use Apron\Contact\ContactRules;

// MIL-STD-889, dissimilar metals, as handbooks of corrosion give it (from memory): the anodic index of common metals
// against gold, in V, each within 0.05 of the other printings; and how far two may stand apart: 0.15 V in harsh places,
// salt or high humidity, 0.25 V in normal ones.
it('has the metals where MIL-STD-889 has them (from memory)', function (string $metal, float $volts) {
    expect(ContactRules::standing()->series[$metal])->toEqualWithDelta($volts, 0.05);
})->with([
    ['copper', 0.35],
    ['brass', 0.42],
    ['stainless', 0.50],
    ['lead', 0.70],
    ['steel', 0.85],
    ['aluminium', 0.90],
    ['galvanised', 1.20],
    ['zinc', 1.25],
]);

it('bears as much between two metals as MIL-STD-889 does (from memory)', function () {
    $apart = ContactRules::standing()->apart;
    expect($apart['marine'])->toBe(0.15)->and($apart['wet'])->toBe(0.25);
});

// The order that every published series in sea water has: each protects those before it, and is used up by them.
it('orders them from noble to base as every galvanic series in sea water does (from memory)', function () {
    $series = ContactRules::standing()->series;
    $order = ['copper', 'lead', 'steel', 'aluminium', 'zinc'];
    $volts = array_map(fn (string $metal): float => $series[$metal], $order);
    $sorted = $volts;
    sort($sorted);
    expect($volts)->toBe($sorted);
});

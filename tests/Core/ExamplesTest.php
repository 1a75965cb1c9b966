<?php

declare(strict_types=1);

use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Project\Example;
use Apron\Rules\Severity;

// What each worked example is there to show: the year, the worst severity, findings it must have (+) and must not (−).
// Common practice.
const SHOWN = [
    'foam-outside' => [
        'dries',
        'note',
        '+practice.exterior-r-enough',
        '+practice.plane-warm',
        '−drying.reserve-short',
    ],
    'wool-outside' => ['dry', 'note', '+practice.retarder-inside', '−drying.reserve-short'],
    'wool-only-inside' => [
        'dries',
        'fail',
        '+year.over.interface',
        '+practice.exterior-r-short',
        '+practice.leak-condenses',
    ],
    'stucco-direct' => [
        'dries',
        'fail',
        '+practice.retarder-wrong-side',
        '+practice.inward-drive',
        '+practice.reservoir-undrained-two',
    ],
    'stucco-gap' => ['dry', 'note', '+practice.reservoir-drained', '−practice.inward-drive'],
    'foil-steel' => ['dries', 'note', '+practice.reservoir-drained', '−drying.reserve-short'],
    'old-brick' => ['dry', 'caution', '+control.missing', '−practice.inward-drive'],
    'old-brick-inside' => ['dry', 'caution', '+practice.masonry-inside', '+practice.inward-drive'],
    'old-brick-capillary' => ['dry', 'caution', '+humid.damp', '−practice.masonry-inside'],
    'old-brick-outside' => ['dry', 'caution', '−practice.inward-drive'],
    'clt-wall' => ['dry', 'note', '−drying.reserve-short'],
    'clt-tight' => ['dry', 'note', '+drying.built-in-inward'],
    'icf' => ['dry', 'note', '−practice.inward-drive'],
    'masonry-cavity' => ['dry', 'note', '+practice.reservoir-drained'],
    'precast-spray' => ['dries', 'note'],
    'zgirts' => ['dry', 'caution', '+heat.bridges-take-most'],
    'compact-roof' => ['dry', 'note', '+drying.compact-roof'],
    'inverted-roof' => ['dry', 'note'],
    'unvented-roof' => ['dries', 'note', '+practice.roof-r-enough', '+practice.plane-warm'],
    'unvented-roof-no-foam' => ['dries', 'fail', '+year.over.interface', '+practice.roof-r-short'],
    'pool-roof' => ['dries', 'note', '−year.accumulates.interface'],
    'pool-roof-light' => ['accumulates', 'fail', '+year.accumulates.interface', '+control.air-too-leaky'],
    'foundation' => ['accumulates', 'note', '+year.damp-ground'],
    'foundation-inside' => ['accumulates', 'fail', '+practice.wool-below-grade-film'],
];

it('ships worked examples whose verdict is what they are there to show', function (string $id) {
    $example = array_values(array_filter(Example::all(new Catalogue), fn (Example $e) => $e->id === $id))[0];
    $assessed = new AssemblyAssessment($example->project->brief, $example->project->assemblies[0]);
    $codes = array_map(fn ($f) => $f->code, $assessed->findings());
    $worst = min(array_map(fn ($f) => $f->severity->rank(), $assessed->findings()));
    [$year, $severity] = SHOWN[$id];
    expect($assessed->year->verdict()->value)
        ->toBe($year)
        ->and($worst)
        ->toBe(Severity::from($severity)->rank(), implode(' ', $codes));
    foreach (array_slice(SHOWN[$id], 2) as $code) {
        str_starts_with($code, '+')
            ? expect($codes)->toContain(substr($code, 1))
            : expect($codes)->not->toContain(mb_substr($code, 1));
    }
})->with(array_keys(SHOWN));

it('lists every example, in a climate of its own', function () {
    $all = Example::all(new Catalogue);
    expect(array_map(fn (Example $e) => $e->id, $all))->toBe(array_keys(SHOWN));
    foreach ($all as $example) {
        expect($example->about)
            ->not->toBe('')
            ->and($example->project->brief->climate->zone)
            ->not->toBeNull();
    }
});

it('loses half of the wool to continuous girts, and little to screws', function () {
    $lost = function (string $id): float {
        $example = array_values(array_filter(Example::all(new Catalogue), fn (Example $e) => $e->id === $id))[0];

        return (new AssemblyAssessment($example->project->brief, $example->project->assemblies[0]))->toArray()[
            'lost_pct'
        ];
    };
    expect($lost('zgirts'))->toBeBetween(40.0, 60.0)->and($lost('clt-wall'))->toBeBetween(2.0, 12.0);
});

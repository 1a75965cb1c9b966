<?php

declare(strict_types=1);

require_once __DIR__.'/Support.php';

it('comes to what its reasons say', function (array $detail, array $expected, string $reason) {
    $shape = traced($detail)->toArray(new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI));
    foreach ($expected as $what => $want) {
        if (preg_match('/^(\w+)(?::([\w-]+))?@(-?[\d.]+)$/', $what, $m) === 1) {
            $strip = stripAt($shape, $m[1], $m[2] === '' ? null : $m[2], (float) $m[3]);
            expect([
                $strip['outcome'] ?? null,
                $strip['severity'] ?? null,
                array_key_exists('lines', $strip ?? []) ? $strip['lines'] : 'none',
            ])->toBe($want, "$what: $reason; ".implode(' → ', $strip['path'] ?? []));
        } elseif ($what === 'fastener') {
            expect(array_filter($shape['strips'], fn (array $s) => $s['source'] === 'fastener'))->toBe([]);
        } elseif ($what === 'laps') {
            expect(
                array_map(
                    fn (array $l) => [
                        $l['outer'],
                        $l['inner'],
                        $l['direction'],
                        $l['lap_mm'],
                        $l['reversed'],
                        $l['verdict'],
                    ],
                    $shape['laps'],
                ),
            )->toBe($want, $reason);
        } elseif ($what === 'joints') {
            expect(array_map(fn (array $j) => [$j['u'], $j['v'], $j['verdict']], $shape['joints']))->toBe(
                $want,
                $reason,
            );
        } else {
            expect(array_intersect_key((array) $shape[$what], $want))->toEqual($want, "$what: $reason");
        }
    }
})->with([
    ...require __DIR__.'/cases.php',
    ...require __DIR__.'/two-planes.php',
    ...require __DIR__.'/close-calls.php',
]);

<?php

// A second tracer and a second reader of laps, written from the rules alone and as plainly as can be: one facet, whole patches,
// every branch walked. Slow and simple, to hold the fast one to; on a coarse grid, so that edges often fall together.

require_once __DIR__.'/Support.php';

// SEEDS=6 for a quick look, as the mutation run takes one.
$seeds = (int) (getenv('SEEDS') ?: 40);

/** Sheets, strips and coats at places a tenth of the wall apart, each in a step of its own. @return list<array> */
function coarseWall(int $seed): array
{
    mt_srand($seed);
    $pieces = [];
    for ($i = 0, $n = mt_rand(2, 8); $i < $n; $i++) {
        [$v0, $v1] = [100 * mt_rand(0, 9), 100 * mt_rand(1, 10)];
        [$u0, $u1] = mt_rand(0, 2) > 0 ? [0, 1000] : [100 * mt_rand(0, 5), 100 * mt_rand(6, 10)];
        if ($v0 >= $v1) {
            [$v0, $v1] = [$v1 - 100, $v0 + 100];
        }
        $edge = fn () => ['open', 'open', 'adhered', 'sealed'][mt_rand(0, 3)];
        $pieces[] = one("p$i", 'sheet', $i + 1, [$u0, $v0, $u1, $v1], ['edges' => ['top' => $edge(), 'bottom' => $edge()]]);
    }

    return $pieces;
}

/** The patches over one place of the wall, innermost first. @return list<array{v0: float, v1: float, top: string, bottom: string}> */
function columnAt(array $pieces, float $u): array
{
    $column = [];
    foreach ($pieces as $piece) {
        [$u0, $v0, $u1, $v1] = $piece['patches'][0]['rect'];
        if ($u0 < $u && $u < $u1) {
            $column[] = ['v0' => (float) $v0, 'v1' => (float) $v1] + $piece['edges'];
        }
    }

    return $column;
}

/**
 * All that can happen at a level to water on a patch (or on bare wall, null) just above it.
 *
 * @return list<array{cost: int, events: list<string>, on: int|null, ends: bool}> edges that must fail, what is told, what the water is on after
 */
function crossed(array $column, ?int $carrier, float $above, float $level): array
{
    $over = fn (int $i): bool => $column[$i]['v1'] >= $above && $column[$i]['v0'] < $above;      // it is over the stretch the water came down
    $goesOn = fn (int $i): bool => $over($i) && $column[$i]['v0'] < $level;
    $outboard = array_values(array_filter(array_keys($column), fn (int $i) => $i > ($carrier ?? -1) && $over($i)));
    if ($level <= 0) {
        foreach ($outboard as $i) {
            if ($column[$i]['bottom'] !== 'open') {
                return [['cost' => 0, 'events' => ['trapped'], 'on' => null, 'ends' => true]];
            }
        }

        return [['cost' => 0, 'events' => [$carrier === null ? 'wets substrate' : ($outboard === [] ? 'shed' : 'recovered')], 'on' => null, 'ends' => true]];
    }
    $events = [];
    $let = false;
    foreach ($outboard as $i) {
        if ($goesOn($i)) {
            $let = false;
            break;
        }
        if ($column[$i]['bottom'] !== 'open') {
            return [['cost' => 0, 'events' => ['trapped'], 'on' => null, 'ends' => true]];
        }
        $let = true;
    }
    $events = $let ? ['recovered'] : [];
    $between = fn (int $a, int $b): bool => array_filter(array_keys($column), fn (int $i) => $i > min($a, $b) && $i < max($a, $b) && $goesOn($i)) !== [];
    // Where the water goes on: on what it is on, or, where that ends, over a butt joint that is sealed, or down to what goes on behind it.
    $starts = [[0, $events, $carrier, []]];
    if ($carrier !== null && ! $goesOn($carrier)) {
        $butts = array_values(array_filter(array_keys($column), fn (int $i) => $column[$i]['v1'] === $level && ! $between($carrier, $i)));
        usort($butts, fn (int $a, int $b) => abs($a - $carrier) <=> abs($b - $carrier));
        $butt = $butts[0] ?? null;
        $behind = array_filter(array_keys($column), fn (int $i) => $i < $carrier && $goesOn($i));
        $down = $behind === [] ? [null, [...$events, 'wets substrate'], $butt === null ? [] : [$butt]] : [max($behind), $events, []];
        $sealed = $butt !== null && ($column[$carrier]['bottom'] === 'sealed' || $column[$butt]['top'] === 'sealed');
        $starts = $sealed
            ? [[0, [...$events, 'relies on seal'], $butt, []], [1, $down[1], $down[0], $down[2]]]
            : [[0, $down[1], $down[0], $down[2]]];
    }
    $ways = [];
    foreach ($starts as [$cost, $told, $on, $past]) {
        foreach (array_keys($column) as $i) {
            if ($column[$i]['v1'] !== $level || $i <= ($on ?? -1) || in_array($i, $past, true) || $between($on ?? -1, $i)) {
                continue;
            }
            if ($column[$i]['top'] === 'open') {
                break;
            }
            $ways[] = ['cost' => $cost + 1, 'events' => $told, 'on' => $on, 'ends' => false];
            $told = [...$told, $column[$i]['top'] === 'adhered' ? 'relies on bond' : 'relies on seal'];
            $on = $i;
        }
        $ways[] = ['cost' => $cost, 'events' => $told, 'on' => $on, 'ends' => false];
    }

    return $ways;
}

/** Outcome and lines of defence of water let go at the top of a column. @return array{string, int|null} */
function secondOpinion(array $column): array
{
    $rank = array_flip(['shed', 'recovered', 'relies on seal', 'ponds', 'relies on bond', 'trapped', 'wets substrate']);
    $levels = [0.0, 1000.0];
    foreach ($column as $patch) {
        array_push($levels, $patch['v0'], $patch['v1']);
    }
    $levels = array_values(array_unique($levels));
    rsort($levels);
    // On the outermost of what lies over the topmost stretch.
    $first = array_filter(array_keys($column), fn (int $i) => $column[$i]['v1'] >= $levels[0] && $column[$i]['v0'] < $levels[0]);
    $outermost = $first === [] ? null : max($first);
    $worst = $outermost === null ? 'wets substrate' : 'shed';
    $walk = function (?int $on, int $at, int $cost, ?int $best) use (&$walk, $column, $levels): ?int {
        foreach (crossed($column, $on, $levels[$at], $levels[$at + 1]) as $way) {
            $price = $cost + $way['cost'];
            if ($best !== null && $price >= $best) {
                continue;
            }
            if (in_array('trapped', $way['events'], true) || in_array('wets substrate', $way['events'], true)) {
                $best = $price;
            } elseif (! $way['ends']) {
                $best = $walk($way['on'], $at + 1, $price, $best);
            }
        }

        return $best;
    };
    $lines = $outermost === null ? 0 : $walk($outermost, 0, 0, null);
    [$on, $at] = [$outermost, 0];
    while (true) {
        $nominal = array_values(array_filter(crossed($column, $on, $levels[$at], $levels[$at + 1]), fn (array $w) => $w['cost'] === 0))[0];
        foreach ($nominal['events'] as $event) {
            $worst = $rank[$event] > $rank[$worst] ? $event : $worst;
        }
        if ($nominal['ends']) {
            return [$worst, $lines];
        }
        [$on, $at] = [$nominal['on'], $at + 1];
    }
}

it('agrees with the plain tracer on walls whose edges fall together', function (int $seed) {
    foreach (range(20 * $seed, 20 * $seed + 19) as $n) {
        $pieces = coarseWall($n);
        foreach (traced(wallDetail($pieces))->strips as $strip) {
            if ($strip->source === 'top') {
                [$outcome, $lines] = secondOpinion(columnAt($pieces, ($strip->u0 + $strip->u1) / 2));
                expect([$strip->outcome->told(), $strip->lines])->toBe([$outcome, $lines], "wall $n, $strip->u0 to $strip->u1: ".json_encode(columnAt($pieces, ($strip->u0 + $strip->u1) / 2)));
            }
        }
    }
})->with(range(1, $seeds));

/** What two sheets are to each other, read from the definition. @return array{bool, float, bool, string}|null level, size, reversed, verdict */
function readLap(array $inner, array $outer): ?array
{
    [$a, $b] = [$inner, $outer];
    [$w, $h] = [min($a[2], $b[2]) - max($a[0], $b[0]), min($a[3], $b[3]) - max($a[1], $b[1])];
    if ($w <= 0 || $h <= 0) {
        return null;
    }
    $beyond = fn (int $low, int $high) => ($a[$low] <=> $b[$low]) !== 0 && ($a[$low] <=> $b[$low]) === ($a[$high] <=> $b[$high]);
    [$level, $upright] = [$beyond(1, 3), $beyond(0, 2)];
    if (! $level && ! $upright) {
        return null;
    }
    $horizontal = $level && $upright ? $w > $h : $level;
    [$size, $least] = $horizontal ? [$h, 100] : [$w, 150];

    return [$horizontal, (float) $size, $horizontal && $b[3] < $a[3], $size >= $least ? 'pass' : ($size >= $least / 2 ? 'caution' : 'fail')];
}

$told = fn (array $pieces) => array_map(fn ($l) => [$l->horizontal, $l->size, $l->reversed, $l->verdict->value], traced(wallDetail($pieces))->laps);

it('agrees with the plain reading of a lap', function (int $seed) use ($told) {
    mt_srand($seed);
    $rect = function (): array {
        [$u, $v] = [50 * mt_rand(0, 16), 50 * mt_rand(0, 16)];

        return [$u, $v, min(1000, $u + 50 * mt_rand(1, 10)), min(1000, $v + 50 * mt_rand(1, 10))];
    };
    for ($i = 0; $i < 25; $i++) {
        [$inner, $outer] = [$rect(), $rect()];
        $lap = readLap($inner, $outer);
        expect($told([one('a', 'sheet', 1, $inner), one('b', 'sheet', 2, $outer)]))->toBe($lap === null ? [] : [$lap], json_encode([$inner, $outer]));
        // Cut across both ways into four and joined again, in any order.
        [$u, $v] = [$outer[0] + 50 * mt_rand(1, 9), $outer[1] + 50 * mt_rand(1, 9)];
        if ($u < $outer[2] && $v < $outer[3]) {
            $quarters = [[$outer[0], $outer[1], $u, $v], [$u, $outer[1], $outer[2], $v], [$outer[0], $v, $u, $outer[3]], [$u, $v, $outer[2], $outer[3]]];
            shuffle($quarters);
            expect($told([one('a', 'sheet', 1, $inner), piece('b', 'sheet', 2, array_map(fn (array $r) => ['face', $r, ['joined' => ['j']]], $quarters))]))->toBe($lap === null ? [] : [$lap], 'in four: '.json_encode([$inner, $quarters]));
        }
        // Cut in two and joined again, either piece laps as before: no edge is where it was cut.
        foreach ([0, 1] as $which) {
            foreach ([[0, 2], [1, 3]] as [$low, $high]) {
                $whole = [$inner, $outer][$which];
                $cut = $whole[$low] + 50 * mt_rand(1, max(1, ($whole[$high] - $whole[$low]) / 50 - 1));
                if ($cut >= $whole[$high]) {
                    continue;
                }
                $parts = [array_replace($whole, [$high => $cut]), array_replace($whole, [$low => $cut])];
                mt_rand(0, 1) === 0 ?: $parts = array_reverse($parts);
                $split = piece(['a', 'b'][$which], 'sheet', $which + 1, array_map(fn (array $r) => ['face', $r, ['joined' => ['j']]], $parts));
                $other = one(['b', 'a'][$which], 'sheet', 2 - $which, [$outer, $inner][$which]);
                expect($told($which === 0 ? [$split, $other] : [$other, $split]))->toBe($lap === null ? [] : [$lap], "cut at $cut: ".json_encode([$inner, $outer]));
            }
        }
    }
})->with(range(1, intdiv($seeds, 2)));

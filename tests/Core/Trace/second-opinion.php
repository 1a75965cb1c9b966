<?php

declare(strict_types=1);

// The plain tracer, written from the rules alone: one facet, whole patches, every branch walked.

/**
 * The patches over one place of the wall, innermost first.
 *
 * @return list<array{v0: float, v1: float, top: string, bottom: string}>
 */
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
 * @return list<array{cost: int, events: list<string>, on: int|null, ends: bool}> edges that must fail, what is told,
 *   what the water is on after
 */
function crossed(array $column, ?int $carrier, float $above, float $level): array
{
    // it is over the stretch the water came down
    $over = fn (int $i): bool => $column[$i]['v1'] >= $above && $column[$i]['v0'] < $above;
    $goesOn = fn (int $i): bool => $over($i) && $column[$i]['v0'] < $level;
    $outboard = array_values(array_filter(array_keys($column), fn (int $i) => $i > ($carrier ?? -1) && $over($i)));
    if ($level <= 0) {
        foreach ($outboard as $i) {
            if ($column[$i]['bottom'] !== 'open') {
                return [['cost' => 0, 'events' => ['trapped'], 'on' => null, 'ends' => true]];
            }
        }

        return [
            [
                'cost' => 0,
                'events' => [$carrier === null ? 'wets substrate' : ($outboard === [] ? 'shed' : 'recovered')],
                'on' => null,
                'ends' => true,
            ],
        ];
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
    $between = fn (int $a, int $b): bool => array_filter(
        array_keys($column),
        fn (int $i) => $i > min($a, $b) && $i < max($a, $b) && $goesOn($i),
    ) !== [];
    // Where the water goes on: on what it is on, or, where that ends, over a butt joint that is sealed, or down to what
    // goes on behind it.
    $starts = [[0, $events, $carrier, []]];
    if ($carrier !== null && ! $goesOn($carrier)) {
        $butts = array_values(
            array_filter(array_keys($column), fn (int $i) => $column[$i]['v1'] === $level && ! $between($carrier, $i)),
        );
        // A joint that is sealed before one that is not, what lies outside before what lies inside, the nearest first.
        $holds = fn (int $i): bool => $column[$carrier]['bottom'] === 'sealed' || $column[$i]['top'] === 'sealed';
        usort(
            $butts,
            fn (int $a, int $b) => [! $holds($a), $a < $carrier, abs($a - $carrier)] <=> [
                ! $holds($b),
                $b < $carrier,
                abs($b - $carrier),
            ],
        );
        $butt = $butts[0] ?? null;
        $behind = array_filter(array_keys($column), fn (int $i) => $i < $carrier && $goesOn($i));
        $down =
            $behind === []
                ? [null, [...$events, 'wets substrate'], $butt === null ? [] : [$butt]]
                : [max($behind), $events, []];
        $sealed = $butt !== null && ($column[$carrier]['bottom'] === 'sealed' || $column[$butt]['top'] === 'sealed');
        $starts = $sealed
            ? [[0, [...$events, 'relies on seal'], $butt, []], [1, $down[1], $down[0], $down[2]]]
            : [[0, $down[1], $down[0], $down[2]]];
    }
    $ways = [];
    foreach ($starts as [$cost, $told, $on, $past]) {
        foreach (array_keys($column) as $i) {
            if (
                $column[$i]['v1'] !== $level ||
                $i <= ($on ?? -1) ||
                in_array($i, $past, true) ||
                $between($on ?? -1, $i)
            ) {
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
    $first = array_filter(
        array_keys($column),
        fn (int $i) => $column[$i]['v1'] >= $levels[0] && $column[$i]['v0'] < $levels[0],
    );
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
        $nominal = array_values(
            array_filter(crossed($column, $on, $levels[$at], $levels[$at + 1]), fn (array $w) => $w['cost'] === 0),
        )[0];
        foreach ($nominal['events'] as $event) {
            $worst = $rank[$event] > $rank[$worst] ? $event : $worst;
        }
        if ($nominal['ends']) {
            return [$worst, $lines];
        }
        [$on, $at] = [$nominal['on'], $at + 1];
    }
}

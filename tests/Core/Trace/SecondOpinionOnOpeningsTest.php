<?php

declare(strict_types=1);

// The second tracer at openings: the plain crossing of SecondOpinionTest within a facet, and here, from the rules
// alone, what happens at the head, at the foot of a jamb and over the arris of the sill. Random openings with pieces
// left out, cut short, laid in any order and with any edges; every branch walked.

require_once __DIR__.'/Support.php';
require_once __DIR__.'/second-opinion.php';

const WIDE = 1000.0;
const HIGH = 1000.0;

/**
 * Pieces of an opening of 1000 × 1000, margin 500, 140 deep, each there or not, in any order, with any edge.
 *
 * @return list<array>
 */
function anyOpening(int $seed): array
{
    mt_srand($seed);
    $some = fn (int $of = 2): bool => mt_rand(1, $of) === 1;
    $any = fn (array $values) => $values[mt_rand(0, count($values) - 1)];
    $joined = ['joined' => ['j']];
    $pieces = [];
    $add = function (string $id, array $patches) use (&$pieces, $any): void {
        $pieces[] = piece($id, 'sheet', 0, $patches, [
            'edges' => array_fill_keys(
                ['top', 'bottom', 'left', 'right'],
                $any(['open', 'adhered', 'adhered', 'sealed']),
            ),
        ]);
    };
    if (! $some(8)) {
        $up = $any([1000, 1100]);
        $add('field', [
            ['face', [-500, -500, 1500, 0], $joined],
            ['face', [-500, 0, 0, $up], $joined],
            ['face', [1000, 0, 1500, $up], $joined],
        ]);
    }
    if (! $some(8)) {
        $add('above', [['face', [-500, $any([1000, 1050, 1100]), 1500, 1500]]]);
    }
    if (! $some(6)) {
        $leg = $some() || $some() ? [['face', [-75, -75, 1075, 0], $joined]] : [];
        $ears =
            $leg !== [] && $some()
                ? [['face', [-75, 0, 0, 150], $joined], ['face', [1000, 0, 1075, 150], $joined]]
                : [];
        $turned =
            $some() || $some()
                ? [['jamb-left', [0, 0, 140, 150], $joined], ['jamb-right', [0, 0, 140, 150], $joined]]
                : [];
        $add('pan', [['sill', [0, $some(5) ? 30 : 0, 1000, 140], $joined], ...$leg, ...$ears, ...$turned]);
    }
    if ($some(3)) {
        $add('liner-sill', [
            ['sill', [0, 0, 1000, $any([60, 140])], $some() ? $joined : []],
            ...$some() ? [['face', [0, -200, 1000, 0], $joined]] : [],
        ]);
    }
    foreach (
        ['left' => ['jamb-left', [-75, 0]], 'right' => ['jamb-right', [1000, 1075]]] as $side => [$jamb, [$u0, $u1]]
    ) {
        if (! $some(5)) {
            $foot = $any([0, 75, 100, 150, 200]);
            $add("liner-$side", [
                [$jamb, [0, $foot, 140, 1000], $joined],
                ...$some() ? [['face', [$u0, $foot, $u1, 1000], $joined]] : [],
            ]);
        }
        if ($some()) {
            $add("strip-$side", [
                ['face', [$side === 'left' ? -150 : 1000, 0, $side === 'left' ? 0 : 1150, $any([1000, 1050, 1100])]],
            ]);
        }
    }
    if ($some()) {
        $add('head', [
            ['face', [-100, 1000, 1100, $any([1050, 1100, 1200])], $joined],
            ...$some() ? [['head', [0, 0, 1000, 140], $joined]] : [],
        ]);
    }
    if (! $some(3)) {
        $add('unit', [['face', [-25, -25, 1025, 1025]]]);
        $pieces[count($pieces) - 1]['kind'] = 'unit';
        $pieces[count($pieces) - 1]['material'] = 'window-unit';
    }
    shuffle($pieces);
    foreach ($pieces as $i => $piece) {
        $pieces[$i]['step'] = $i + 1;
    }

    return $pieces;
}

/** The plain tracer on the pieces of an opening, each laid in a step of its own. */
final class PlainOpening
{
    private const RANK = [
        'shed' => 0,
        'recovered' => 1,
        'relies on seal' => 2,
        'ponds' => 3,
        'relies on bond' => 4,
        'trapped' => 5,
        'wets substrate' => 6,
    ];

    /** @param  list<array>  $pieces  in their order */
    public function __construct(
        private readonly array $pieces,
        private readonly float $outer,
        private readonly float $inner,
    ) {
    }

    /**
     * What lies over one place of a facet, innermost first, a piece in parts one above the other as one.
     *
     * @return list<array{v0: float, v1: float, top: string, bottom: string, piece: int, ends: list<array>}>
     */
    private function column(string $facet, float $u): array
    {
        $column = [];
        foreach ($this->pieces as $n => $piece) {
            $parts = array_values(
                array_filter(
                    $piece['patches'],
                    fn (array $p) => $p['facet'] === $facet && $p['rect'][0] < $u && $u < $p['rect'][2],
                ),
            );
            usort($parts, fn (array $a, array $b) => $a['rect'][1] <=> $b['rect'][1]);
            foreach ($parts as $part) {
                $last = count($column) - 1;
                if (
                    $last >= 0 &&
                    $column[$last]['piece'] === $n &&
                    $column[$last]['v1'] === (float) $part['rect'][1] &&
                    isset($part['joined'])
                ) {
                    $column[$last]['v1'] = (float) $part['rect'][3];
                } else {
                    $column[] = [
                        'v0' => (float) $part['rect'][1],
                        'v1' => (float) $part['rect'][3],
                        'top' => $piece['edges']['top'],
                        'bottom' => $piece['edges']['bottom'],
                        'piece' => $n,
                    ];
                }
            }
        }

        return $column;
    }

    /**
     * Whether a piece goes on, joined, onto a facet at a place: where a patch of it lies with one edge on the arris.
     */
    private function goesOnto(int $piece, string $from, string $facet, float $u, string $edge): bool
    {
        $on = array_filter(
            $this->pieces[$piece]['patches'],
            fn (array $p) => $p['facet'] === $facet && isset($p['joined']) && $this->meets($p, $u, $edge),
        );
        $off = array_filter(
            $this->pieces[$piece]['patches'],
            fn (array $p) => $p['facet'] === $from && isset($p['joined']),
        );

        return $on !== [] && $off !== [];
    }

    private function meets(array $patch, float $at, string $edge): bool
    {
        [$u0, $v0, $u1, $v1] = $patch['rect'];

        return match ($edge) {
            'top of the face' => $v1 == 0 && $u0 < $at && $at < $u1,
            'foot of the head' => $v0 == 0 && $u0 < $at && $at < $u1,
            'left of the sill' => $u0 == 0 && $v0 < $at && $at < $v1,
            'right of the sill' => $u1 == WIDE && $v0 < $at && $at < $v1,
        };
    }

    /** @return list<float> falling */
    private function levels(array $column, string $facet, float $u): array
    {
        [$top, $foot] = $facet === 'face' ? [1500.0, -500.0] : ($facet === 'sill' ? [140.0, 0.0] : [HIGH, 0.0]);
        $levels = [$top, $foot];
        foreach ($column as $patch) {
            array_push($levels, $patch['v0'], $patch['v1']);
        }
        if ($facet === 'face' && $u > 0 && $u < WIDE) {
            array_push($levels, HIGH, 0.0);
        }
        $levels = array_values(array_unique(array_filter($levels, fn (float $v) => $v <= $top && $v >= $foot)));
        rsort($levels);

        return $levels;
    }

    /** The outermost that lies over the stretch just under a level. */
    private function outermost(array $column, float $above, float $below): ?int
    {
        $over = array_filter(
            array_keys($column),
            fn (int $i) => $column[$i]['v1'] >= $above && $column[$i]['v0'] <= $below,
        );

        return $over === [] ? null : max($over);
    }

    /**
     * Everything that can happen to water at the lower end of the stretch under a level.
     *
     * @param  array{string, float, float, int|null}  $place  facet, u, level above, what it is on
     * @return list<array{cost: int, events: list<string>, to: list<array{string, float, float, int|null}>}>
     */
    public function ways(array $place): array
    {
        [$facet, $u, $above, $on] = $place;
        $column = $this->column($facet, $u);
        $levels = $this->levels($column, $facet, $u);
        $level = $levels[array_search($above, $levels, true) + 1];
        $foot = $level === end($levels);
        if (
            $facet === 'face' &&
            $u > 0 &&
            $u < WIDE &&
            $level === HIGH &&
            ($ways = $this->head($column, $u, $above, $on)) !== null
        ) {
            return $ways;
        }
        if ($foot && $facet !== 'face') {
            return $this->arris($column, $place);
        }
        // The face alone has a foot with nothing beyond it.
        $shift = $facet === 'face' ? 500.0 : 0.0;
        $raised = array_map(fn (array $p) => ['v0' => $p['v0'] + $shift, 'v1' => $p['v1'] + $shift] + $p, $column);

        return array_map(
            fn (array $w) => [
                'cost' => $w['cost'],
                'events' => $w['events'],
                'to' => $w['ends'] ? [] : [[$facet, $u, $level, $w['on']]],
            ],
            crossed($raised, $on, $above + $shift, $level + $shift),
        );
    }

    /** Where the hole begins; null where the crossing is an ordinary one. */
    private function head(array $column, float $u, float $above, ?int $on): ?array
    {
        $over = fn (int $i): bool => $column[$i]['v1'] >= $above && $column[$i]['v0'] <= HIGH;
        $on_ = fn (int $i): bool => $over($i) && $column[$i]['v0'] < HIGH;
        if ($on !== null && $on_($on)) {
            return $this->behindFold($column, $u, $on, $over, $on_);
        }
        $events = [];
        $let = false;
        $covered = false;
        foreach (array_keys($column) as $i) {
            if ($i <= ($on ?? -1) || ! $over($i)) {
                continue;
            }
            if ($on_($i)) {
                [$let, $covered] = [false, true];
                break;
            }
            if (
                $this->goesOnto($column[$i]['piece'], 'face', 'head', $u, 'foot of the head') ||
                $column[$i]['bottom'] !== 'open'
            ) {
                return [['cost' => 0, 'events' => ['trapped'], 'to' => []]];
            }
            $let = true;
        }
        $events = $let ? ['recovered'] : [];
        if ($on !== null && array_filter(array_keys($column), fn (int $i) => $i < $on && $on_($i)) !== []) {
            return null;
        }
        if (! $covered) {
            $sill = $this->column('sill', $u);
            $levels = $this->levels($sill, 'sill', $u);
            $at = $levels[count($levels) - 2];
            $to = $this->outermost($sill, $at, 0.0);

            return [
                [
                    'cost' => 0,
                    'events' => $to === null && $on !== null ? [...$events, 'wets substrate'] : $events,
                    'to' => [['sill', $u, $at, $to]],
                ],
            ];
        }
        $folded = $on !== null && $this->goesOnto($column[$on]['piece'], 'face', 'head', $u, 'foot of the head');
        $to = [];
        foreach (['jamb-left', 'jamb-right'] as $jamb) {
            foreach ($this->depths() as $z) {
                $liner = $this->column($jamb, $z);
                $levels = $this->levels($liner, $jamb, $z);
                $to[] = [$jamb, $z, HIGH, $this->outermost($liner, HIGH, $levels[1])];
            }
        }

        return [['cost' => 0, 'events' => $folded ? $events : [...$events, 'wets substrate'], 'to' => $to]];
    }

    /** On what goes on over the hole, behind a piece that folds into the head. */
    private function behindFold(array $column, float $u, int $on, Closure $over, Closure $goesOn): ?array
    {
        foreach (array_keys($column) as $i) {
            if ($i > $on && $over($i)) {
                if ($goesOn($i)) {
                    return null;
                }
                if ($this->goesOnto($column[$i]['piece'], 'face', 'head', $u, 'foot of the head')) {
                    return [['cost' => 0, 'events' => ['trapped'], 'to' => []]];
                }
                if ($column[$i]['bottom'] !== 'open') {
                    return null;
                }
            }
        }

        return null;
    }

    /** @return list<float> the middle of each strip of a jamb between the unit's faces */
    private function depths(): array
    {
        $cuts = [$this->outer, $this->inner];
        foreach ($this->pieces as $piece) {
            foreach ($piece['patches'] as $p) {
                if (str_starts_with($p['facet'], 'jamb') || $p['facet'] === 'sill') {
                    array_push(
                        $cuts,
                        ...$p['facet'] === 'sill' ? [$p['rect'][1], $p['rect'][3]] : [$p['rect'][0], $p['rect'][2]],
                    );
                }
            }
        }
        $cuts = array_values(
            array_unique(
                array_map(floatval(...), array_filter($cuts, fn ($z) => $z >= $this->outer && $z <= $this->inner)),
            ),
        );
        sort($cuts);

        return array_map(fn (int $i) => ($cuts[$i] + $cuts[$i + 1]) / 2, range(0, count($cuts) - 2));
    }

    /** Off the foot of a jamb onto the sill, or over the sill's outer arris onto the face. */
    private function arris(array $column, array $place): array
    {
        [$facet, $u, $above, $on] = $place;
        [$to, $x, $edge] = match ($facet) {
            'sill' => ['face', $u, 'top of the face'],
            'jamb-left' => ['sill', $u, 'left of the sill'],
            'jamb-right' => ['sill', $u, 'right of the sill'],
        };
        // On the sill beyond, at the depth of the strip; the column there is cut across, beside the corner.
        $across = $facet === 'sill' ? $u : ($facet === 'jamb-left' ? 0.001 : WIDE - 0.001);
        $beyond = $this->column($to, $across);
        $levels = $this->levels($beyond, $to, $across);
        $start = $facet === 'sill' ? 0.0 : min(array_filter($levels, fn (float $v) => $v > $u));
        $reaches = fn (int $i): bool => $column[$i]['v1'] >= $above && $column[$i]['v0'] <= 0.0;
        $onward = function (int $i) use ($column, $facet, $to, $x, $edge, $beyond): ?int {
            if ($column[$i]['v0'] > 0.0 || ! $this->goesOnto($column[$i]['piece'], $facet, $to, $x, $edge)) {
                return null;
            }

            return array_values(
                array_filter(
                    array_keys($beyond),
                    fn (int $k) => $beyond[$k]['piece'] === $column[$i]['piece'] &&
                        ($facet !== 'sill' || $beyond[$k]['v1'] === 0.0) &&
                        ($facet === 'sill' || ($beyond[$k]['v0'] < $x && $beyond[$k]['v1'] > $x)),
                ),
            )[0] ?? null;
        };
        $events = [];
        $let = false;
        foreach (array_keys($column) as $i) {
            if ($i <= ($on ?? -1) || ! $reaches($i)) {
                continue;
            }
            if ($onward($i) !== null) {
                $let = false;
                break;
            }
            if ($column[$i]['bottom'] !== 'open') {
                return [['cost' => 0, 'events' => ['trapped'], 'to' => []]];
            }
            $let = true;
        }
        $events = $let ? ['recovered'] : [];
        // What begins at the arris: on the face with its top there, on the sill with its side in the corner.
        $begins = array_values(
            array_filter(
                array_keys($beyond),
                fn (int $k) => $facet === 'sill'
                    ? $beyond[$k]['v1'] === 0.0
                    : $beyond[$k]['v0'] < $x && $beyond[$k]['v1'] > $x,
            ),
        );
        $fresh = array_values(
            array_filter(
                $begins,
                fn (int $k) => array_filter(array_keys($column), fn (int $i) => $reaches($i) && $onward($i) === $k) ===
                    [],
            ),
        );
        $land = function (?int $carrier, array $told, int $cost, array $starting) use (
            $to,
            $across,
            $start,
            $beyond,
        ): array {
            $ways = [];
            foreach ($starting as $k) {
                if ($k <= ($carrier ?? -1)) {
                    continue;
                }
                if ($beyond[$k]['top'] === 'open') {
                    break;
                }
                $ways[] = ['cost' => $cost + 1, 'events' => $told, 'to' => [[$to, $across, $start, $carrier]]];
                $told = [...$told, $beyond[$k]['top'] === 'adhered' ? 'relies on bond' : 'relies on seal'];
                $carrier = $k;
            }

            return [['cost' => $cost, 'events' => $told, 'to' => [[$to, $across, $start, $carrier]]], ...$ways];
        };
        if ($on === null) {
            return $land(null, [...$events, 'wets substrate'], 0, $fresh);
        }
        if ($onward($on) !== null) {
            return $land($onward($on), $events, 0, $fresh);
        }
        $ways = [];
        // A seal at its foot is to whatever touches the arris, what goes over that among it.
        $sealed = array_values(
            array_filter(
                $begins,
                fn (int $k) => $column[$on]['bottom'] === 'sealed' || $beyond[$k]['top'] === 'sealed',
            ),
        );
        if ($sealed !== []) {
            $ways = $land(end($sealed), [...$events, 'relies on seal'], 0, $fresh);
        }
        $inboard = null;
        foreach (array_keys($column) as $i) {
            $inboard = $i < $on && $reaches($i) ? $onward($i) ?? $inboard : $inboard;
        }

        return [
            ...$ways,
            ...$land(
                $inboard,
                $inboard === null ? [...$events, 'wets substrate'] : $events,
                $sealed === [] ? 0 : 1,
                $inboard === null ? [] : $fresh,
            ),
        ];
    }

    /** The worst that comes of water let go at a place while every edge holds. */
    public function fate(array $place): string
    {
        $way = array_values(array_filter($this->ways($place), fn (array $w) => $w['cost'] === 0))[0];
        $worst = $place[3] === null ? 'wets substrate' : 'shed';
        foreach ([...$way['events'], ...array_map($this->fate(...), $way['to'])] as $event) {
            $worst = self::RANK[$event] > self::RANK[$worst] ? $event : $worst;
        }

        return $worst;
    }

    /** The least number of edges that must fail before harm, by walking every branch; null where none does any. */
    public function lines(array $place, int $spent = 0, ?int $best = null): ?int
    {
        if ($place[3] === null) {
            return $best === null ? $spent : min($best, $spent);
        }
        foreach ($this->ways($place) as $way) {
            $price = $spent + $way['cost'];
            if ($best !== null && $price >= $best) {
                continue;
            }
            if (array_intersect($way['events'], ['trapped', 'wets substrate']) !== []) {
                $best = $price;

                continue;
            }
            foreach ($way['to'] as $next) {
                $best = $this->lines($next, $price, $best);
            }
        }

        return $best;
    }

    /**
     * Every place water is let go at in a strip: the top of the face, or each stretch of a jamb or of the sill under
     * the unit.
     *
     * @return list<array{string, float, float, int|null}>
     */
    public function releases(string $source, string $facet, float $u): array
    {
        $column = $this->column($facet, $u);
        $levels = $this->levels($column, $facet, $u);
        if ($source === 'top') {
            return [[$facet, $u, $levels[0], $this->outermost($column, $levels[0], $levels[1])]];
        }
        if ($facet === 'sill') {
            // The faces of the unit are places of their own.
            $levels = array_values(array_unique([...$levels, $this->outer, $this->inner]));
            rsort($levels);
        }
        $places = [];
        for ($i = 0; $i < count($levels) - 1; $i++) {
            if ($facet !== 'sill' || ($levels[$i] > $this->outer && $levels[$i + 1] < $this->inner)) {
                $own = $this->levels($column, $facet, $u);
                $from = min(array_filter($own, fn (float $v) => $v >= $levels[$i]));
                $places[] = [$facet, $u, $from, $this->outermost($column, $levels[$i], $levels[$i + 1])];
            }
        }

        return $places;
    }
}

$seeds = (int) (getenv('SEEDS') ?: 40);

it('agrees with the plain tracer on openings laid in any order', function (int $seed) {
    $tried = 0;
    foreach (range(15 * $seed, 15 * $seed + 14) as $n) {
        $pieces = anyOpening($n);
        try {
            $assessed = traced(openingDetail($pieces, [], ['unit' => ['z' => [20, 100]]]));
        } catch (Apron\Json\FileRefused) {
            // A weave: no such opening can be built.
            continue;
        }
        $tried++;
        $plain = new PlainOpening($pieces, 20.0, 100.0);
        foreach ($assessed->strips as $strip) {
            if ($strip->source === 'face') {
                continue;
            }
            $places = $plain->releases($strip->source, $strip->facet, ($strip->u0 + $strip->u1) / 2);
            $fates = array_map($plain->fate(...), $places);
            $lines = array_filter(array_map($plain->lines(...), $places), is_int(...));
            $rank = array_flip([
                'shed',
                'recovered',
                'relies on seal',
                'ponds',
                'relies on bond',
                'trapped',
                'wets substrate',
            ]);
            usort($fates, fn (string $a, string $b) => $rank[$b] <=> $rank[$a]);
            expect([$strip->outcome->told(), $strip->lines])->toBe(
                [$fates[0], $lines === [] ? null : min($lines)],
                "opening $n, $strip->source $strip->facet $strip->u0 to $strip->u1",
            );
        }
    }
    expect($tried)->toBeGreaterThan(3);
})->with(range(1, $seeds));

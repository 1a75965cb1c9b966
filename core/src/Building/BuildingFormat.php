<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Control;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;

/** The building in the project file: under `building`. */
final class BuildingFormat
{
    private const BLOCK = [
        'id',
        'outline',
        'base_mm',
        'top_mm',
        'inside',
        'ground_mm',
        'wall',
        'walls',
        'stretches',
        'foundation',
        'roof',
        'slab',
        'soffit',
        'floor',
        'roof_form',
    ];

    /** mm, either way: a mile and more */
    private const FAR = 2e6;

    private const MOST_PSI = 20.0;

    private const MOST_CORNERS = 200;

    private const MOST_BLOCKS = 200;

    /** @throws FileRefused with the place of what cannot be built */
    public static function read(Node $node): Building
    {
        $node->object(['ground_mm', 'blocks', 'placed', 'movement', 'connections', 'vapour_gap_mm'], ['blocks']);
        $rows = $node->get('blocks')->items(1, self::MOST_BLOCKS);
        $blocks = [];
        foreach ($rows as $i => $row) {
            $block = self::block($row);
            foreach ($blocks as $j => $other) {
                if ($other->id === $block->id) {
                    $row->get('id')->refuse('an id that no other block has');
                }
                self::demandApart($row, $block, $other, "$other->id, at /building/blocks/$j");
            }
            $blocks[$i] = $block;
        }
        $ground = $node->optional('ground_mm')?->between(-self::FAR, self::FAR, 'mm') ?? 0.0;

        return new Building(
            array_values($blocks),
            $ground,
            array_map(self::placed(...), $node->optional('placed')?->items(0, 5000) ?? []),
            array_map(self::movement(...), $node->optional('movement')?->items(0, 500) ?? []),
            array_map(self::connection(...), $node->optional('connections')?->items(0, 5000) ?? []),
            $node->optional('vapour_gap_mm')?->between(0.0, self::FAR, 'mm'),
        );
    }

    private static function placed(Node $row): Placed
    {
        $row->object(['opening', 'detail', 'block', 'edge', 'x_mm', 'z_mm', 'count', 'on', 'at_mm', 'u_w_m2k'], [
            'block',
        ]);
        if ($row->has('opening') === $row->has('detail')) {
            $row->refuse('either “opening” or “detail”', $row->has('opening') ? 'both' : 'neither');
        }
        $upright = ['edge', 'x_mm', 'z_mm'];
        $isLevel = $row->has('on');
        foreach ($isLevel ? ['at_mm'] : $upright as $key) {
            $row->get($key);
        }
        foreach ($isLevel ? $upright : ['at_mm'] as $key) {
            $row->optional($key)?->refuse($isLevel ? 'a place on plan, “at_mm”' : 'an edge with x and z');
        }
        $mm = fn (string $key): float => $row->get($key)->between(-self::FAR, self::FAR, 'mm');
        $at = array_map(
            fn (Node $n): float => $n->between(-self::FAR, self::FAR, 'mm'),
            $row->optional('at_mm')?->items(2, 2) ?? [],
        );

        return new Placed(
            detail: ($row->optional('opening') ?? $row->get('detail'))->id(),
            isOpening: $row->has('opening'),
            block: $row->get('block')->id(),
            edge: $isLevel ? null : $row->get('edge')->integer(0, self::MOST_CORNERS),
            x: $isLevel ? 0.0 : $mm('x_mm'),
            z: $isLevel ? 0.0 : $mm('z_mm'),
            count: $row->optional('count')?->integer(1, 10000) ?? 1,
            on: $row->optional('on')?->word(['roof', 'slab', 'soffit']),
            at: count($at) === 2 ? [$at[0], $at[1]] : null,
            u: $row->optional('u_w_m2k')?->positive(20, 'W/(m²K)', 0.01),
        );
    }

    private static function movement(Node $row): Movement
    {
        $row->object(['id', 'block', 'edge', 'x_mm'], ['id', 'block', 'edge', 'x_mm']);

        return new Movement(
            $row->get('id')->id(),
            $row->get('block')->id(),
            $row->get('edge')->integer(0, self::MOST_CORNERS),
            $row->get('x_mm')->between(0, self::FAR, 'mm'),
        );
    }

    private static function connection(Node $row): Connection
    {
        $row->object(['joint', 'detail', 'threads', 'section', 'psi_w_mk'], ['joint']);
        if ($row->has('section') && $row->has('psi_w_mk')) {
            $row->refuse('a “section” or a “psi_w_mk”', 'both');
        }
        $joint = $row->get('joint');
        $isOne = $joint->isText();
        $pair = [];
        if (! $isOne) {
            $joint->object(['kind', 'between'], ['kind']);
            $pair = array_map(fn (Node $id): string => $id->id(), $joint->optional('between')?->items(2, 2) ?? []);
        }
        $claims = [];
        $threads = $row->optional('threads')?->object(array_column(Control::cases(), 'value'));
        foreach ($threads?->entries() ?? [] as $on => $node) {
            $node->object(['by', 'from', 'to'], ['by']);
            $claims[(string) $on] = new Claim(
                $node->get('by')->oneOf(HandedOver::class),
                $node->optional('from')?->id(),
                $node->optional('to')?->id(),
            );
        }

        return new Connection(
            $isOne ? $joint->text(400) : null,
            $isOne ? null : $joint->get('kind')->oneOf(JointKind::class),
            count($pair) === 2 ? [$pair[0], $pair[1]] : null,
            $row->optional('detail')?->id(),
            $claims,
            $row->optional('section')?->id(),
            $row->optional('psi_w_mk')?->between(-self::MOST_PSI, self::MOST_PSI, 'W/(m·K)'),
        );
    }

    private static function block(Node $row): Block
    {
        $row->object(self::BLOCK, ['id', 'outline', 'base_mm', 'top_mm']);
        $outline = self::outline($row->get('outline'));
        $sides = count($outline->edges);
        $base = $row->get('base_mm')->between(-self::FAR, self::FAR, 'mm');
        $top = $row->get('top_mm')->between(-self::FAR, self::FAR, 'mm');
        if ($top <= $base) {
            $row->get('top_mm')->refuse("above its base, $base mm");
        }
        $assembly = fn (string $key): ?string => $row->optional($key)?->id();

        return new Block(
            id: $row->get('id')->id(),
            outline: $outline,
            base: $base,
            top: $top,
            inside: $row->optional('inside')?->oneOf(Inside::class) ?? Inside::Conditioned,
            ground: self::byEdge(
                $row->optional('ground_mm'),
                $sides,
                fn (Node $level): float => $level->between(-self::FAR, self::FAR, 'mm'),
            ),
            wall: $assembly('wall'),
            walls: self::byEdge($row->optional('walls'), $sides, fn (Node $id): string => $id->id()),
            stretches: array_map(
                fn (Node $one): Stretch => self::stretch($one, $outline, $base, $top),
                $row->optional('stretches')?->items(0, 500) ?? [],
            ),
            foundation: $assembly('foundation'),
            roof: $assembly('roof'),
            slab: $assembly('slab'),
            soffit: $assembly('soffit'),
            floor: $assembly('floor'),
            roofForm: self::roofForm($row->optional('roof_form'), $outline),
        );
    }

    private static function outline(Node $node): Outline
    {
        $corners = array_map(
            function (Node $corner): array {
                [$x, $y] = $corner->items(2, 2);

                return [(float) $x->integer(-2000000, 2000000), (float) $y->integer(-2000000, 2000000)];
            },
            $node->items(3, self::MOST_CORNERS),
        );
        foreach ($corners as $i => $corner) {
            if ($corner === $corners[($i + 1) % count($corners)]) {
                $node->items()[$i]->refuse('a corner apart from the next');
            }
        }
        $outline = new Outline($corners);
        foreach ($outline->edges as $i => $a) {
            foreach (array_slice($outline->edges, $i + 1) as $b) {
                if (self::collide($a, $b, count($corners))) {
                    $node->refuse(
                        'an outline that neither crosses nor touches itself',
                        "sides $a->index and $b->index",
                    );
                }
            }
        }

        return $outline;
    }

    /** Whether two sides cross, or touch anywhere but at the corner that neighbours share. */
    private static function collide(Edge $a, Edge $b, int $sides): bool
    {
        $neighbours = ($a->index + 1) % $sides === $b->index || ($b->index + 1) % $sides === $a->index;
        if ($neighbours) {
            // Back along itself.
            [$ax, $ay] = $a->along();
            [$bx, $by] = $b->along();

            return abs($ax * $by - $ay * $bx) < 1e-12 && $ax * $bx + $ay * $by < 0;
        }
        if (Outline::crossing($a, $b) !== null) {
            return true;
        }
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            foreach ([[$other->x0, $other->y0], [$other->x1, $other->y1]] as [$x, $y]) {
                $u = $one->u($x, $y);
                $hair = Surfaces::HAIR;
                if (abs($one->off($x, $y)) < $hair && $u > -$hair && $u < $one->length + $hair) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @template T
     *
     * @param  \Closure(Node): T  $read
     * @return array<int, T>
     */
    private static function byEdge(?Node $node, int $sides, \Closure $read): array
    {
        $by = [];
        foreach ($node?->entries() ?? [] as $edge => $value) {
            if (! ctype_digit((string) $edge) || (int) $edge >= $sides) {
                $value->refuse('under the number of an edge, 0 to '.($sides - 1), (string) $edge);
            }
            $by[(int) $edge] = $read($value);
        }

        return $by;
    }

    private static function stretch(Node $node, Outline $outline, float $base, float $top): Stretch
    {
        $node->object(['edge', 'from_mm', 'to_mm', 'base_mm', 'top_mm', 'assembly'], [
            'edge',
            'from_mm',
            'to_mm',
            'assembly',
        ]);
        $edge = $node->get('edge')->integer(0, count($outline->edges) - 1);
        $length = $outline->edge($edge)->length ?? 0.0;
        $from = $node->get('from_mm')->between(0, $length, 'mm along its edge');
        $to = $node->get('to_mm')->between(0, $length, 'mm along its edge');
        $low = $node->optional('base_mm')?->between($base, $top, 'mm, within its block');
        $high = $node->optional('top_mm')?->between($base, $top, 'mm, within its block');
        if ($to <= $from) {
            $node->get('to_mm')->refuse("farther along than it begins, $from mm");
        }
        if ($low !== null && $high !== null && $high <= $low) {
            $node->get('top_mm')->refuse("above its own base, $low mm");
        }

        return new Stretch($edge, $from, $to, $low, $high, $node->get('assembly')->id());
    }

    private static function roofForm(?Node $node, Outline $outline): RoofForm
    {
        if ($node === null) {
            return new RoofForm;
        }
        $kinds = ['flat' => ['edge', 'parapet_mm'], 'mono' => ['pitch_deg', 'low_edge'], 'gable' => [
            'pitch_deg',
            'ridge_along',
        ]];
        $node->object(['kind', ...array_merge(...array_values($kinds))], ['kind']);
        $kind = $node->get('kind')->word(array_keys($kinds));
        $node->object(['kind', ...$kinds[$kind]], $kind === 'flat' ? ['kind'] : ['kind', ...$kinds[$kind]]);
        if ($kind === 'flat') {
            return new RoofForm(
                parapet: ($node->optional('edge')?->word(['parapet', 'eaves']) ?? 'parapet') === 'parapet',
                parapetMm: $node->optional('parapet_mm')?->between(0, 10000, 'mm') ?? 0.0,
            );
        }
        $pitch = $node->get('pitch_deg')->between(0.1, 80, '°');
        $edge = $node->get($kinds[$kind][1])->integer(0, count($outline->edges) - 1);

        return $kind === 'mono'
            ? self::mono($node, $outline, $pitch, $edge)
            : self::gable($node, $outline, $pitch, $edge);
    }

    private static function mono(Node $node, Outline $outline, float $pitch, int $edge): RoofForm
    {
        $low = $outline->edge($edge);
        foreach ($outline->corners as [$x, $y]) {
            if ($low !== null && $low->off($x, $y) < -Surfaces::HAIR) {
                $node->get('low_edge')->refuse('an edge that no corner lies outside of: the roof begins there');
            }
        }

        return new RoofForm(parapet: false, pitchDeg: $pitch, lowEdge: $edge);
    }

    private static function gable(Node $node, Outline $outline, float $pitch, int $edge): RoofForm
    {
        $edges = $outline->edges;
        foreach ($edges as $i => $e) {
            [$ax, $ay] = $e->along();
            [$bx, $by] = $edges[($i + 1) % count($edges)]->along();
            if (count($edges) !== 4 || abs($ax * $bx + $ay * $by) > 1e-9) {
                $node->get('kind')->refuse('a rectangle under a gable');
            }
        }

        return new RoofForm(parapet: false, pitchDeg: $pitch, ridgeAlong: $edge);
    }

    private static function demandApart(Node $row, Block $block, Block $other, string $named): void
    {
        $common = fn (): bool => $block->outline->common($other->outline) > 1.0;
        if ($block->base < $other->top && $other->base < $block->top && $common()) {
            $row->refuse('a block that shares no space with '.$named, $block->id);
        }
        foreach ([[$block, $other], [$other, $block]] as [$pitched, $one]) {
            $rises = ! $pitched->roofForm->isFlat() && $one->top > $pitched->top;
            if ($rises && $one->base < $pitched->top + 1e6 && ($common() || self::beside($pitched, $one))) {
                $row->refuse(
                    'no block beside or over a pitched roof: '.$named,
                    $block->id,
                );
            }
        }
    }

    private static function beside(Block $a, Block $b): bool
    {
        foreach ($a->outline->edges as $e) {
            foreach ($b->outline->edges as $f) {
                $along =
                    abs($e->off($f->x0, $f->y0)) < Surfaces::HAIR && abs($e->off($f->x1, $f->y1)) < Surfaces::HAIR;
                [$u0, $u1] = [$e->u($f->x1, $f->y1), $e->u($f->x0, $f->y0)];
                if ($along && min(max($u0, $u1), $e->length) - max(min($u0, $u1), 0.0) > 1.0) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    public static function write(Building $building): array
    {
        return Written::without([
            'ground_mm' => $building->ground === 0.0 ? null : $building->ground,
            'blocks' => array_map(self::writeBlock(...), $building->blocks),
            'placed' => array_map(self::writePlaced(...), $building->placed) ?: null,
            'movement' => array_map(
                fn (Movement $m): array => ['id' => $m->id, 'block' => $m->block, 'edge' => $m->edge, 'x_mm' => $m->x],
                $building->movement,
            ) ?: null,
            'connections' => array_map(self::writeConnection(...), $building->connections) ?: null,
            'vapour_gap_mm' => $building->vapourGap,
        ]);
    }

    /** @return array<string, mixed> */
    private static function writePlaced(Placed $placed): array
    {
        return Written::without([
            $placed->isOpening ? 'opening' : 'detail' => $placed->detail,
            'block' => $placed->block,
            'on' => $placed->on,
            'at_mm' => $placed->at,
            'edge' => $placed->edge,
            'x_mm' => $placed->on === null ? $placed->x : null,
            'z_mm' => $placed->on === null ? $placed->z : null,
            'count' => $placed->count === 1 ? null : $placed->count,
            'u_w_m2k' => $placed->u,
        ]);
    }

    /** @return array<string, mixed> */
    private static function writeConnection(Connection $connection): array
    {
        return Written::without([
            'joint' => $connection->joint ?? Written::without([
                'kind' => $connection->kind?->value,
                'between' => $connection->between,
            ]),
            'detail' => $connection->detail,
            'section' => $connection->section,
            'psi_w_mk' => $connection->psi,
            'threads' => $connection->claims === [] ? null : (object) array_map(
                fn (Claim $c): array => Written::without(['by' => $c->by->value, 'from' => $c->from, 'to' => $c->to]),
                $connection->claims,
            ),
        ]);
    }

    /** @return array<string, mixed> */
    private static function writeBlock(Block $block): array
    {
        $by = fn (array $values): ?object => $values === [] ? null : (object) $values;

        return Written::without([
            'id' => $block->id,
            'outline' => array_map(fn (array $c): array => [(int) $c[0], (int) $c[1]], $block->outline->corners),
            'base_mm' => $block->base,
            'top_mm' => $block->top,
            'inside' => $block->inside === Inside::Conditioned ? null : $block->inside->value,
            'ground_mm' => $by($block->ground),
            'wall' => $block->wall,
            'walls' => $by($block->walls),
            'stretches' => array_map(
                fn (Stretch $s): array => Written::without([
                    'edge' => $s->edge,
                    'from_mm' => $s->from,
                    'to_mm' => $s->to,
                    'base_mm' => $s->base,
                    'top_mm' => $s->top,
                    'assembly' => $s->assembly,
                ]),
                $block->stretches,
            ) ?: null,
            'foundation' => $block->foundation,
            'roof' => $block->roof,
            'slab' => $block->slab,
            'soffit' => $block->soffit,
            'floor' => $block->floor,
            'roof_form' => self::writeForm($block->roofForm),
        ]);
    }

    /** @return array<string, mixed>|null */
    private static function writeForm(RoofForm $form): ?array
    {
        return match (true) {
            $form->lowEdge !== null => ['kind' => 'mono', 'pitch_deg' => $form->pitchDeg, 'low_edge' => $form->lowEdge],
            $form->ridgeAlong !== null => [
                'kind' => 'gable',
                'pitch_deg' => $form->pitchDeg,
                'ridge_along' => $form->ridgeAlong,
            ],
            $form->parapet && $form->parapetMm === 0.0 => null,
            default => ['kind' => 'flat', 'edge' => $form->parapet ? 'parapet' : 'eaves'] +
                ($form->parapetMm > 0 ? ['parapet_mm' => $form->parapetMm] : []),
        };
    }
}

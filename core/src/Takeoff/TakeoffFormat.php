<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Plan\Day;

/** What is settled for quantities, as `apron-project/1` writes it. */
final class TakeoffFormat
{
    private const MOST_ROWS = 2000;

    private const MOST_POINTS = 5000;

    /** @throws FileRefused */
    public static function read(Node $node): Takeoff
    {
        $node->object(['layers', 'moved', 'surveys', 'transfers', 'deliveries', 'ordered']);
        $rows = fn (string $key, \Closure $read): array => array_map(
            $read,
            $node->optional($key)?->listOf(self::MOST_ROWS)->items() ?? [],
        );
        /** @var list<LayerRule> $layers */
        $layers = $rows('layers', self::layer(...));
        self::demandOnce($node, 'layers', array_map(fn (LayerRule $r): string => "$r->assembly/$r->layer", $layers));
        /** @var list<Moved> $moved */
        $moved = $rows('moved', self::moved(...));
        self::demandOnce(
            $node,
            'moved',
            array_map(fn (Moved $m): string => "$m->part $m->layer $m->course ".($m->joint ?? 'course'), $moved),
        );
        /** @var list<Survey> $surveys */
        $surveys = $rows('surveys', self::survey(...));
        self::demandOnce($node, 'surveys', array_column($surveys, 'id'));
        /** @var list<Transfer> $transfers */
        $transfers = $rows('transfers', self::transfer(...));
        self::demandOnce($node, 'transfers', array_column($transfers, 'id'));
        /** @var list<Delivery> $deliveries */
        $deliveries = $rows('deliveries', self::delivery(...));
        self::demandOnce($node, 'deliveries', array_column($deliveries, 'id'));
        self::demandInOne($node, $deliveries);

        /** @var list<Ordered> $ordered */
        $ordered = $rows('ordered', self::ordered(...));

        return new Takeoff(
            $layers,
            $moved,
            $surveys,
            $transfers,
            $deliveries,
            $ordered,
        );
    }

    /**
     * @param  list<string>  $names
     */
    private static function demandOnce(Node $node, string $list, array $names): void
    {
        foreach (array_count_values($names) as $name => $count) {
            if ($count > 1) {
                $at = (int) array_search((string) $name, array_reverse($names, true), true);
                $node->get($list)->items()[$at]->refuse('each of them once', (string) $name);
            }
        }
    }

    /** @param  list<Delivery>  $deliveries */
    private static function demandInOne(Node $node, array $deliveries): void
    {
        $taken = [];
        foreach ($deliveries as $i => $delivery) {
            foreach ($delivery->parts as $j => $part) {
                if (isset($taken[$part])) {
                    $node->get('deliveries')->items()[$i]->get('parts')->items()[$j]->refuse(
                        "a part in one delivery; {$taken[$part]} brings it",
                    );
                }
                $taken[$part] = $delivery->id;
            }
        }
    }

    private static function layer(Node $row): LayerRule
    {
        $row->object(
            [
                'assembly', 'layer', 'roll_m', 'board_mm', 'lap_mm', 'upright', 'longest_mm', 'first_mm',
                'joints_anywhere', 'uses_rest', 'waste_pct', 'texture', 'pack_l', 'edge_mm', 'field_mm', 'zone_mm',
                'tape', 'of',
            ],
            ['assembly', 'layer'],
        );
        $mm = function (string $key, float $least, float $most) use ($row): ?float {
            return $row->optional($key)?->between($least, $most, 'mm');
        };

        return new LayerRule(
            $row->get('assembly')->id(),
            $row->get('layer')->id(),
            self::pair($row->optional('roll_m'), 0.1, 500.0, 'm'),
            self::pair($row->optional('board_mm'), 200.0, 15000.0, 'mm'),
            self::pair($row->optional('lap_mm'), 0.0, 1000.0, 'mm'),
            $row->optional('upright')?->boolean() ?? false,
            $mm('longest_mm', 300.0, 200000.0),
            $mm('first_mm', 50.0, 15000.0),
            $row->optional('joints_anywhere')?->boolean() ?? false,
            $row->optional('uses_rest')?->boolean() ?? false,
            $row->optional('waste_pct')?->between(0.0, 100.0, '%'),
            $row->optional('texture')?->between(0.5, 5.0, 'times'),
            $row->optional('pack_l')?->between(0.05, 2000.0, 'L'),
            $mm('edge_mm', 20.0, 3000.0),
            $mm('field_mm', 20.0, 3000.0),
            $mm('zone_mm', 0.0, 50000.0),
            $row->optional('tape')?->id(),
            $row->optional('of')?->id(),
        );
    }

    /** @return array{float, float}|null */
    private static function pair(?Node $node, float $least, float $most, string $unit): ?array
    {
        if ($node === null) {
            return null;
        }
        $node->numbers(2);
        [$a, $b] = array_map(fn (Node $n): float => $n->between($least, $most, $unit), $node->items(2, 2));

        return [$a, $b];
    }

    private static function moved(Node $row): Moved
    {
        $row->object(['part', 'layer', 'course', 'joint', 'at_mm'], ['part', 'layer', 'course', 'at_mm']);

        return new Moved(
            self::part($row->get('part')),
            $row->get('layer')->id(),
            $row->get('course')->integer(0, 2000),
            $row->optional('joint')?->integer(0, 2000),
            $row->get('at_mm')->between(0.0, 1e6, 'mm'),
        );
    }

    /** Ids of parts are derived: they say what they are towards, with a space or a sign in them. */
    private static function part(Node $node): string
    {
        return $node->text(400);
    }

    private static function survey(Node $row): Survey
    {
        $row->object(
            ['id', 'part', 'points', 'least_mm', 'sizes_mm', 'bracket', 'girt'],
            ['id', 'part', 'points'],
        );
        $points = array_map(function (Node $point): array {
            $point->object(['x_mm', 'z_mm', 'off_mm'], ['x_mm', 'z_mm', 'off_mm']);

            return [
                'x' => $point->get('x_mm')->between(-1e6, 1e6, 'mm'),
                'z' => $point->get('z_mm')->between(-1e6, 1e6, 'mm'),
                'off' => $point->get('off_mm')->between(-1000.0, 1000.0, 'mm'),
            ];
        }, $row->get('points')->listOf(self::MOST_POINTS)->items(1));
        $sizes = array_map(
            fn (Node $size): float => $size->between(0.1, 500.0, 'mm'),
            $row->optional('sizes_mm')?->listOf(40)->items() ?? [],
        );

        return new Survey(
            $row->get('id')->id(),
            self::part($row->get('part')),
            $points === [] ? $row->get('points')->refuse('at least one point', 'none') : $points,
            $row->optional('least_mm')?->between(0.0, 500.0, 'mm') ?? 0.0,
            $sizes,
            $row->optional('bracket')?->id(),
            $row->optional('girt')?->id(),
        );
    }

    private static function transfer(Node $row): Transfer
    {
        $row->object(['id', 'part', 'datum_mm', 'holes'], ['id', 'part', 'datum_mm', 'holes']);
        [$x, $z] = $row->get('datum_mm')->numbers(2);

        return new Transfer(
            $row->get('id')->id(),
            self::part($row->get('part')),
            [$x, $z],
            array_map(function (Node $hole): array {
                $hole->object(['x_mm', 'z_mm', 'diameter_mm', 'what'], ['x_mm', 'z_mm']);

                return [
                    'x' => $hole->get('x_mm')->between(-1e6, 1e6, 'mm'),
                    'z' => $hole->get('z_mm')->between(-1e6, 1e6, 'mm'),
                    'diameter' => $hole->optional('diameter_mm')?->between(0.5, 3000.0, 'mm'),
                    'what' => $hole->optional('what')?->text() ?? '',
                ];
            }, $row->get('holes')->listOf(self::MOST_POINTS)->items()),
        );
    }

    private static function delivery(Node $row): Delivery
    {
        $row->object(['id', 'title', 'day', 'parts'], ['id', 'title', 'parts']);
        $day = $row->optional('day');
        if ($day !== null && Day::of($day->text(10)) === null) {
            $day->refuse('a date, as 2027-04-01');
        }

        return new Delivery(
            $row->get('id')->id(),
            $row->get('title')->text(),
            array_map(self::part(...), $row->get('parts')->listOf(self::MOST_ROWS)->items()),
            $day?->text(10),
        );
    }

    private static function ordered(Node $row): Ordered
    {
        $row->object(['material', 'what', 'unit', 'holds', 'count'], ['material', 'what', 'unit', 'holds', 'count']);

        return new Ordered(
            $row->get('material')->id(),
            $row->get('what')->word(array_column(Counted::cases(), 'value')),
            $row->get('unit')->text(20),
            $row->get('holds')->between(1e-6, 1e9, 'of its unit'),
            $row->get('count')->integer(0, 10_000_000),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Takeoff $takeoff): array
    {
        // With its layers even where there are none: a document that says nothing is still one.
        return ['layers' => array_map(self::writeLayer(...), $takeoff->layers)] + Written::without([
            'moved' => array_map(
                fn (Moved $m): array => Written::without([
                    'part' => $m->part,
                    'layer' => $m->layer,
                    'course' => $m->course,
                    'joint' => $m->joint,
                    'at_mm' => $m->at,
                ]),
                $takeoff->moved,
            ),
            'surveys' => array_map(
                fn (Survey $s): array => Written::without([
                    'id' => $s->id,
                    'part' => $s->part,
                    'points' => array_map(
                        fn (array $p): array => ['x_mm' => $p['x'], 'z_mm' => $p['z'], 'off_mm' => $p['off']],
                        $s->points,
                    ),
                    'least_mm' => $s->least > 0 ? $s->least : null,
                    'sizes_mm' => $s->sizes,
                    'bracket' => $s->bracket,
                    'girt' => $s->girt,
                ]),
                $takeoff->surveys,
            ),
            'transfers' => array_map(
                fn (Transfer $t): array => [
                    'id' => $t->id,
                    'part' => $t->part,
                    'datum_mm' => $t->datum,
                    'holes' => array_map(
                        fn (array $h): array => Written::without([
                            'x_mm' => $h['x'],
                            'z_mm' => $h['z'],
                            'diameter_mm' => $h['diameter'],
                            'what' => $h['what'] === '' ? null : $h['what'],
                        ]),
                        $t->holes,
                    ),
                ],
                $takeoff->transfers,
            ),
            'deliveries' => array_map(
                fn (Delivery $d): array => ['id' => $d->id, 'title' => $d->title] +
                    ($d->day === null ? [] : ['day' => $d->day]) + ['parts' => $d->parts],
                $takeoff->deliveries,
            ),
            'ordered' => array_map(fn (Ordered $o): array => get_object_vars($o), $takeoff->ordered),
        ]);
    }

    /** @return array<string, mixed> */
    private static function writeLayer(LayerRule $rule): array
    {
        return Written::without([
            'assembly' => $rule->assembly,
            'layer' => $rule->layer,
            'roll_m' => $rule->roll,
            'board_mm' => $rule->board,
            'lap_mm' => $rule->lap,
            'upright' => $rule->upright ? true : null,
            'longest_mm' => $rule->longest,
            'first_mm' => $rule->first,
            'joints_anywhere' => $rule->jointsAnywhere ? true : null,
            'uses_rest' => $rule->usesRest ? true : null,
            'waste_pct' => $rule->wastePct,
            'texture' => $rule->texture,
            'pack_l' => $rule->packL,
            'edge_mm' => $rule->edgeMm,
            'field_mm' => $rule->fieldMm,
            'zone_mm' => $rule->zoneMm,
            'tape' => $rule->tape,
            'of' => $rule->of,
        ]);
    }
}

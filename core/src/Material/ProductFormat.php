<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\FileRefused;
use Apron\Json\Node;

/** A product's data in the project file: under `product` of its material. */
final class ProductFormat
{
    private const KEYS = [
        'application_c',
        'service_c',
        'damp_face',
        'sun_days',
        'open_min',
        'tack_free_min',
        'recoat_h',
        'cure_h',
        'primer_on',
        'roll',
        'working_range_mm',
        'tested_with',
        'coverage_m2_l',
        'solids_pct',
        'roll_m',
        'board_mm',
        'pack_l',
        'lap_mm',
        'cure',
        'coating',
        'fasteners',
        'primed_c',
        'nail_seal',
        'storage',
        'cure_at',
    ];

    /** @throws FileRefused */
    public static function read(Node $node): Product
    {
        $node->object(self::KEYS);
        $number = fn (string $key, float $most, string $unit): ?float => $node
            ->optional($key)
            ?->between(0, $most, $unit);

        return new Product(
            applicationC: self::rising($node->optional('application_c'), -60, 120, '°C'),
            serviceC: self::rising($node->optional('service_c'), -100, 400, '°C'),
            dampFace: $node->optional('damp_face')?->boolean(),
            sunDays: $number('sun_days', 36500, 'days'),
            openMin: $number('open_min', 1e5, 'min'),
            tackFreeMin: $number('tack_free_min', 1e5, 'min'),
            recoatH: $number('recoat_h', 1e4, 'h'),
            cureH: $number('cure_h', 1e4, 'h'),
            primerOn: self::families($node->optional('primer_on')),
            roll: $node->optional('roll')?->boolean(),
            workingRangeMm: self::rising($node->optional('working_range_mm'), 0, 500, 'mm'),
            testedWith: array_map(
                fn (Node $id): string => $id->id(),
                $node->optional('tested_with')?->items(0, 500) ?? [],
            ),
            coverageM2L: $node->optional('coverage_m2_l')?->positive(1000, 'm²/L', 0.001),
            solidsPct: $node->optional('solids_pct')?->positive(100, '%', 0.1),
            rollM: self::pair($node->optional('roll_m'), 1000, 'm'),
            boardMm: self::pair($node->optional('board_mm'), 20000, 'mm'),
            packL: $node->optional('pack_l')?->positive(10000, 'L', 0.01),
            lapMm: self::pair($node->optional('lap_mm'), 2000, 'mm'),
            cure: $node->optional('cure')?->oneOf(Cure::class),
            coating: $node->optional('coating')?->oneOf(ZincCoating::class),
            fasteners: self::families($node->optional('fasteners')),
            primedC: $node->optional('primed_c')?->between(-60, 120, '°C'),
            nailSeal: $node->optional('nail_seal')?->oneOf(NailSeal::class),
            storage: $node->optional('storage')?->text(200),
            cureAt: self::cures($node->optional('cure_at')),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Product $product): array
    {
        return array_filter(
            [
                'application_c' => $product->applicationC,
                'service_c' => $product->serviceC,
                'damp_face' => $product->dampFace,
                'sun_days' => $product->sunDays,
                'open_min' => $product->openMin,
                'tack_free_min' => $product->tackFreeMin,
                'recoat_h' => $product->recoatH,
                'cure_h' => $product->cureH,
                'primer_on' => $product->primerOn,
                'roll' => $product->roll,
                'working_range_mm' => $product->workingRangeMm,
                'tested_with' => $product->testedWith === [] ? null : $product->testedWith,
                'coverage_m2_l' => $product->coverageM2L,
                'solids_pct' => $product->solidsPct,
                'roll_m' => $product->rollM,
                'board_mm' => $product->boardMm,
                'pack_l' => $product->packL,
                'lap_mm' => $product->lapMm,
                'cure' => $product->cure?->value,
                'coating' => $product->coating?->value,
                'fasteners' => $product->fasteners,
                'primed_c' => $product->primedC,
                'nail_seal' => $product->nailSeal?->value,
                'storage' => $product->storage,
                'cure_at' => $product->cureAt === [] ? null : $product->cureAt,
            ],
            fn (mixed $said): bool => $said !== null,
        );
    }

    /** @return array{float, float}|null a least and a most that contradict each other are refused */
    private static function rising(?Node $node, float $least, float $most, string $unit): ?array
    {
        if ($node === null) {
            return null;
        }
        [$from, $to] = $node->items(2, 2);
        $from = $from->between($least, $most, $unit);
        $upper = $to->between($least, $most, $unit);
        if ($upper < $from) {
            $to->refuse("no less than the least, $from $unit");
        }

        return [$from, $upper];
    }

    /** @return array{float, float}|null */
    private static function pair(?Node $node, float $most, string $unit): ?array
    {
        if ($node === null) {
            return null;
        }
        [$first, $second] = $node->items(2, 2);

        return [$first->positive($most, $unit, 0.01), $second->positive($most, $unit, 0.01)];
    }

    /** @return list<array{float, float}> °C and hours, the colder first and the slower */
    private static function cures(?Node $node): array
    {
        $rows = [];
        foreach ($node?->items(1, 20) ?? [] as $row) {
            [$at, $hours] = $row->items(2, 2);
            $one = [$at->between(-60, 120, '°C'), $hours->between(0, 1e4, 'h')];
            $before = end($rows);
            if ($before !== false && ($one[0] <= $before[0] || $one[1] > $before[1])) {
                $row->refuse("warmer than $before[0] °C, and no slower than $before[1] h");
            }
            $rows[] = $one;
        }

        return $rows;
    }

    /** @return list<string>|null */
    private static function families(?Node $node): ?array
    {
        return $node === null
            ? null
            : array_map(fn (Node $family): string => Families::named($family)->id, $node->items(0, 100));
    }
}

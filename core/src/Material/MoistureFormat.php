<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;

/** The tables of a material under `moisture`: pairs, rising in what they follow. */
final class MoistureFormat
{
    private const MOST_POINTS = 400;

    private const WATER = [0.0, 3000.0, 'kg/m³'];

    /** @throws FileRefused */
    public static function read(?Node $node): ?MoistureTables
    {
        if ($node === null) {
            return null;
        }
        $node->object([
            'conductivity_by_water',
            'permeability_by_rh',
            'liquid_conductivity_by_water',
            'diffusivity_by_water',
        ]);
        if ($node->has('liquid_conductivity_by_water') && $node->has('diffusivity_by_water')) {
            $node->refuse('liquid_conductivity_by_water or diffusivity_by_water', 'both together');
        }

        return new MoistureTables(
            self::table($node->optional('conductivity_by_water'), self::WATER, [1e-3, 1000.0, 'W/(m·K)']),
            self::table(
                $node->optional('permeability_by_rh'),
                [0.0, 100.0, '% relative humidity'],
                [1e-20, 1e-6, 'kg/(m·s·Pa)'],
            ),
            self::table($node->optional('liquid_conductivity_by_water'), self::WATER, [1e-40, 1.0, 's']),
            self::table($node->optional('diffusivity_by_water'), self::WATER, [0.0, 1.0, 'm²/s']),
        );
    }

    /** @return array<string, mixed>|null */
    public static function write(?MoistureTables $tables): ?array
    {
        return $tables === null
            ? null
            : Written::without([
                'conductivity_by_water' => self::pairs($tables->conductivity),
                'permeability_by_rh' => self::pairs($tables->permeability),
                'liquid_conductivity_by_water' => self::pairs($tables->liquidConductivity),
                'diffusivity_by_water' => self::pairs($tables->diffusivity),
            ]);
    }

    /**
     * @param  array{float, float, string}  $range  least, most and unit of what it follows
     * @param  array{float, float, string}  $bounds  of what follows
     */
    private static function table(?Node $node, array $range, array $bounds): ?Curve
    {
        if ($node === null) {
            return null;
        }
        [$at, $values] = [[], []];
        foreach ($node->items(1, self::MOST_POINTS) as $pair) {
            [$from, $value] = $pair->items(2, 2);
            $x = $from->between(...$range);
            if ($at !== [] && $x <= $at[count($at) - 1]) {
                $from->refuse('points in rising order');
            }
            $at[] = $x;
            $values[] = $value->between(...$bounds);
        }

        return new Curve($at, $values);
    }

    /** @return list<array{float, float}>|null */
    private static function pairs(?Curve $curve): ?array
    {
        return $curve === null
            ? null
            : array_map(fn (float $x, float $y): array => [$x, $y], $curve->at, $curve->values);
    }
}

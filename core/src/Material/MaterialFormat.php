<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;

/** A material as `apron-project/1` and the catalogue write it. */
final class MaterialFormat
{
    private const KEYS = [
        'id',
        'name',
        'family',
        'conductivity_w_mk',
        'conductivity_label_w_mk',
        'resistance_m2k_w',
        'vapour_resistance_factor',
        'sd_m',
        'permeance_ng_pa_s_m2',
        'vapour_resistance_factor_wet',
        'sd_wet_m',
        'permeance_wet_ng_pa_s_m2',
        'permeance_curve',
        'conductivity_curve',
        'density_kg_m3',
        'specific_heat_j_kgk',
        'sorption_curve',
        'free_saturation_kg_m3',
        'water_absorption_kg_m2_s05',
        'safe_store_kg_m3',
        'moisture',
        'air_permeance_l_s_m2',
        'sheds_water',
        'back_family',
        'adhesive',
        'faces',
        'sticks',
        'product',
        'usual_thickness_mm',
        'leaves',
        'facers',
        'catalogue',
        'source',
    ];

    /** the dry cup's figure => the wet cup's, of the same kind */
    private const CUPS = [
        'vapour_resistance_factor' => 'vapour_resistance_factor_wet',
        'sd_m' => 'sd_wet_m',
        'permeance_ng_pa_s_m2' => 'permeance_wet_ng_pa_s_m2',
    ];

    /**
     * the most, its unit and the least: an air layer opens wider than still air, a metal foil lets next to nothing
     * through
     */
    private const MOST = [
        'vapour_resistance_factor' => [1e8, '', 0.01],
        'sd_m' => [1e6, 'm', 1e-5],
        'permeance_ng_pa_s_m2' => [1e6, 'ng/(Pa·s·m²)', 1e-5],
    ];

    /** @throws FileRefused */
    public static function read(Node $node): Material
    {
        $node->object(self::KEYS, ['id', 'name']);
        self::exactlyOne($node, ['conductivity_w_mk', 'resistance_m2k_w'], 'heat');
        self::exactlyOne($node, ['vapour_resistance_factor', 'sd_m', 'permeance_ng_pa_s_m2'], 'vapour');

        return new Material(
            id: $node->get('id')->id(),
            name: $node->get('name')->text(),
            family: $node->has('family') ? Families::named($node->get('family')) : null,
            conductivity: $node->optional('conductivity_w_mk')?->positive(1000, 'W/(m·K)', 0.001),
            resistance: $node->optional('resistance_m2k_w')?->positive(100, 'm²K/W', 0.0001),
            vapourResistanceFactor: $node
                ->optional('vapour_resistance_factor')
                ?->positive(...self::MOST['vapour_resistance_factor']),
            sd: $node->optional('sd_m')?->positive(...self::MOST['sd_m']),
            permeance: $node->optional('permeance_ng_pa_s_m2')?->positive(...self::MOST['permeance_ng_pa_s_m2']),
            wetCup: self::wetCup($node),
            permeanceCurve: self::curve(
                $node->optional('permeance_curve'),
                'rh_pct',
                [0, 100, '% relative humidity'],
                'permeance_ng_pa_s_m2',
                [1e6, 'ng/(Pa·s·m²)', 1e-5],
            ),
            conductivityCurve: self::curve(
                $node->optional('conductivity_curve'),
                'mean_c',
                [-70, 90, '°C'],
                'conductivity_w_mk',
                [1000, 'W/(m·K)', 0.001],
            ),
            density: $node->optional('density_kg_m3')?->positive(25000, 'kg/m³', 0.1),
            specificHeat: $node->optional('specific_heat_j_kgk')?->positive(10000, 'J/(kg·K)', 10),
            sorptionCurve: self::sorption($node->optional('sorption_curve')),
            freeSaturation: $node->optional('free_saturation_kg_m3')?->positive(1000, 'kg/m³', 0.01),
            waterAbsorption: $node->optional('water_absorption_kg_m2_s05')?->positive(10, 'kg/(m²·s^½)', 1e-7),
            safeStore: $node->optional('safe_store_kg_m3')?->positive(1000, 'kg/m³', 0.001),
            airPermeance: $node->optional('air_permeance_l_s_m2')?->between(0, 1e5, 'L/(s·m²) at 75 Pa'),
            shedsWater: $node->optional('sheds_water')?->boolean(),
            backFamily: self::face($node, 'inner', 'back_family'),
            adhesive: self::sticks($node),
            usualThicknessMm: $node->optional('usual_thickness_mm')?->positive(5000, 'mm', 0.001),
            source: self::source($node->optional('source')),
            catalogue: $node->optional('catalogue')?->text(40),
            labelConductivity: $node->optional('conductivity_label_w_mk')?->positive(1000, 'W/(m·K)', 0.001),
            leaves: $node->optional('leaves')?->integer(1, 3) ?? 1,
            facers: self::facers($node->optional('facers')),
            outerFamily: self::face($node, 'outer', null),
            product: $node->has('product') ? ProductFormat::read($node->get('product')) : null,
            moisture: MoistureFormat::read($node->optional('moisture')),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Material $material): array
    {
        return Written::without([
            'id' => $material->id,
            'name' => $material->name,
            'family' => $material->family?->id,
            'conductivity_w_mk' => $material->conductivity,
            'conductivity_label_w_mk' => $material->labelConductivity,
            'resistance_m2k_w' => $material->resistance,
            'vapour_resistance_factor' => $material->vapourResistanceFactor,
            'sd_m' => $material->sd,
            'permeance_ng_pa_s_m2' => $material->permeance,
            self::wetKey($material) => $material->wetCup,
            'permeance_curve' => self::writeCurve($material->permeanceCurve, 'rh_pct', 'permeance_ng_pa_s_m2'),
            'conductivity_curve' => self::writeCurve($material->conductivityCurve, 'mean_c', 'conductivity_w_mk'),
            'density_kg_m3' => $material->density,
            'specific_heat_j_kgk' => $material->specificHeat,
            'sorption_curve' => self::writeCurve($material->sorptionCurve, 'rh_pct', 'water_kg_m3'),
            'free_saturation_kg_m3' => $material->freeSaturation,
            'water_absorption_kg_m2_s05' => $material->waterAbsorption,
            'safe_store_kg_m3' => $material->safeStore,
            'moisture' => MoistureFormat::write($material->moisture),
            'air_permeance_l_s_m2' => $material->airPermeance,
            'sheds_water' => $material->shedsWater,
            'back_family' => $material->backFamily?->id,
            'adhesive' => $material->adhesive?->value,
            'faces' => $material->outerFamily === null ? null : ['outer' => $material->outerFamily->id],
            'product' => $material->product === null ? null : (object) ProductFormat::write($material->product),
            'usual_thickness_mm' => $material->usualThicknessMm,
            'leaves' => $material->leaves === 1 ? null : $material->leaves,
            'facers' => array_map(self::writeFacer(...), $material->facers),
            'catalogue' => $material->catalogue,
            'source' => self::writeSource($material->source),
        ]);
    }

    /** The family of a face, by `faces` or by the key that said it before; two that contradict are refused. */
    private static function face(Node $node, string $face, ?string $before): ?Family
    {
        $faces = $node->optional('faces')?->object(['inner', 'outer']);
        $said = $faces !== null && $faces->has($face) ? Families::named($faces->get($face)) : null;
        $old = $before !== null && $node->has($before) ? Families::named($node->get($before)) : null;
        if ($faces !== null && $said !== null && $old !== null && $said->id !== $old->id) {
            $faces->get($face)->refuse("the family that “{$before}” says, $old->id, or one of the two left out");
        }

        return $said ?? $old;
    }

    /** What it sticks with, by `sticks` or by `adhesive`, which said it before. */
    private static function sticks(Node $node): ?Sticks
    {
        $said = $node->optional('sticks')?->oneOf(Sticks::class);
        $old = $node->optional('adhesive')?->oneOf(Sticks::class);
        if ($said !== null && $old !== null && $said !== $old) {
            $node->get('sticks')->refuse("what “adhesive” says, $old->value, or one of the two left out");
        }

        return $said ?? $old;
    }

    /** @return list<Facer> */
    private static function facers(?Node $node): array
    {
        $facers = [];
        foreach ($node?->items(1, 2) ?? [] as $row) {
            $row->object(['face', 'name', 'family', 'sd_m', 'sd_wet_m'], ['face', 'name', 'family', 'sd_m']);
            $face = $row->get('face')->oneOf(Face::class);
            if (isset($facers[$face->value])) {
                $row->get('face')->refuse('the other face: one facer on each');
            }
            $sd = $row->get('sd_m')->positive(...self::MOST['sd_m']);
            $facers[$face->value] = new Facer(
                $face,
                $row->get('name')->text(),
                Families::named($row->get('family')),
                $sd,
                $row->optional('sd_wet_m')?->positive(...self::MOST['sd_m']) ?? $sd,
            );
        }

        return array_values($facers);
    }

    /** @return array<string, mixed> */
    private static function writeFacer(Facer $facer): array
    {
        return Written::without([
            'face' => $facer->face->value,
            'name' => $facer->name,
            'family' => $facer->family->id,
            'sd_m' => $facer->sd,
            'sd_wet_m' => $facer->sdWet === $facer->sd ? null : $facer->sdWet,
        ]);
    }

    /** @return array<string, string>|null */
    public static function writeSource(Source $source): ?array
    {
        return $source->kind === SourceKind::Unstated ? null : $source->toArray();
    }

    private static function wetCup(Node $node): ?float
    {
        $found = null;
        foreach (self::CUPS as $dry => $wet) {
            $cup = $node->optional($wet);
            if ($cup !== null && ! $node->has($dry)) {
                $cup->refuse("the wet cup in the same kind of figure as the dry one; $wet goes with $dry");
            }
            $found = $cup?->positive(...self::MOST[$dry]) ?? $found;
        }

        return $found;
    }

    private static function wetKey(Material $material): string
    {
        return self::CUPS[
            match (true) {
                $material->sd !== null => 'sd_m',
                $material->permeance !== null => 'permeance_ng_pa_s_m2',
                default => 'vapour_resistance_factor',
            }
        ];
    }

    /**
     * @param  array{float, float, string}  $range  least, most and unit of what it follows
     * @param  array{float, string, float}  $bounds  most, unit and least of what follows
     */
    private static function curve(?Node $node, string $at, array $range, string $value, array $bounds): ?Curve
    {
        if ($node === null) {
            return null;
        }
        $points = $values = [];
        foreach ($node->items(2, 50) as $row) {
            $row->object([$at, $value], [$at, $value]);
            $x = $row->get($at)->between(...$range);
            if ($points !== [] && $x <= $points[count($points) - 1]) {
                $row->get($at)->refuse('points in rising order');
            }
            $points[] = $x;
            $values[] = $row->get($value)->positive(...$bounds);
        }

        return new Curve($points, $values);
    }

    /** Water by humidity in balance: damper air never leaves less of it. */
    private static function sorption(?Node $node): ?Curve
    {
        $curve = self::curve(
            $node,
            'rh_pct',
            [0, 100, '% relative humidity'],
            'water_kg_m3',
            [1000, 'kg/m³', 1e-6],
        );
        foreach ($curve->values ?? [] as $i => $water) {
            if ($node !== null && $curve !== null && $i > 0 && $water < $curve->values[$i - 1]) {
                $node->items()[$i]->get('water_kg_m3')->refuse('no less water than at the humidity before');
            }
        }

        return $curve;
    }

    /** @return list<array<string, float>>|null */
    private static function writeCurve(?Curve $curve, string $at, string $value): ?array
    {
        return $curve === null
            ? null
            : array_map(fn (float $x, float $y): array => [$at => $x, $value => $y], $curve->at, $curve->values);
    }

    public static function source(?Node $node): Source
    {
        if ($node === null) {
            return Source::of(SourceKind::Unstated, 'no source given');
        }
        $node->object(['kind', 'name', 'date'], ['kind', 'name']);

        return Source::of(
            $node->get('kind')->oneOf(SourceKind::class),
            $node->get('name')->text(400),
            $node->optional('date')?->text(40),
        );
    }

    /** @param  list<string>  $keys */
    private static function exactlyOne(Node $node, array $keys, string $what): void
    {
        $given = array_values(array_filter($keys, $node->has(...)));
        if (count($given) !== 1) {
            $node->refuse(
                'exactly one of '.implode(', ', $keys)." for $what",
                $given === [] ? "no figure for $what" : implode(' and ', $given).' together',
            );
        }
    }
}

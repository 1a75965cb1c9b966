<?php

namespace Apron\File;

use Apron\Material\Material;
use Apron\Source;
use Apron\SourceKind;

/** A material as `apron-project/1` and the catalogue write it. */
final class MaterialFormat
{
    private const KEYS = [
        'id', 'name', 'family', 'conductivity_w_mk', 'resistance_m2k_w', 'vapour_resistance_factor', 'sd_m', 'permeance_ng_pa_s_m2',
        'density_kg_m3', 'specific_heat_j_kgk', 'air_permeance_l_s_m2', 'sheds_water', 'usual_thickness_mm', 'catalogue', 'source',
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
            family: $node->optional('family')?->id(),
            conductivity: $node->optional('conductivity_w_mk')?->positive(1000, 'W/(m·K)'),
            resistance: $node->optional('resistance_m2k_w')?->positive(100, 'm²K/W'),
            vapourResistanceFactor: $node->optional('vapour_resistance_factor')?->positive(1e8, ''),
            sd: $node->optional('sd_m')?->positive(1e6, 'm'),
            permeance: $node->optional('permeance_ng_pa_s_m2')?->positive(1e6, 'ng/(Pa·s·m²)'),
            density: $node->optional('density_kg_m3')?->positive(25000, 'kg/m³'),
            specificHeat: $node->optional('specific_heat_j_kgk')?->positive(10000, 'J/(kg·K)'),
            airPermeance: $node->optional('air_permeance_l_s_m2')?->between(0, 1e5, 'L/(s·m²) at 75 Pa'),
            shedsWater: $node->optional('sheds_water')?->boolean(),
            usualThicknessMm: $node->optional('usual_thickness_mm')?->positive(5000, 'mm'),
            source: self::source($node->optional('source')),
            catalogue: $node->optional('catalogue')?->text(40),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Material $material): array
    {
        return Written::without([
            'id' => $material->id,
            'name' => $material->name,
            'family' => $material->family,
            'conductivity_w_mk' => $material->conductivity,
            'resistance_m2k_w' => $material->resistance,
            'vapour_resistance_factor' => $material->vapourResistanceFactor,
            'sd_m' => $material->sd,
            'permeance_ng_pa_s_m2' => $material->permeance,
            'density_kg_m3' => $material->density,
            'specific_heat_j_kgk' => $material->specificHeat,
            'air_permeance_l_s_m2' => $material->airPermeance,
            'sheds_water' => $material->shedsWater,
            'usual_thickness_mm' => $material->usualThicknessMm,
            'catalogue' => $material->catalogue,
            'source' => $material->source->kind === SourceKind::Unstated ? null : $material->source->toArray(),
        ]);
    }

    private static function source(?Node $node): Source
    {
        if ($node === null) {
            return Source::of(SourceKind::Unstated, 'no source given');
        }
        $node->object(['kind', 'name', 'date'], ['kind', 'name']);

        return Source::of($node->get('kind')->oneOf(SourceKind::class), $node->get('name')->text(400), $node->optional('date')?->text(40));
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

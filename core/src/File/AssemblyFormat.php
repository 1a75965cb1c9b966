<?php

namespace Apron\File;

use Apron\Assembly\AirLayer;
use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Control;
use Apron\Assembly\Fasteners;
use Apron\Assembly\Framing;
use Apron\Assembly\HeatFlow;
use Apron\Assembly\Layer;
use Apron\Material\Materials;

/** An assembly as `apron-project/1` writes it. */
final class AssemblyFormat
{
    private const MOST_LAYERS = 60;

    /** Paths through the section double with each crossing of framed layers. */
    private const MOST_FRAMED = 8;

    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials): Assembly
    {
        $node->object(['id', 'name', 'kind', 'heat_flow', 'rsi_m2k_w', 'rse_m2k_w', 'layers'], ['id', 'name', 'kind', 'layers']);
        $layers = $ids = [];
        $framed = 0;
        foreach ($node->get('layers')->items(1, self::MOST_LAYERS) as $row) {
            $layer = self::layer($row, $materials, $ids);
            if (isset($ids[$layer->id])) {
                $row->get('id')->refuse('an id that no other layer of this assembly has');
            }
            $ids[$layer->id] = true;
            $framed += $layer->framing === null ? 0 : 1;
            if ($framed > self::MOST_FRAMED) {
                $row->get('framing')->refuse('no more than '.self::MOST_FRAMED.' framed layers in one assembly');
            }
            $layers[] = $layer;
        }
        $assembly = new Assembly(
            id: $node->get('id')->id(),
            name: $node->get('name')->text(),
            kind: $node->get('kind')->oneOf(AssemblyKind::class),
            statedHeatFlow: $node->optional('heat_flow')?->oneOf(HeatFlow::class),
            statedRsi: $node->optional('rsi_m2k_w')?->positive(2, 'm²K/W'),
            statedRse: $node->optional('rse_m2k_w')?->positive(2, 'm²K/W'),
            layers: $layers,
        );
        if ($assembly->ventilatedAt() === 0) {
            $node->get('layers')->refuse('at least one layer inside the ventilated one', 'a ventilated layer innermost');
        }

        return $assembly;
    }

    /** @return array<string, mixed> */
    public static function write(Assembly $assembly): array
    {
        return Written::without([
            'id' => $assembly->id,
            'name' => $assembly->name,
            'kind' => $assembly->kind->value,
            'heat_flow' => $assembly->statedHeatFlow?->value,
            'rsi_m2k_w' => $assembly->statedRsi,
            'rse_m2k_w' => $assembly->statedRse,
            'layers' => array_map(self::writeLayer(...), $assembly->layers),
        ]);
    }

    /** @param  array<string, true>  $taken ids of the layers inside it */
    private static function layer(Node $node, Materials $materials, array $taken): Layer
    {
        $node->object(['id', 'material', 'thickness_mm', 'thickness_typed', 'controls', 'framing', 'air', 'fasteners'], ['material', 'thickness_mm']);
        $material = $materials->named($node->get('material'));
        $air = $node->optional('air')?->oneOf(AirLayer::class);
        if ($air !== null && $material->family !== null && ! $material->isAir()) {
            $node->get('air')->refuse("no “air” on a layer of {$material->name}: it is for air layers");
        }
        $controls = [];
        foreach ($node->optional('controls')?->items(0, 4) ?? [] as $control) {
            $control = $control->oneOf(Control::class);
            if (! in_array($control, $controls, true)) {
                $controls[] = $control;
            }
        }

        return new Layer(
            id: $node->optional('id')?->id() ?? self::freeId($material->id, $taken),
            material: $material,
            thicknessMm: $node->get('thickness_mm')->positive(5000, 'mm'),
            thicknessTyped: $node->optional('thickness_typed')?->text(40),
            controls: $controls,
            framing: self::framing($node->optional('framing'), $materials),
            air: $air,
            fasteners: self::fasteners($node->optional('fasteners')),
        );
    }

    /** @param  array<string, true>  $taken */
    private static function freeId(string $stem, array $taken): string
    {
        $id = $stem;
        for ($n = 2; isset($taken[$id]); $n++) {
            $id = "$stem.$n";
        }

        return $id;
    }

    private static function framing(?Node $node, Materials $materials): ?Framing
    {
        if ($node === null) {
            return null;
        }
        $node->object(['material', 'fraction', 'spacing_mm', 'depth_mm', 'gauge_mm'], ['material', 'fraction']);
        $fraction = $node->get('fraction');

        return new Framing(
            material: $materials->named($node->get('material')),
            fraction: $fraction->number() > 0 && $fraction->number() < 1 ? $fraction->number() : $fraction->refuse('a share of the area above 0 and below 1'),
            spacingMm: $node->optional('spacing_mm')?->positive(5000, 'mm'),
            depthMm: $node->optional('depth_mm')?->positive(5000, 'mm'),
            gaugeMm: $node->optional('gauge_mm')?->positive(100, 'mm'),
        );
    }

    private static function fasteners(?Node $node): ?Fasteners
    {
        if ($node === null) {
            return null;
        }
        $node->object(['per_m2', 'diameter_mm', 'conductivity_w_mk'], ['per_m2', 'diameter_mm', 'conductivity_w_mk']);

        return new Fasteners(
            perM2: $node->get('per_m2')->positive(1000, 'per m²'),
            diameterMm: $node->get('diameter_mm')->positive(100, 'mm'),
            conductivity: $node->get('conductivity_w_mk')->positive(1000, 'W/(m·K)'),
        );
    }

    /** @return array<string, mixed> */
    private static function writeLayer(Layer $layer): array
    {
        return Written::without([
            'id' => $layer->id,
            'material' => $layer->material->id,
            'thickness_mm' => $layer->thicknessMm,
            'thickness_typed' => $layer->thicknessTyped,
            'controls' => array_map(fn (Control $control): string => $control->value, $layer->controls),
            'framing' => $layer->framing === null ? null : Written::without([
                'material' => $layer->framing->material->id,
                'fraction' => $layer->framing->fraction,
                'spacing_mm' => $layer->framing->spacingMm,
                'depth_mm' => $layer->framing->depthMm,
                'gauge_mm' => $layer->framing->gaugeMm,
            ]),
            'air' => $layer->air?->value,
            'fasteners' => $layer->fasteners === null ? null : [
                'per_m2' => $layer->fasteners->perM2,
                'diameter_mm' => $layer->fasteners->diameterMm,
                'conductivity_w_mk' => $layer->fasteners->conductivity,
            ],
        ]);
    }
}

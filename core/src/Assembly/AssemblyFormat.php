<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Climate\Climate;
use Apron\Climate\ClimateFormat;
use Apron\Climate\Soil;
use Apron\Climate\SunlitFace;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\MaterialFormat;
use Apron\Material\Materials;

/** An assembly as `apron-project/1` writes it. */
final class AssemblyFormat
{
    private const MOST_LAYERS = 60;

    private const KEYS = [
        'id',
        'name',
        'kind',
        'heat_flow',
        'rsi_m2k_w',
        'rse_m2k_w',
        'indoor',
        'soil',
        'air_leakage_l_s_m2',
        'exposure',
        'roof_face',
        'drainage',
        'variant_of',
        'cost',
        'crew',
        'layers',
    ];

    private const LAYER_KEYS = [
        'id',
        'material',
        'thickness_mm',
        'thickness_typed',
        'controls',
        'framing',
        'air',
        'fasteners',
        'bridges',
        'inverted',
        'turned',
        'gaps',
    ];

    /**
     * m²K/W of the layers together: ten times the best wall there is, and a year of it is still worked out in a moment.
     */
    private const MOST_RESISTANCE = 200.0;

    /** Paths through the section double with each crossing of framed layers. */
    private const MOST_FRAMED = 8;

    /** @throws FileRefused */
    public static function read(
        Node $node,
        Materials $materials,
        SurfaceFilms $films = SurfaceFilms::Iso,
        ?Climate $climate = null,
    ): Assembly {
        $node->object(self::KEYS, ['id', 'name', 'kind', 'layers']);
        $layers = $ids = [];
        $framed = 0;
        $through = 0.0;
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
            $through += $layer->airLayer() === null ? $layer->material->resistanceOf($layer->thicknessMm) : 0.0;
            if ($through > self::MOST_RESISTANCE) {
                $row->get('thickness_mm')->refuse(
                    'layers of no more than R '.
                        self::MOST_RESISTANCE.
                        ' m²K/W in all; thinner, or a higher conductivity',
                );
            }
        }
        $assembly = new Assembly(
            id: $node->get('id')->id(),
            name: $node->get('name')->text(),
            kind: $node->get('kind')->oneOf(AssemblyKind::class),
            statedHeatFlow: $node->optional('heat_flow')?->oneOf(HeatFlow::class),
            statedRsi: $node->optional('rsi_m2k_w')?->positive(2, 'm²K/W', 0.0001),
            statedRse: $node->optional('rse_m2k_w')?->positive(2, 'm²K/W', 0.0001),
            layers: $layers,
            films: $films,
            indoors: $node->has('indoor') ? ClimateFormat::indoors($node->get('indoor'), $climate) : null,
            soil: $node->has('soil')
                ? new Soil(
                    $node
                        ->get('soil')
                        ->object(['depth_m'], ['depth_m'])
                        ->get('depth_m')
                        ->between(0, 30, 'm below grade'),
                )
                : null,
            airLeakage: $node->optional('air_leakage_l_s_m2')?->between(0, 100, 'L/(s·m²) at 75 Pa'),
            exposure: self::exposure($node->optional('exposure')),
            variantOf: $node->optional('variant_of')?->id(),
            effort: self::effort($node),
            roofFace: $node->optional('roof_face')?->oneOf(SunlitFace::class),
            drainage: self::drainage($node->optional('drainage')),
        );
        if ($assembly->soil !== null && $assembly->ventilatedAt() !== null) {
            $node->get('soil')->refuse('no soil outside a ventilated layer; leave out one of the two');
        }
        if ($assembly->roofFace !== null && $assembly->kind !== AssemblyKind::Roof) {
            $node->get('roof_face')->refuse('no “roof_face” but on a roof: only that is reckoned in the sun');
        }
        if ($assembly->ventilatedAt() === 0) {
            $node
                ->get('layers')
                ->refuse('at least one layer inside the ventilated one', 'a ventilated layer innermost');
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
            'indoor' => $assembly->indoors === null ? null : ClimateFormat::writeIndoors($assembly->indoors),
            'soil' => $assembly->soil === null ? null : ['depth_m' => $assembly->soil->depth],
            'air_leakage_l_s_m2' => $assembly->airLeakage,
            'exposure' => $assembly->exposure === null
                    ? null
                    : [
                        'height_m' => $assembly->exposure->height,
                        'terrain' => $assembly->exposure->terrain->value,
                        'over' => $assembly->exposure->over->value,
                    ],
            'roof_face' => $assembly->roofFace?->value,
            'drainage' => $assembly->drainage === null
                    ? null
                    : Written::without([
                        'base' => $assembly->drainage->base?->value,
                        'heads' => $assembly->drainage->heads?->value,
                    ]),
            'variant_of' => $assembly->variantOf,
            'cost' => $assembly->effort?->cost?->value,
            'crew' => $assembly->effort?->crew?->value,
            'layers' => array_map(self::writeLayer(...), $assembly->layers),
        ]);
    }

    /** @param  array<string, true>  $taken ids of the layers inside it */
    private static function layer(Node $node, Materials $materials, array $taken): Layer
    {
        $node->object(self::LAYER_KEYS, ['material', 'thickness_mm']);
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
            thicknessMm: $node->get('thickness_mm')->positive(5000, 'mm', 0.001),
            thicknessTyped: $node->optional('thickness_typed')?->text(40),
            controls: $controls,
            framing: self::framing($node->optional('framing'), $materials),
            air: $air,
            fasteners: self::fasteners($node->optional('fasteners'), $materials),
            bridges: array_map(self::bridge(...), $node->optional('bridges')?->items(0, 20) ?? []),
            inverted: self::inverted($node->optional('inverted')),
            turned: $node->optional('turned')?->boolean() ?? false,
            gaps: $node->optional('gaps')?->oneOf(AirGaps::class),
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
        $node->object(
            ['material', 'fraction', 'spacing_mm', 'depth_mm', 'gauge_mm', 'flange_mm', 'method', 'runs'],
            ['material', 'fraction'],
        );
        $fraction = $node->get('fraction');
        $material = $materials->named($node->get('material'));
        $method = $node->optional('method')?->oneOf(MetalFraming::class);
        if ($method !== null && ! $material->isMetal()) {
            $node
                ->get('method')
                ->refuse("no “method” on framing of {$material->name}: it is for members of the family “metal”");
        }

        return new Framing(
            material: $material,
            fraction: $fraction->number() > 0 && $fraction->number() < 1
                ? $fraction->between(0.0001, 0.9999, 'of the area')
                : $fraction->refuse('a share of the area above 0 and below 1'),
            spacingMm: $node->optional('spacing_mm')?->positive(5000, 'mm', 1),
            depthMm: $node->optional('depth_mm')?->positive(5000, 'mm', 1),
            gaugeMm: $node->optional('gauge_mm')?->positive(100, 'mm', 0.1),
            flangeMm: $node->optional('flange_mm')?->positive(500, 'mm', 1),
            method: $method,
            runs: $node->optional('runs')?->oneOf(Runs::class),
        );
    }

    private static function drainage(?Node $node): ?Drainage
    {
        $node?->object(['base', 'heads']);

        return $node === null
            ? null
            : new Drainage(
                $node->optional('base')?->oneOf(DrainEnd::class),
                $node->optional('heads')?->oneOf(DrainEnd::class),
            );
    }

    private static function fasteners(?Node $node, Materials $materials): ?Fasteners
    {
        if ($node === null) {
            return null;
        }
        $needed = ['per_m2', 'diameter_mm', 'conductivity_w_mk'];
        $node->object([...$needed, 'material'], $needed);

        return new Fasteners(
            perM2: $node->get('per_m2')->positive(1000, 'per m²', 0.001),
            diameterMm: $node->get('diameter_mm')->positive(100, 'mm', 0.1),
            conductivity: $node->get('conductivity_w_mk')->positive(1000, 'W/(m·K)', 0.001),
            material: $node->has('material') ? $materials->named($node->get('material')) : null,
        );
    }

    private static function bridge(Node $node): Bridge
    {
        $node->object(['name', 'psi_w_mk', 'm_per_m2', 'chi_w_k', 'per_m2', 'source'], ['name']);
        [$name, $source] = [$node->get('name')->text(), MaterialFormat::source($node->optional('source'))];
        if ($node->has('psi_w_mk') === $node->has('chi_w_k')) {
            $node->refuse('either psi_w_mk with m_per_m2, or chi_w_k with per_m2');
        }

        return $node->has('psi_w_mk')
            ? Bridge::linear(
                $name,
                $node->get('psi_w_mk')->between(-1, 20, 'W/(m·K)'),
                $node->get('m_per_m2')->positive(50, 'm per m²', 0.001),
                $source,
            )
            : Bridge::point(
                $name,
                $node->get('chi_w_k')->between(-1, 20, 'W/K'),
                $node->get('per_m2')->positive(1000, 'per m²', 0.001),
                $source,
            );
    }

    private static function effort(Node $node): ?Effort
    {
        return $node->has('cost') || $node->has('crew')
            ? new Effort($node->optional('cost')?->oneOf(Cost::class), $node->optional('crew')?->oneOf(Skill::class))
            : null;
    }

    private static function exposure(?Node $node): ?Exposure
    {
        $node?->object(['height_m', 'terrain', 'over']);

        return $node === null
            ? null
            : new Exposure(
                $node->optional('height_m')?->positive(1000, 'm', 0.1) ?? 10.0,
                $node->optional('terrain')?->oneOf(Terrain::class) ?? Terrain::Medium,
                $node->optional('over')?->oneOf(Overhead::class) ?? Overhead::None,
            );
    }

    private static function inverted(?Node $node): ?InvertedRoof
    {
        $node?->object(['rain_mm_day', 'drainage'], ['rain_mm_day']);

        return $node === null
            ? null
            : new InvertedRoof(
                $node->get('rain_mm_day')->between(0, 50, 'mm a day'),
                $node->optional('drainage')?->between(0, 0.2, 'W·day/(m²K·mm)') ?? 0.04,
            );
    }

    /** @return array<string, mixed> */
    private static function writeBridge(Bridge $bridge): array
    {
        $amount =
            $bridge->psi !== null
                ? ['psi_w_mk' => $bridge->psi, 'm_per_m2' => $bridge->perM2]
                : ['chi_w_k' => $bridge->chi, 'per_m2' => $bridge->perM2];

        return Written::without(
            ['name' => $bridge->name] + $amount + ['source' => MaterialFormat::writeSource($bridge->source)],
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
            'framing' => $layer->framing === null
                    ? null
                    : Written::without([
                        'material' => $layer->framing->material->id,
                        'fraction' => $layer->framing->fraction,
                        'spacing_mm' => $layer->framing->spacingMm,
                        'depth_mm' => $layer->framing->depthMm,
                        'gauge_mm' => $layer->framing->gaugeMm,
                        'flange_mm' => $layer->framing->flangeMm,
                        'method' => $layer->framing->method?->value,
                        'runs' => $layer->framing->runs?->value,
                    ]),
            'air' => $layer->air?->value,
            'fasteners' => $layer->fasteners === null
                    ? null
                    : Written::without([
                        'per_m2' => $layer->fasteners->perM2,
                        'diameter_mm' => $layer->fasteners->diameterMm,
                        'conductivity_w_mk' => $layer->fasteners->conductivity,
                        'material' => $layer->fasteners->material?->id,
                    ]),
            'bridges' => array_map(self::writeBridge(...), $layer->bridges),
            'inverted' => $layer->inverted === null
                    ? null
                    : ['rain_mm_day' => $layer->inverted->rain, 'drainage' => $layer->inverted->drainage],
            'turned' => $layer->turned ? true : null,
            'gaps' => $layer->gaps?->value,
        ]);
    }
}

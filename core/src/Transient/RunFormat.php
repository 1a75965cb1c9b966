<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Assembly\Assembly;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;

/** A run in the project file: under `runs`. */
final class RunFormat
{
    private const LAB = [
        'id', 'title', 'layers', 'initial', 'hours', 'left', 'right', 'depths_mm', 'isothermal', 'latent',
    ];

    private const WALL = ['id', 'title', 'assembly', 'years', 'facing_deg', 'leak', 'air', 'initial_rh_pct'];

    private const MOST_LAYERS = 40;

    private const MOST_HOURS = 100.0 * 8760;

    private const MOST_YEARS = 20;

    /**
     * @param  array<string, Assembly>  $assemblies  by id
     *
     * @throws FileRefused
     */
    public static function read(Node $node, Materials $materials, array $assemblies): LabRun|WallRun
    {
        $node->object([...self::LAB, ...self::WALL], ['id']);
        if ($node->has('assembly') === $node->has('layers')) {
            $node->refuse('either layers between two airs, or the assembly that is run through years');
        }

        return $node->has('layers') ? self::lab($node, $materials) : self::wall($node, $assemblies);
    }

    /** @return array<string, mixed> */
    public static function write(LabRun|WallRun $run): array
    {
        return $run instanceof LabRun ? self::writeLab($run) : self::writeWall($run);
    }

    private static function lab(Node $node, Materials $materials): LabRun
    {
        $node->object(self::LAB, ['id', 'layers', 'initial', 'hours', 'left', 'right']);
        $parts = [];
        foreach ($node->get('layers')->items(1, self::MOST_LAYERS) as $row) {
            $row->object(['material', 'thickness_mm'], ['material', 'thickness_mm']);
            $parts[] = new Part(
                $materials->named($row->get('material')),
                $row->get('thickness_mm')->positive(100_000, 'mm', 0.01),
            );
        }
        if (array_filter($parts, fn (Part $part): bool => ! $part->isSheet()) === [] || $parts === []) {
            $node->get('layers')->refuse('at least one layer that stores something, and not sheets alone');
        }
        $thick = array_sum(array_map(fn (Part $part): float => $part->thicknessMm, $parts));
        $initial = $node->get('initial')->object(['temperature_c', 'rh_pct'], ['temperature_c', 'rh_pct']);
        $id = $node->get('id')->id();

        return new LabRun(
            id: $id,
            title: $node->optional('title')?->text() ?? $id,
            layers: $parts,
            celsius: $initial->get('temperature_c')->between(-50, 90, '°C'),
            humidity: $initial->get('rh_pct')->between(0, 100, '%') / 100,
            hours: $node->get('hours')->positive(self::MOST_HOURS, 'h', 0.001),
            left: self::beyond($node->get('left')),
            right: self::beyond($node->get('right')),
            depths: array_map(
                fn (Node $depth): float => $depth->between(0, $thick, 'mm from the left face'),
                $node->optional('depths_mm')?->items(0, 500) ?? [],
            ),
            isIsothermal: $node->optional('isothermal')?->boolean() ?? false,
            latent: $node->optional('latent')?->boolean() ?? true,
        );
    }

    /** @param  array<string, Assembly>  $assemblies */
    private static function wall(Node $node, array $assemblies): WallRun
    {
        $node->object(self::WALL, ['id', 'assembly', 'years']);
        $assembly = $assemblies[$node->get('assembly')->id()]
            ?? $node->get('assembly')->refuse('the id of an assembly of the project');
        $id = $node->get('id')->id();
        $leak = $node->optional('leak')?->object(['share', 'layer'], ['share', 'layer']);
        $air = $node->optional('air')?->object(['flow_l_s_m2', 'layer'], ['flow_l_s_m2', 'layer']);

        return new WallRun(
            id: $id,
            title: $node->optional('title')?->text() ?? $id,
            assembly: $assembly,
            years: $node->get('years')->integer(1, self::MOST_YEARS),
            facing: $node->optional('facing_deg')?->between(0, 360, 'degrees from north'),
            leak: $leak === null ? null : new Leak(
                $leak->get('share')->between(0, 1, 'of the rain that strikes the wall'),
                self::layer($leak->get('layer'), $assembly),
            ),
            humidity: $node->has('initial_rh_pct') ? $node->get('initial_rh_pct')->between(1, 100, '%') / 100 : null,
            air: $air === null ? null : new AirThrough(
                $air->get('flow_l_s_m2')->between(0, 100, 'L/(s·m²)'),
                self::layer($air->get('layer'), $assembly),
            ),
        );
    }

    private static function layer(Node $node, Assembly $assembly): int
    {
        foreach ($assembly->layers as $n => $layer) {
            if ($layer->id === $node->id()) {
                return $n;
            }
        }
        $node->refuse("the id of a layer of $assembly->id");
    }

    private static function beyond(Node $node): Beyond
    {
        $node->object(['closed', 'temperature_c', 'rh_pct', 'h_w_m2k', 'beta_s_m']);
        if ($node->optional('closed')?->boolean() ?? false) {
            return Beyond::closed();
        }
        $node->object(['closed', 'temperature_c', 'rh_pct', 'h_w_m2k', 'beta_s_m'], ['temperature_c', 'rh_pct']);

        return Beyond::air(
            $node->get('temperature_c')->between(-50, 90, '°C'),
            max(1e-4, $node->get('rh_pct')->between(0, 100, '%') / 100),
            $node->optional('h_w_m2k')?->positive(1e6, 'W/(m²K)', 1e-6),
            $node->optional('beta_s_m')?->positive(1e3, 's/m', 1e-18),
        );
    }

    /** @return array<string, mixed> */
    private static function writeLab(LabRun $run): array
    {
        return Written::without([
            'id' => $run->id,
            'title' => $run->title === $run->id ? null : $run->title,
            'layers' => array_map(
                fn (Part $part): array => ['material' => $part->material->id, 'thickness_mm' => $part->thicknessMm],
                $run->layers,
            ),
            'initial' => ['temperature_c' => $run->celsius, 'rh_pct' => 100 * $run->humidity],
            'hours' => $run->hours,
            'left' => self::writeBeyond($run->left),
            'right' => self::writeBeyond($run->right),
            'depths_mm' => $run->depths,
            'isothermal' => $run->isIsothermal ? true : null,
            'latent' => $run->latent ? null : false,
        ]);
    }

    /** @return array<string, mixed> */
    private static function writeWall(WallRun $run): array
    {
        $layer = fn (int $n): string => $run->assembly->layers[$n]->id;

        return Written::without([
            'id' => $run->id,
            'title' => $run->title === $run->id ? null : $run->title,
            'assembly' => $run->assembly->id,
            'years' => $run->years,
            'facing_deg' => $run->facing,
            'leak' => $run->leak === null
                ? null
                : ['share' => $run->leak->share, 'layer' => $layer($run->leak->layer)],
            'air' => $run->air === null
                ? null
                : ['flow_l_s_m2' => $run->air->flow, 'layer' => $layer($run->air->layer)],
            'initial_rh_pct' => $run->humidity === null ? null : 100 * $run->humidity,
        ]);
    }

    /** @return array<string, mixed> */
    private static function writeBeyond(Beyond $beyond): array
    {
        return $beyond->isClosed
            ? ['closed' => true]
            : Written::without([
                'temperature_c' => $beyond->celsius,
                'rh_pct' => 100 * $beyond->humidity,
                'h_w_m2k' => $beyond->heat,
                'beta_s_m' => $beyond->vapour,
            ]);
    }
}

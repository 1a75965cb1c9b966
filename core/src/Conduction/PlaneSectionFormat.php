<?php

declare(strict_types=1);

namespace Apron\Conduction;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;

/** A section in the project file: under `plane_sections`. */
final class PlaneSectionFormat
{
    private const MOST_BLOCKS = 200;

    private const MOST_AIRS = 20;

    private const MOST_POINTS = 200;

    /** mm, either way from the origin of the drawing */
    private const FARTHEST = 100_000.0;

    /** mm; nothing that is drawn is thinner */
    private const THINNEST = 0.01;

    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials): PlaneSection
    {
        $node->object(['id', 'title', 'rects', 'airs', 'points', 'flanking', 'assembly'], ['id', 'rects', 'airs']);
        $blocks = array_map(
            fn (Node $row): Block => self::block($row, $materials),
            $node->get('rects')->items(1, self::MOST_BLOCKS),
        );
        $airs = [];
        foreach ($node->get('airs')->items(1, self::MOST_AIRS) as $row) {
            $air = self::air($row);
            $touching = array_filter($blocks, fn (Block $block): bool => $block->rect->touches($air->rect));
            if ($touching === []) {
                $row->get('rect')->refuse('a rectangle that touches material, along an edge and not at a corner alone');
            }
            $airs[] = $air;
        }
        if ($blocks === [] || $airs === []) {
            throw new \LogicException('a list of at least one is empty');
        }
        $id = $node->get('id')->id();

        return new PlaneSection(
            $id,
            $node->optional('title')?->text() ?? $id,
            $blocks,
            $airs,
            array_map(
                fn (Node $point): array => self::point($point, $blocks),
                $node->optional('points')?->items(0, self::MOST_POINTS) ?? [],
            ),
            array_map(self::flanking(...), $node->optional('flanking')?->items(0, self::MOST_AIRS) ?? []),
            $node->optional('assembly')?->id(),
        );
    }

    /** @return array<string, mixed> */
    public static function write(PlaneSection $section): array
    {
        return Written::without([
            'id' => $section->id,
            'title' => $section->title === $section->id ? null : $section->title,
            'rects' => array_map(fn (Block $block): array => ['rect' => $block->rect->toArray()] + (
                $block->material === null
                    ? ['conductivity_w_mk' => $block->conductivity]
                    : ['material' => $block->material->id]
            ), $section->blocks),
            'airs' => array_map(fn (AirBeside $air): array => [
                'rect' => $air->rect->toArray(),
                'temperature_c' => $air->temperature,
                'rs_m2k_w' => $air->resistance,
                'inside' => $air->isInside,
            ], $section->airs),
            'points' => $section->points,
            'flanking' => array_map(
                fn (Flanking $part): array => ['u_w_m2k' => $part->u, 'length_mm' => $part->lengthMm],
                $section->flanking,
            ),
            'assembly' => $section->assembly,
        ]);
    }

    private static function block(Node $node, Materials $materials): Block
    {
        $node->object(['rect', 'conductivity_w_mk', 'material'], ['rect']);
        $rect = self::rect($node->get('rect'));
        if ($node->has('material') === $node->has('conductivity_w_mk')) {
            $node->refuse('either conductivity_w_mk or the material that fills it');
        }
        if ($node->has('conductivity_w_mk')) {
            return new Block($rect, $node->get('conductivity_w_mk')->positive(1000, 'W/(m·K)', 0.001));
        }
        $material = $materials->named($node->get('material'));

        return new Block(
            $rect,
            $material->conductivity ?? $node->get('material')->refuse(
                'a material with a conductivity, or conductivity_w_mk in its place: '.
                    'a fixed resistance holds for one thickness and one direction',
            ),
            $material,
        );
    }

    private static function air(Node $node): AirBeside
    {
        $node->object(['rect', 'temperature_c', 'rs_m2k_w', 'inside'], ['rect', 'temperature_c', 'rs_m2k_w']);

        return new AirBeside(
            self::rect($node->get('rect')),
            $node->get('temperature_c')->between(-80, 200, '°C'),
            $node->get('rs_m2k_w')->between(0, 10, 'm²K/W'),
            $node->optional('inside')?->boolean() ?? false,
        );
    }

    private static function flanking(Node $node): Flanking
    {
        $node->object(['u_w_m2k', 'length_mm'], ['u_w_m2k', 'length_mm']);

        return new Flanking(
            $node->get('u_w_m2k')->positive(100, 'W/(m²K)', 1e-4),
            $node->get('length_mm')->positive(self::FARTHEST, 'mm', self::THINNEST),
        );
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @return array{float, float}
     */
    private static function point(Node $node, array $blocks): array
    {
        [$x, $y] = $node->numbers(2);
        foreach ($blocks as $block) {
            if ($block->rect->holds($x, $y)) {
                return [$x, $y];
            }
        }
        $node->refuse('a point in or on material, [x, y] in mm', "[$x, $y]");
    }

    private static function rect(Node $node): Rect
    {
        $rect = new Rect(...$node->numbers(4));
        foreach ($rect->toArray() as $at) {
            if (abs($at) > self::FARTHEST) {
                $node->refuse('places within 100 m of the origin, in mm');
            }
        }
        if ($rect->x1 - $rect->x0 < self::THINNEST || $rect->y1 - $rect->y0 < self::THINNEST) {
            $node->refuse('a rectangle [x0, y0, x1, y1] in mm, with x1 above x0 and y1 above y0 by at least 0.01 mm');
        }

        return $rect;
    }
}

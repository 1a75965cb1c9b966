<?php

declare(strict_types=1);

use Apron\Conduction\AirBeside;
use Apron\Conduction\Block;
use Apron\Conduction\Made\Stack;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\Rect;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;

/** @param  array{float, float, float, float}  $rect */
function block(array $rect, float $conductivity): Block
{
    return new Block(new Rect(...$rect), $conductivity);
}

/** @param  array{float, float, float, float}  $rect */
function air(array $rect, float $temperature, float $resistance, bool $inside = false): AirBeside
{
    return new AirBeside(new Rect(...$rect), $temperature, $resistance, $inside);
}

/**
 * A wall lying down, inside below: layers of a width, one on the other.
 *
 * @param  list<array{float, float}>  $layers  mm and W/(m·K), from the inside
 * @param  list<Block>  $more  over them
 */
function wallOf(float $wide, array $layers, array $more = [], float $in = 0.13, float $out = 0.04): PlaneSection
{
    [$blocks, $y] = [[], 0.0];
    foreach ($layers as [$thick, $conductivity]) {
        $blocks[] = block([0, $y, $wide, $y + $thick], $conductivity);
        $y += $thick;
    }

    return new PlaneSection('s', 's', [...$blocks, ...$more], [
        air([0, -50, $wide, 0], 20, $in, true),
        air([0, $y, $wide, $y + 50], 0, $out),
    ]);
}

/** A wall of the demo: w1 of timber, w2 on steel studs, both with their insulation outside. */
function stackOf(string $id): Stack
{
    $demo = (string) file_get_contents(dirname(__DIR__, 3).'/database/demo/project.json');
    foreach (ProjectFormat::parse($demo, new Catalogue)->assemblies as $assembly) {
        if ($assembly->id === $id) {
            return new Stack($assembly);
        }
    }
    throw new LogicException("no $id");
}

<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;
use Apron\Assembly\Layer;
use Apron\Assembly\Ply;
use Apron\Material\Families;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;
use Apron\Rules\Source;

/** Films and coats that slow vapour on the room’s side of the insulation. */
final class Films
{
    /** @return array<int, Layer> tight ones inside of the outermost insulation, by number, the tightest first */
    public static function inside(Trial $trial, Assembly $assembly): array
    {
        $figures = RuleFigures::of('cures');
        $outermost = (new Spots($assembly))->outermostInsulation ?? count($assembly->layers);
        $most = RuleFigures::of('practice')->permeance('retarder');
        $films = [];
        foreach (array_slice($assembly->layers, 0, $outermost, true) as $at => $layer) {
            $sheet = $layer->material->vapourResistanceFactor === null && $layer->airLayer() === null;
            if (
                $sheet &&
                count($assembly->layers) > 1 &&
                $layer->permeance() <= $most &&
                in_array($layer->material->family?->id, $figures->list('tight_films'), true)
            ) {
                $films[$at] = $layer;
            }
        }
        uasort($films, fn (Layer $a, Layer $b): int => $b->sd() <=> $a->sd());

        return $films;
    }

    /** Whether anything inside of a layer is a retarder already. */
    public static function tightInside(Assembly $assembly, int $at): bool
    {
        $inner = array_filter($assembly->plies(), fn (Ply $ply): bool => $ply->at < $at);
        $tightest = Ply::tightest(array_values($inner));

        return $tightest !== null && $tightest->permeance() <= RuleFigures::of('practice')->permeance('retarder');
    }

    /** A film of so many ng/(Pa·s·m²) that nobody sells, for a curve. */
    public static function of(float $permeance): Material
    {
        return new Material(
            id: 'retarder',
            name: 'retarder',
            family: Families::all()['smart-film'],
            conductivity: null,
            resistance: 0.0005,
            vapourResistanceFactor: null,
            sd: null,
            permeance: $permeance,
            wetCup: null,
            permeanceCurve: null,
            conductivityCurve: null,
            density: null,
            specificHeat: null,
            sorptionCurve: null,
            freeSaturation: null,
            waterAbsorption: null,
            safeStore: null,
            airPermeance: null,
            shedsWater: null,
            backFamily: null,
            adhesive: null,
            usualThicknessMm: 0.2,
            source: Source::computed('a permeance tried'),
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Assembly\Layer;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Films;
use Apron\Cure\Series;
use Apron\Cure\Spots;
use Apron\Cure\Step;
use Apron\Cure\Trial;
use Apron\Material\Material;
use Apron\Material\Role;
use Apron\Rules\RuleFigures;

/**
 * A retarder on the room’s side where there is none: behind the lining, on the deck under the insulation, or as a paint
 * on the innermost face. Never inside of a cooled room, where the vapour comes from the other side.
 */
final class RetarderInside implements Change
{
    /** ng/(Pa·s·m²) between which the curve is drawn */
    private const RANGE = [0.5, 10000.0];

    public function series(Trial $trial, Assembly $assembly): array
    {
        $spots = new Spots($assembly);
        $at = $spots->insulation;
        if ($trial->fromOutdoors() || $at === count($assembly->layers) || Films::tightInside($assembly, $at)) {
            return [];
        }
        $lining = $at === 0 ? null : $assembly->layers[$at - 1] ?? null;
        if ($lining === null) {
            return [];
        }
        $lined = self::lines($lining) && $lining->thicknessMm <= RuleFigures::of('cures')->figure('lining_mm_most');
        // Behind a board the film is fastened and taped to the studs; on a deck it is bonded.
        [$list, $words] = $lined ? ['films_behind_lining', ''] : ['films_on_deck', 'deck'];
        $series = [self::of($trial, $assembly, $at, $words, $trial->materials($list))];

        return $lined && ($at === 1 || $assembly->layers[0]->material->role() === Role::Retarder)
            ? [...$series, self::of($trial, $assembly, 0, 'paint', $trial->materials('paints'))]
            : $series;
    }

    private static function lines(Layer $layer): bool
    {
        return RuleFigures::of('cures')->lists('linings', $layer->material->family?->id);
    }

    /** @param  list<Material>  $films */
    private static function of(Trial $trial, Assembly $assembly, int $at, string $words, array $films): Series
    {
        $with = fn (Material $film): Assembly => Trial::with($assembly, $at, $film);
        $steps = array_map(
            fn (Material $film): Step => new Step(
                $with($film),
                Material::permeanceOfSd($film->sdOf($film->usualThicknessMm ?? 1.0)),
                ['material' => $film->name],
            ),
            $films,
        );

        return new Series(
            CureKind::Retarder,
            $words,
            '',
            $steps === [] ? throw new \LogicException('no retarder is known') : $steps,
            null,
            fn (float $permeance): Assembly => $with(Films::of($permeance)),
            self::RANGE,
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Films;
use Apron\Cure\Series;
use Apron\Cure\Step;
use Apron\Cure\Trial;

/** A film that opens when it is damp in the place of a tight one behind the lining. */
final class SmartFilmInstead implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        $series = [];
        foreach (Films::inside($trial, $assembly) as $at => $film) {
            $steps = [];
            foreach ($at === 0 ? [] : $trial->materials('smart_films') as $smart) {
                $steps[] = new Step(
                    $assembly->withLayer($at, $film->changed($smart, $smart->usualThicknessMm)),
                    null,
                    ['layer' => $film->material->name, 'material' => $smart->name],
                );
            }
            if ($steps !== []) {
                $series[] = new Series(CureKind::SmartFilm, '', $film->id, $steps);
            }
        }

        return $series;
    }
}

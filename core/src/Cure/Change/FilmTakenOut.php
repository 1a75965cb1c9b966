<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Assembly\Layer;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Films;
use Apron\Cure\Series;
use Apron\Cure\Step;
use Apron\Cure\Trial;

/** A film on the room’s side left out: what it carried of the control layers the lining beside it then has to carry. */
final class FilmTakenOut implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        $series = [];
        foreach (Films::inside($trial, $assembly) as $at => $film) {
            $layers = $assembly->layers;
            $beside = $at > 0 ? $at - 1 : 1;
            $layers[$beside] = self::carrying($layers[$beside], $film);
            $heir = $layers[$beside];
            unset($layers[$at]);
            $series[] = new Series(CureKind::TakeOut, $film->controls === [] ? '' : 'handed-on', $film->id, [
                new Step($assembly->withLayers(array_values($layers)), null, [
                    'layer' => $film->material->name,
                    'heir' => $heir->material->name,
                ]),
            ]);
        }

        return $series;
    }

    private static function carrying(Layer $layer, Layer $film): Layer
    {
        return $layer->carrying(array_values(array_unique([...$layer->controls, ...$film->controls], SORT_REGULAR)));
    }
}

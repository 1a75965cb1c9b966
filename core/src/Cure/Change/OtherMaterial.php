<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Exchange;
use Apron\Cure\Keeps;
use Apron\Cure\Series;
use Apron\Cure\Spots;
use Apron\Cure\Step;
use Apron\Cure\Trial;

/** Another material in the place of one, where the trade exchanges them: by what it is and where it lies. */
final class OtherMaterial implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        $spots = new Spots($assembly);
        $series = [];
        foreach ($assembly->reckonedLayers() as $at => $layer) {
            foreach (Exchange::all() as $exchange) {
                $steps = [];
                foreach ($exchange->fits($assembly, $spots, $at) ? $trial->named($exchange->to) : [] as $other) {
                    $mm = $exchange->thickness($layer, $other, $trial->sold());
                    if ($other->id !== $layer->material->id && $mm !== null) {
                        $steps[] = new Step($assembly->withLayer($at, $layer->changed($other, $mm)), null, [
                            'layer' => $layer->material->name,
                            'material' => $other->name,
                            'to_mm' => $mm,
                        ]);
                    }
                }
                if ($steps !== []) {
                    $series[] = new Series(
                        CureKind::Material,
                        $exchange->keeps === Keeps::Resistance ? 'thick' : '',
                        $layer->id,
                        $steps,
                    );
                }
            }
        }

        return $series;
    }
}

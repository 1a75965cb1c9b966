<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Series;
use Apron\Cure\Spots;
use Apron\Cure\Step;
use Apron\Cure\Trial;

/** More of the insulation that stands in front of the structure: the outermost board, in the next size that is sold. */
final class ThickerInsulation implements Change
{
    /** mm beyond what is there that a curve goes on */
    private const FARTHER = 400.0;

    public function series(Trial $trial, Assembly $assembly): array
    {
        $spots = new Spots($assembly);
        foreach (array_reverse(array_keys($assembly->reckonedLayers())) as $at) {
            if ($spots->isBoard($at)) {
                return self::of($trial, $assembly, $at);
            }
        }

        return [];
    }

    /** @return list<Series> */
    private static function of(Trial $trial, Assembly $assembly, int $at): array
    {
        $layer = $assembly->layers[$at];
        $from = $layer->thicknessMm;
        $with = fn (float $mm): Assembly => $assembly->withLayer($at, $layer->changed(thicknessMm: $mm));
        $steps = [];
        foreach ($trial->sold() as $mm) {
            if ($mm > $from) {
                $steps[] = new Step($with($mm), $mm, [
                    'layer' => $layer->material->name,
                    'from_mm' => $from,
                    'to_mm' => $mm,
                    'r_m2k_w' => $layer->material->resistanceOf($mm),
                ]);
            }
        }

        return $steps === []
            ? []
            : [
                new Series(CureKind::Thickness, '', $layer->id, $steps, $from, $with, [
                    max(5.0, $from * 0.2),
                    $from + self::FARTHER,
                ]),
            ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Series;
use Apron\Cure\Step;
use Apron\Cure\Trial;
use Apron\Material\Role;
use Apron\Rules\RuleFigures;

/** The outer part of a cavity as closed foam against the sheathing, the rest still filled. */
final class FoamInCavity implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        foreach ($assembly->reckonedLayers() as $at => $layer) {
            $outer = $assembly->layers[$at + 1] ?? null;
            $cavity = $layer->insulates() && $layer->letsAirThrough() && $layer->material->role() === Role::Cavity;
            if ($cavity && $outer !== null && $outer->airLayer() === null) {
                return self::of($trial, $assembly, $at);
            }
        }

        return [];
    }

    /** @return list<Series> */
    private static function of(Trial $trial, Assembly $assembly, int $at): array
    {
        $layer = $assembly->layers[$at];
        $most = RuleFigures::of('cures')->figure('foam_share_most') * $layer->thicknessMm;
        $series = [];
        foreach ($trial->materials('cavity_foams') as $foam) {
            $with = function (float $mm) use ($assembly, $at, $layer, $foam): Assembly {
                $kept = $assembly->withLayer($at, $layer->changed(thicknessMm: $layer->thicknessMm - $mm));
                $foamed = Trial::with($kept, $at + 1, $foam, $mm);

                return $foamed->withLayer($at + 1, $foamed->layers[$at + 1]->framedWith($layer->framing));
            };
            $steps = [];
            foreach ($trial->sold() as $mm) {
                if ($mm <= $most) {
                    $steps[] = new Step($with($mm), $mm, [
                        'material' => $foam->name,
                        'layer' => $layer->material->name,
                        'to_mm' => $mm,
                        'r_m2k_w' => $foam->resistanceOf($mm),
                    ]);
                }
            }
            if ($steps !== []) {
                $series[] = new Series(CureKind::CavityFoam, '', $layer->id, $steps, null, $with, [5.0, $most]);
            }
        }

        return $series;
    }
}

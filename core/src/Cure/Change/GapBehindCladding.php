<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\AirLayer;
use Apron\Assembly\Assembly;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Series;
use Apron\Cure\Step;
use Apron\Cure\Trial;
use Apron\Judgement\Cladding;
use Apron\Rules\RuleFigures;

/** A gap behind the cladding: a mat that drains, or battens with air that moves. */
final class GapBehindCladding implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        $cladding = Cladding::of($assembly);
        if ($cladding === null || $assembly->ventilatedAt() !== null || Cladding::solid($cladding->layer)) {
            return [];
        }
        $name = ['layer' => $cladding->layer->material->name];
        $series = [];
        $mats = $cladding->drained ? [] : $trial->materials('mat');
        foreach ($mats as $mat) {
            $series[] = new Series(CureKind::Gap, 'mat', '', [
                new Step(Trial::with($assembly, $cladding->at, $mat), null, $name + ['material' => $mat->name]),
            ]);
        }
        $air = $trial->named(['air-layer'])[0] ?? null;
        $mm = RuleFigures::of('cures')->figure('gap_mm');
        if ($air !== null) {
            $series[] = new Series(CureKind::Gap, '', '', [
                new Step(
                    Trial::with($assembly, $cladding->at, $air, $mm, AirLayer::Ventilated),
                    $mm,
                    $name + ['to_mm' => $mm],
                ),
            ]);
        }

        return $series;
    }
}

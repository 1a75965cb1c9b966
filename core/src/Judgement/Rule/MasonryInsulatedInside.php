<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Cladding;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** Solid masonry in the weather, insulated inside, where it freezes: it is colder and wetter than it has ever been. */
final class MasonryInsulatedInside implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$cladding, $climate] = [$assessed->cladding, $assessed->climate];
        if ($cladding === null || $climate === null || ! $cladding->reservoir || ! Cladding::solid($cladding->layer)) {
            return [];
        }
        $inside = 0.0;
        foreach ($assessed->assembly->reckonedLayers() as $i => $layer) {
            $inside += $i < $cladding->at && $layer->insulates() ? $assessed->heat->layers[$i] : 0.0;
        }
        $rules = RuleFigures::of('practice');
        $coldest = $climate->months[$climate->coldest()]->celsius;
        if ($inside < $rules->figure('masonry_inside_r_m2k_w') || $coldest >= 0) {
            return [];
        }

        return [
            new Finding(
                'practice.masonry-inside',
                Severity::Caution,
                $assessed->subject($cladding->layer),
                ['layer' => $cladding->layer->material->name, 'inside_m2k_w' => $inside, 'outdoor_c' => $coldest],
                $rules->source('masonry_inside_r_m2k_w'),
            ),
        ];
    }
}

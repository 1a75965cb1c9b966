<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** Closed foam outside of the sheathing, where the project’s school asks for something beside it or instead. */
final class ClosedFoam implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('practice');
        $school = $assessed->schools['closed-foam'] ?? 'alone';
        $plane = $assessed->airPath->interface;
        $layers = $assessed->assembly->reckonedLayers();
        $outside = $plane === null ? [] : array_slice($layers, $plane, null, true);
        $tight = $rules->permeance('retarder');
        $foam =
            array_values(
                array_filter(
                    $outside,
                    fn (Layer $layer, int $at): bool => $layer->insulates() &&
                        $assessed->assembly->whole($at)->permeance() <= $tight,
                    ARRAY_FILTER_USE_BOTH,
                ),
            )[0] ?? null;
        if ($school === 'alone' || $foam === null) {
            return [];
        }
        $smart = array_filter(
            array_slice($layers, 0, $plane),
            fn (Layer $l): bool => $l->material->family?->smart === true,
        );
        if ($school === 'smart-inside' && $smart !== []) {
            return [];
        }

        return [
            new Finding(
                "practice.closed-foam-$school",
                Severity::Note,
                $assessed->subject($foam),
                ['layer' => $foam->material->name, 'permeance_ng_pa_s_m2' => $foam->permeance()],
                Source::commonPractice('school of the project'),
            ),
        ];
    }
}

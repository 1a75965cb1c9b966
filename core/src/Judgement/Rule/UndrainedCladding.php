<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Climate\Month;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Cladding;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** A cladding that lies against what water harms with no gap or mat to drain it: one that soaks, or a sealed face. */
final class UndrainedCladding implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $cladding = $assessed->cladding;
        $bonded = $cladding?->layer->material->family?->bondedFinish === true;
        if (
            $cladding === null ||
            $cladding->harmed === null ||
            $cladding->drained ||
            Cladding::solid($cladding->layer) ||
            (! $cladding->reservoir && ! $bonded)
        ) {
            return [];
        }
        $rules = RuleFigures::of('practice');
        $rains = array_map(fn (Month $month): ?float => $month->rain, $assessed->climate->months ?? []);
        $rain = $rains === [] || in_array(null, $rains, true) ? null : array_sum($rains);
        $dry = $rain !== null && $rain < $rules->figure('undrained_rain_mm');
        $figures = [
            'cladding' => $cladding->layer->material->name,
            'behind' => $cladding->harmed->material->name,
            'planes' => $cladding->planes,
        ];

        return [
            new Finding(
                match (true) {
                    ! $cladding->reservoir => 'practice.face-sealed',
                    $cladding->planes > 1 => 'practice.reservoir-undrained-two',
                    default => 'practice.reservoir-undrained',
                },
                $dry ? Severity::Note : Severity::Caution,
                $assessed->subject($cladding->layer),
                $figures,
                Source::commonPractice('common practice: a gap or mat behind stucco, stone and finishes on foam'),
            ),
        ];
    }
}

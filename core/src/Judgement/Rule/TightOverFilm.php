<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Material\VapourClass;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** Vapour-tight insulation outside and a film inside: what is between can go neither way. */
final class TightOverFilm implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('practice');
        $plane = $assessed->airPath->interface;
        $layers = $assessed->assembly->reckonedLayers();
        if ($plane === null) {
            return [];
        }
        $film = Layer::tightest(array_slice($layers, 0, $plane));
        foreach (array_slice($layers, $plane) as $layer) {
            if (
                $layer->insulates() &&
                $layer->permeance() <= $rules->permeance('retarder') &&
                $film !== null &&
                $film->vapourClass() === VapourClass::I
            ) {
                return [
                    new Finding(
                        'practice.tight-outside-over-film',
                        Severity::Caution,
                        $assessed->subject($layer),
                        [
                            'layer' => $layer->material->name,
                            'film' => $film->material->name,
                            'permeance_ng_pa_s_m2' => $layer->permeance(),
                            'film_ng_pa_s_m2' => $film->permeance(),
                        ],
                        Source::commonPractice('common practice: one vapour control layer, not two'),
                    ),
                ];
            }
        }

        return [];
    }
}

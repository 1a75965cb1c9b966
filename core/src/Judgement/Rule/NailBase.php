<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** Which of foam board and sheathing lies outside, where the project has settled that. */
final class NailBase implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $school = $assessed->schools['nail-base'] ?? 'by-case';
        $foam = $board = null;
        foreach (
            $school === 'by-case' || $assessed->assembly->kind !== AssemblyKind::Wall
                ? []
                : $assessed->assembly->reckonedLayers() as $i => $layer
        ) {
            $foam = $layer->insulates() && $layer->material->family?->foamBoard === true ? $i : $foam;
            $board = $layer->material->family?->nailBase === true && $layer->framing === null ? $i : $board;
        }
        if ($foam === null || $board === null || ($school === 'foam-outside') === $foam > $board) {
            return [];
        }
        $layers = $assessed->assembly->layers;

        return [
            new Finding(
                "practice.nail-base-$school",
                Severity::Note,
                $assessed->subject($layers[$board]),
                ['board' => $layers[$board]->material->name, 'foam' => $layers[$foam]->material->name],
                Source::commonPractice('school of the project'),
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Ply;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Cladding;
use Apron\Judgement\Rule;
use Apron\Material\VapourClass;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/**
 * Wool, and the wood it stands between, against a wall in the ground: the wall is damp from behind for good, and a film
 * inside keeps that in.
 */
final class WoolBelowGrade implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $wool = $wall = null;
        foreach ($assessed->assembly->soil === null ? [] : $assessed->assembly->reckonedLayers() as $i => $layer) {
            $wall ??= Cladding::solid($assessed->assembly->whole($i)) ? $i : null;
            $wool = $wall === null && $layer->letsAirThrough() && $layer->airLayer() === null ? $i : $wool;
        }
        // Foam against the wall parts the two.
        if ($wool === null || $wall !== $wool + 1) {
            return [];
        }
        $inside = Ply::tightest(array_filter($assessed->plies, fn (Ply $ply): bool => $ply->at < $wool));
        $film = $inside !== null && $inside->vapourClass() === VapourClass::I;

        return [
            new Finding(
                $film ? 'practice.wool-below-grade-film' : 'practice.wool-below-grade',
                $film ? Severity::Fail : Severity::Caution,
                $assessed->subject($assessed->assembly->layers[$wool]),
                [
                    'layer' => $assessed->assembly->layers[$wool]->material->name,
                    'wall' => $assessed->assembly->layers[$wall]->material->name,
                ],
                Source::commonPractice('common practice: below grade foam against the wall, or all of it outside'),
            ),
        ];
    }
}

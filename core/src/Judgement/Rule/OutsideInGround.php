<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Cladding;
use Apron\Judgement\Rule;
use Apron\Material\Role;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** What lies between the wall, or the slab, and the soil: closed or drained boards last there, others do not. */
final class OutsideInGround implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $wall = null;
        $findings = [];
        foreach ($assessed->assembly->soil === null ? [] : $assessed->assembly->layers as $i => $layer) {
            $severity = $wall === null ? null : self::severity($layer);
            $wall ??= Cladding::solid($assessed->assembly->whole($i)) ? $layer : null;
            if ($severity !== null) {
                $findings[] = new Finding(
                    $severity === Severity::Fail ? 'practice.not-in-ground' : 'practice.ground-ask',
                    $severity,
                    $assessed->subject($layer),
                    ['layer' => $layer->material->name],
                    RuleFigures::of('practice')->source($severity === Severity::Fail ? 'ground_never' : 'ground_ask'),
                );
            }
        }

        return $findings;
    }

    private static function severity(Layer $layer): ?Severity
    {
        $practice = RuleFigures::of('practice');
        $family = $layer->material->family?->id;
        // Wool that is stiff enough to be a board drains in its outer skin; a batt is pressed flat.
        $batt = $family === 'mineral-wool' && $layer->material->role() !== Role::Board;

        return match (true) {
            $batt || $practice->lists('ground_never', $family) => Severity::Fail,
            $practice->lists('ground_ask', $family) => Severity::Caution,
            default => null,
        };
    }
}

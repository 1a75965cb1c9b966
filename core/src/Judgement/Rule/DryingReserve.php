<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Ply;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Vapour\Drying;

/**
 * What the wood in an assembly would dry in a year beyond what it gathers; and what else water harms and can dry
 * neither way. In place of a count of films: two retarders that leave a reserve are no fault.
 */
final class DryingReserve implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        if ($assessed->assembly->soil !== null) {
            return [];
        }
        $findings = [];
        foreach ($assessed->drying as $drying) {
            if ($drying->run->material()->harmedByWater()) {
                array_push($findings, ...self::of($assessed, $drying));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function of(AssemblyAssessment $assessed, Drying $drying): array
    {
        [$physics, $practice] = [RuleFigures::of('physics'), RuleFigures::of('practice')];
        [$inner, $outer] = self::around($assessed, $drying);
        if ($inner === null || $outer === null) {
            return [];
        }
        $roof = $assessed->assembly->kind === AssemblyKind::Roof;
        $name = $roof ? 'reserve_roof_g_m2' : 'reserve_wall_g_m2';
        $asked = $physics->figure($name);
        $short = 1000 * $drying->reserve < $asked;
        $between = max($inner->permeance(), $outer->permeance()) <= $practice->permeance('retarder');
        if (! $short && ! $between) {
            return [];
        }
        $wood = $drying->run->material()->family?->timber !== null;
        [$code, $severity] = match (true) {
            $wood && $short => ['drying.reserve-short', Severity::Fail],
            // A foam roof lives by being built dry and staying tight, and what is harmed in it is a cover board.
            $short && $roof => ['drying.compact-roof', Severity::Note],
            $short && $between => ['drying.shut-in', Severity::Caution],
            $short => ['', Severity::Note],
            default => ['drying.reserve', Severity::Note],
        };

        return $code === ''
            ? []
            : [
                new Finding(
                    $code,
                    $severity,
                    $assessed->subject($drying->run->layer),
                    [
                        'layer' => $drying->run->material()->name,
                        'inner' => $inner->name(),
                        'outer' => $outer->name(),
                        'inner_ng_pa_s_m2' => $inner->permeance(),
                        'outer_ng_pa_s_m2' => $outer->permeance(),
                        'reserve_g_m2' => 1000 * $drying->reserve,
                        'asked_g_m2' => $asked,
                    ],
                    $physics->source($name),
                ),
            ];
    }

    /** @return array{Ply|null, Ply|null} what is tightest inside of it and outside of it */
    private static function around(AssemblyAssessment $assessed, Drying $drying): array
    {
        [$inside, $outside, $past] = [[], [], false];
        foreach ($assessed->plies as $ply) {
            $of = $drying->run->has($ply->at) && $ply->facer === null;
            $past = $past || $of;
            if (! $of) {
                $past ? ($outside[] = $ply) : ($inside[] = $ply);
            }
        }

        return [Ply::tightest($inside), Ply::tightest($outside)];
    }
}

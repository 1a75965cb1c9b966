<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Material\Families;
use Apron\Material\VapourClass;
use Apron\Rules\Finding;
use Apron\Rules\Severity;

/** Water that concrete and screed are made with: shut in between two tight layers it stays, and lifts or rots them. */
final class BuiltInWater implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $findings = [];
        foreach ($assessed->assembly->soil === null ? $assessed->drying : [] as $drying) {
            $run = $drying->run;
            $water = (($run->material()->family->builtIn ?? 0.0) * $run->thicknessMm) / 1000;
            if ($water <= 0) {
                continue;
            }
            [$inward, $outward] = [false, false];
            foreach ($assessed->plies as $ply) {
                $tight = $ply->vapourClass() === VapourClass::I && ! $run->has($ply->at);
                $inward = $inward || ($tight && $ply->at < $run->from);
                $outward = $outward || ($tight && $ply->at > $run->to);
            }
            if (! $inward && ! $outward) {
                continue;
            }
            $shut = $inward && $outward;
            $findings[] = new Finding(
                match (true) {
                    $shut => 'drying.built-in-shut',
                    $outward => 'drying.built-in-inward',
                    default => 'drying.built-in-outward',
                },
                $shut ? Severity::Fail : Severity::Note,
                $assessed->subject($run->layer),
                [
                    'layer' => $run->material()->name,
                    'water_g_m2' => 1000 * $water,
                    'year_g_m2' => 1000 * $drying->year(),
                    'years' => $drying->year() > 0 ? (int) min(999, ceil($water / $drying->year())) : 999,
                ],
                Families::source('built_in'),
            );
        }

        return $findings;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Ply;
use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Material\VapourClass;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/**
 * The mirror of the cold plane: outdoor air whose dew point lies above what is cooled from inside wets the back of the
 * first closed layer that it meets.
 */
final class WarmAirInward implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$climate, $indoors] = [$assessed->climate, $assessed->indoors];
        $node = self::back($assessed);
        $lining = $node === null ? null : $assessed->path->inside($node);
        if ($climate === null || $indoors === null || $lining === null || $assessed->assembly->soil !== null) {
            return [];
        }
        [$most, $figures] = [0.0, []];
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            $share = $assessed->path->resistance[$node] / $assessed->path->total;
            $back = $air['celsius'] - $share * ($air['celsius'] - $outdoors->celsius);
            $dew = Air::dewPoint($outdoors->vapourPressure());
            if ($dew - $back > $most) {
                $most = $dew - $back;
                $figures = [
                    'place' => $lining->name(),
                    'month' => $m + 1,
                    'dew_point_c' => $dew,
                    'plane_c' => $back,
                    'room_c' => $air['celsius'],
                ];
            }
        }
        if ($figures === []) {
            return [];
        }
        $inside = Ply::tightest(array_filter($assessed->plies, fn (Ply $ply): bool => $ply->at <= $lining->at));
        $tight = in_array($inside?->vapourClass(), [VapourClass::I, VapourClass::II], true);

        return [
            new Finding(
                $tight ? 'practice.warm-air-on-film' : 'practice.warm-air-inward',
                $tight ? Severity::Caution : Severity::Note,
                $assessed->subject($lining->layer),
                $figures,
                Source::commonPractice('common practice: outdoor dew point in the monthly mean against cooled layers'),
            ),
        ];
    }

    /** The node at the back of the innermost closed thing that insulation which air blows through lies against. */
    private static function back(AssemblyAssessment $assessed): ?int
    {
        foreach (array_keys($assessed->path->sd) as $node) {
            $ply = $assessed->path->outside($node);
            if (
                $ply !== null &&
                $ply->facer === null &&
                $ply->layer->airLayer() === null &&
                $assessed->assembly->whole($ply->at)->letsAirThrough()
            ) {
                return $node;
            }
        }

        return null;
    }
}

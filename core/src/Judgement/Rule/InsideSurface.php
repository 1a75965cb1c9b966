<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** Whether mould finds the inside surface cold enough: the temperature factor against the least in any month. */
final class InsideSurface implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $surface = $assessed->surface;
        if ($surface === null || $surface->factor === null || $surface->leastForMould === null) {
            return [];
        }
        $figures = [
            'frsi' => $surface->factor,
            'least' => $surface->leastForMould,
            'month' => (int) $surface->criticalMonth + 1,
        ];
        if ($surface->leastForMould >= 1) {
            // No wall is warmer than its room: where the room itself is that damp, insulation is no cure.
            return [
                new Finding(
                    'surface.room-damp',
                    Severity::Caution,
                    $assessed->subject(),
                    $figures,
                    Source::published('ISO 13788:2012, clause 5'),
                ),
            ];
        }
        $between = $surface->factor < $surface->leastForMould;
        $at = $surface->atBridge;
        $mould = $between || ($at !== null && $at < $surface->leastForMould);

        return [
            new Finding(
                match (true) {
                    $between => 'surface.mould',
                    $mould => 'surface.mould-at-bridge',
                    $at !== null => 'surface.no-mould-at-bridge',
                    default => 'surface.no-mould',
                },
                $mould ? Severity::Fail : Severity::Pass,
                $assessed->subject(),
                $figures + ($at === null ? [] : ['at_bridge' => $at]),
                Source::published('ISO 13788:2012, clause 5'),
            ),
        ];
    }
}

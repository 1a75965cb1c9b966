<?php

namespace Apron\Trace;

use Apron\Detail\Detail;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Severity;

/** A detail as it stands when work stops after a step: what a shower tonight would do to it. */
final class HalfBuilt
{
    /** Only what has come to rest by the end of a step; the unit's joints only once it is in. */
    public static function after(Detail $detail, int $step): Detail
    {
        $pieces = [];
        foreach ($detail->pieces as $piece) {
            $patches = array_values(array_filter($piece->patches, fn (Patch $patch): bool => $patch->step <= $step));
            if ($patches !== []) {
                $pieces[] = new Piece($piece->id, $piece->material, $piece->kind, $piece->role, $piece->air, $piece->airLayer, $piece->step, $piece->under, $piece->edges, $patches, $piece->cut);
            }
        }
        $ids = array_map(fn (Piece $piece): string => $piece->id, $pieces);
        $unit = $detail->unit !== null && ($detail->unit->flange === null || in_array($detail->unit->flange, $ids, true)) ? $detail->unit : null;

        return new Detail(
            $detail->id, $detail->title, $detail->opening, $detail->facets, $detail->folds, $detail->release, $detail->tolerant, $unit, $pieces,
            $detail->penetrations, $detail->fasteners, $detail->framing, $detail->leastLaps, $detail->panUpturn, $detail->steps, null,
        );
    }

    /**
     * The strips at each step, and whether the wall may be left so: nothing is wet or trapped.
     *
     * @return list<array{step: int, worst: Outcome, safe: bool, wets: list<string>, strips: list<StripResult>}>
     */
    public static function eachStep(Detail $detail): array
    {
        $steps = [];
        foreach ($detail->pieces as $piece) {
            foreach ($piece->patches as $patch) {
                $steps[$patch->step] = true;
            }
        }
        foreach ($detail->steps as $step) {
            $steps[$step->number] = true;
        }
        ksort($steps);
        $states = [];
        foreach (array_keys($steps) as $step) {
            $strips = Releases::of(new Rain(new Layout(self::after($detail, $step))));
            [$worst, $wets, $safe] = [Outcome::Shed, [], true];
            foreach ($strips as $strip) {
                $worst = $worst->worse($strip->outcome);
                $safe = $safe && $strip->severity !== Severity::Fail;
                if ($strip->outcome->harms()) {
                    $wets[$strip->told()->route[count($strip->told()->route) - 1][0]] = true;
                }
            }
            $states[] = ['step' => $step, 'worst' => $worst, 'safe' => $safe, 'wets' => array_map(strval(...), array_keys($wets)), 'strips' => $strips];
        }

        return $states;
    }
}

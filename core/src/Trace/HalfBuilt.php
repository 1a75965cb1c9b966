<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Budget\Deadline;
use Apron\Detail\Detail;
use Apron\Detail\Edges;
use Apron\Detail\Layout;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

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
                $pieces[] = $piece->withPatches($patches);
            }
        }
        $ids = array_map(fn (Piece $piece): string => $piece->id, $pieces);
        $in =
            $detail->unit?->flange === null
                ? $step >= self::unitSet($detail)
                : in_array($detail->unit->flange, $ids, true);
        $built = $detail->withPieces($pieces);

        return $in ? $built : $built->withoutUnit();
    }

    /**
     * The step that sets a unit without flange, which no piece tells of; from the first on where none of the steps says
     * so.
     */
    private static function unitSet(Detail $detail): int
    {
        foreach ($detail->steps as $step) {
            if (in_array($step->does, RuleFigures::of('order')->list('sets_unit'), true)) {
                return $step->number;
            }
        }

        return 0;
    }

    /**
     * The strips at each step, and whether the wall may be left so: nothing is wet or trapped. Where it may not, the
     * sheet to hang over it for the night: traced, and null where none on the face would keep it dry.
     *
     * @return list<array{step: int, worst: Outcome, safe: bool, wets: list<string>, strips: list<StripResult>,
     *   cover: Rect|null}>
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
            Deadline::check();
            $built = self::after($detail, $step);
            $strips = Releases::of(new Rain(new Layout($built)));
            [$worst, $wets, $safe] = [Outcome::Shed, [], true];
            foreach ($strips as $strip) {
                $worst = $worst->worse($strip->outcome);
                $safe = $safe && $strip->severity !== Severity::Fail;
                if ($strip->outcome->harms()) {
                    $wets[$strip->told()->worstAt()[0]] = true;
                }
            }
            $states[] = [
                'step' => $step,
                'worst' => $worst,
                'safe' => $safe,
                'wets' => array_map(strval(...), array_keys($wets)),
                'strips' => $strips,
                'cover' => $safe ? null : self::cover($built, $strips),
            ];
        }

        return $states;
    }

    /**
     * The smallest sheet of a few tried, from the top of the face down: over what gets wet, or over all of it.
     *
     * @param  list<StripResult>  $strips
     */
    private static function cover(Detail $built, array $strips): ?Rect
    {
        $root = $built->opening !== null ? 'face' : $built->release ?? (string) array_key_first($built->facets);
        $extent = $built->facets[$root]->extent;
        [$u0, $u1, $v0] = [$extent->u1, $extent->u0, $extent->v1];
        foreach ($strips as $strip) {
            if ($strip->severity === Severity::Fail) {
                [$facet, , $v] = $strip->told()->worstAt();
                [$from, $to] =
                    $strip->facet === $root ? [$strip->u0, $strip->u1] : [0.0, $built->opening->width ?? $extent->u1];
                [$u0, $u1, $v0] = [
                    min($u0, $from),
                    max($u1, $to),
                    min($v0, $facet === $root ? $v : ($built->opening === null ? $extent->v0 : 0.0)),
                ];
            }
        }
        if ($built->pieces === []) {
            return $extent;
        }
        $past = RuleFigures::of('checks')->figure('cover_past_mm');
        $small = new Rect(
            max($extent->u0, $u0 - $past),
            max($extent->v0, $v0 - $past),
            min($extent->u1, $u1 + $past),
            $extent->v1,
        );
        foreach ($small == $extent ? [$extent] : [$small, $extent] as $sheet) {
            // Once a board hides the sheathing the sheet is hung from the top of both.
            $over = ($built->opening->outerBoard ?? 0.0) > 0 ? ['outer-face' => $sheet] : [];
            if (self::dryUnder($built, [$root => $sheet] + $over)) {
                return $sheet;
            }
        }
        // Over the arrises as well, down over every facet the water passes.
        $hung = [$root => $extent];
        for ($i = 0; $i < count($built->folds); $i++) {
            foreach ($built->folds as $fold) {
                if (isset($hung[$fold->from])) {
                    $to = $built->facets[$fold->to]->extent;
                    $hung[$fold->to] = new Rect($to->u0, $to->v0, $to->u1, $fold->atV);
                }
            }
        }

        return count($hung) > 1 && self::dryUnder($built, $hung) ? $extent : null;
    }

    /** @param  non-empty-array<string, Rect>  $sheets  by facet */
    private static function dryUnder(Detail $built, array $sheets): bool
    {
        $last =
            max([
                0,
                ...array_map(
                    fn (Patch $q): int => $q->step,
                    array_merge(...array_map(fn (Piece $p): array => $p->patches, $built->pieces)),
                ),
            ]) + 1;
        $hung = new Piece(
            'cover',
            ($built->pieces[0] ?? null)->material ?? throw new \LogicException('a wall with nothing on it'),
            PieceKind::Sheet,
            null,
            false,
            false,
            $last,
            null,
            new Edges,
            array_map(
                fn (string $facet): Patch => new Patch(
                    "cover.$facet",
                    $facet,
                    $sheets[$facet],
                    ['cover'],
                    $last,
                    null,
                    new Edges,
                    false,
                ),
                array_keys($sheets),
            ),
            null,
        );
        $covered = $built->withPieces([...$built->pieces, $hung]);
        // What runs down the outside of the sheet comes by every interval below it: the top alone is asked.
        Deadline::check();
        foreach (Releases::of(new Rain(new Layout($covered)), false) as $strip) {
            if ($strip->severity === Severity::Fail) {
                return false;
            }
        }

        return true;
    }
}

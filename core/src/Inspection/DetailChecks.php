<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Detail\Detail;
use Apron\Detail\Layout;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Rules\RuleFigures;
use Apron\Trace\Check\Laps;
use Apron\Trace\Lap;
use Apron\Trace\Rain;

/**
 * What is checked of a detail, of whatever kind: the parts of an opening, the laps of a junction, the film of every
 * coat, and the looks that each sort of piece calls for. Drawn sizes come from the patches.
 */
final class DetailChecks
{
    /** @var array<string, string> the look that pieces of a kind call for, once in each step that lays some */
    private const LOOKS = [
        'tape' => 'tape-pressed',
        'sealant' => 'bead-whole',
        'metal' => 'metal-drip',
        'fluid' => 'coat-whole',
        'board' => 'boards-tight',
    ];

    /** @var array<string, string> those that only a junction is looked at for: an opening has its own measures */
    private const AT_A_JUNCTION = [
        'sheet' => 'sheet-fastened',
        'membrane' => 'membrane-rolled',
        'formable' => 'membrane-rolled',
        'corner' => 'membrane-rolled',
    ];

    /** @return list<Check> in the order of the steps */
    public static function of(Detail $detail): array
    {
        $checks = [
            ...OpeningChecks::of($detail),
            ...$detail->opening === null ? self::laps($detail) : [],
            ...self::penetrations($detail),
            ...self::temporary($detail),
            ...self::films($detail),
            ...self::looks($detail),
        ];
        usort($checks, fn (Check $a, Check $b): int => $a->step <=> $b->step);

        return $checks;
    }

    /** @return list<Check> the least lap of each two pieces that the detail asks one of */
    private static function laps(Detail $detail): array
    {
        $rain = new Rain(new Layout($detail));
        $least = [];
        foreach (Laps::of($rain)->laps as $lap) {
            $id = "$detail->id.lap.$lap->outer-$lap->inner";
            if ($lap->least !== null && $lap->least > 0 && $lap->size < ($least[$id]->size ?? INF)) {
                $least[$id] = $lap;
            }
        }
        $checks = [];
        foreach ($least as $id => $lap) {
            $checks[] = new Check(
                $id,
                $detail->id,
                'lap',
                "$lap->outer-$lap->inner",
                $lap->step,
                $lap->size,
                Bounds::atLeast($lap->least ?? 0.0),
                self::measured($rain->layout, $lap),
                ['outer' => $lap->outer, 'inner' => $lap->inner],
            );
        }

        return $checks;
    }

    /** Across the lap at its middle; null where it is put together of several patches. */
    private static function measured(Layout $layout, Lap $lap): ?Measured
    {
        foreach ($layout->overlaps() as $overlap) {
            $r = $overlap->rect;
            $size = $lap->horizontal ? $r->height() : $r->width();
            if (
                $overlap->facet === $lap->facet &&
                $overlap->outer->piece->id === $lap->outer &&
                $overlap->inner->piece->id === $lap->inner &&
                abs($size - $lap->size) < 0.1
            ) {
                [$u, $v] = [($r->u0 + $r->u1) / 2, ($r->v0 + $r->v1) / 2];

                return $lap->horizontal
                    ? new Measured($lap->facet, $u, $r->v0, $u, $r->v1)
                    : new Measured($lap->facet, $r->u0, $v, $r->u1, $v);
            }
        }

        return null;
    }

    /** @return list<Check> */
    private static function penetrations(Detail $detail): array
    {
        $checks = [];
        foreach ($detail->penetrations as $penetration) {
            $sealed = array_filter(
                $detail->pieces,
                fn (Piece $p): bool => in_array($p->id, $penetration->sealedTo, true),
            );
            $step = $sealed === [] ? 1 : max(array_map(fn (Piece $p): int => $p->step, $sealed));
            $checks[] = self::look($detail, 'sealed-to-pipe', $penetration->id, $step);
        }

        return $checks;
    }

    /** @return list<Check> that everything that went through for a while is out and closed, counted */
    private static function temporary(Detail $detail): array
    {
        foreach ($detail->steps as $step) {
            if (in_array($step->does, ['tie-hole-patched', 'tie-hole-coated'], true)) {
                return [
                    new Check(
                        "$detail->id.ties-closed.all",
                        $detail->id,
                        'ties-closed',
                        'all',
                        $step->number,
                        null,
                        null,
                        null,
                        $step->figures,
                    ),
                ];
            }
        }

        return [];
    }

    /** @return list<Check> the wet film of every coat, by gauge */
    private static function films(Detail $detail): array
    {
        $checks = [];
        foreach ($detail->pieces as $piece) {
            if ($piece->kind === PieceKind::Fluid) {
                $checks[] = new Check(
                    "$detail->id.film.$piece->id",
                    $detail->id,
                    'film',
                    $piece->id,
                    $piece->step,
                    null,
                    Bounds::atLeast(RuleFigures::of('coats')->figure('wet_coat_mm')),
                    null,
                    ['piece' => $piece->id],
                    true,
                );
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private static function looks(Detail $detail): array
    {
        $looks = self::LOOKS + ($detail->opening === null ? self::AT_A_JUNCTION : []);
        $checks = [];
        foreach ($detail->steps as $step) {
            $kinds = [];
            foreach ($detail->pieces as $piece) {
                foreach ($piece->patches as $patch) {
                    if ($patch->step === $step->number) {
                        $kinds[] = $piece->material->drains() ? 'mesh-open' : $looks[$piece->kind->value] ?? null;
                    }
                }
            }
            foreach (array_unique(array_filter($kinds)) as $what) {
                $checks[] = self::look($detail, $what, $step->does, $step->number);
            }
        }

        return $checks;
    }

    private static function look(Detail $detail, string $what, string $place, int $step): Check
    {
        return new Check("$detail->id.$what.$place", $detail->id, $what, $place, $step, null, null, null);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\Detail;
use Apron\Detail\Edge;
use Apron\Detail\Layout;
use Apron\Detail\Overlap;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Rules\RuleFigures;

/**
 * Every seal of a detail: where it runs, whether weather reaches it, how long it commonly lasts, and what its failure
 * wets. Each is taken out by itself and water is let go again.
 *
 * @phpstan-type Seal array{detail: string, title: string, seal: string, material: string, length_m: float,
 *   exposed: bool, life_years: float|null, lines: int|null, lines_without: int|null, outcome: string, without: string,
 *   wets: string|null}
 */
final class Seals
{
    /**
     * @return list<Seal> in the order they are made; `outcome` the worst of the detail as it is and `lines` how many
     *   edges must fail before harm, null where no failure does any; both with that seal gone; `wets` the piece or
     *   facet that is wet then and is not otherwise
     */
    public static function of(Detail $detail, School $school = new School): array
    {
        $whole = self::worst($detail, $school);
        $seals = [];
        foreach ($detail->pieces as $i => $piece) {
            if (! self::isSealant($piece)) {
                continue;
            }
            $others = $detail->pieces;
            unset($others[$i]);
            $seals[] = self::seal(
                $detail,
                $piece->id,
                $piece->material->name,
                array_sum(array_map(self::length(...), $piece->patches)),
                self::isExposed($detail, $piece),
                self::life($piece->material->family?->id),
                $whole,
                self::worst($detail->withPieces(array_values($others)), $school),
            );
        }
        foreach ($detail->unit->joints ?? [] as $side => $joint) {
            if ($detail->unit === null || $joint->outer !== Edge::Sealed) {
                continue;
            }
            $joints = [...$detail->unit->joints, $side => new UnitJoint(Edge::Open, $joint->insulation, $joint->inner)];
            $unit = new Unit($detail->unit->outerZ, $detail->unit->innerZ, $detail->unit->flange, $joints);
            $isLevel = in_array($side, ['sill', 'head'], true);
            $length = $isLevel ? $detail->opening?->width : $detail->opening?->height;
            $seals[] = self::seal(
                $detail,
                "unit $side",
                '',
                $length ?? 0.0,
                true,
                null,
                $whole,
                self::worst($detail->withUnit($unit), $school),
            );
        }

        return $seals;
    }

    /** A sealant, and not the rod behind it or a tape in its place. */
    public static function isSealant(Piece $piece): bool
    {
        return $piece->kind === PieceKind::Sealant &&
            ! RuleFigures::of('seals')->lists('fillers', $piece->material->family?->id);
    }

    /**
     * @param  array{Outcome, string|null, int|null}  $whole
     * @param  array{Outcome, string|null, int|null}  $without
     * @return Seal
     */
    private static function seal(
        Detail $detail,
        string $seal,
        string $material,
        float $mm,
        bool $isExposed,
        ?float $life,
        array $whole,
        array $without,
    ): array {
        return [
            'detail' => $detail->id,
            'title' => $detail->title,
            'seal' => $seal,
            'material' => $material,
            'length_m' => round($mm / 1000, 3),
            'exposed' => $isExposed,
            'life_years' => $life,
            'lines' => $whole[2],
            'lines_without' => $without[2],
            'outcome' => $whole[0]->told(),
            'without' => $without[0]->told(),
            'wets' => $without[0]->harms() && ! $whole[0]->harms() ? $without[1] : null,
        ];
    }

    /**
     * @return array{Outcome, string|null, int|null} the worst that comes of water, where, and the fewest edges that
     *   must fail before harm
     */
    private static function worst(Detail $detail, School $school): array
    {
        $worst = [Outcome::Shed, null];
        $lines = null;
        foreach (Releases::of(new Rain(new Layout($detail), $school)) as $strip) {
            if ($strip->outcome->rank() > $worst[0]->rank()) {
                $worst = [$strip->outcome, self::place($strip)];
            }
            $lines = $strip->lines === null ? $lines : min($lines ?? $strip->lines, $strip->lines);
        }

        return [...$worst, $lines];
    }

    private static function place(StripResult $strip): string
    {
        foreach ($strip->told()->path as $event) {
            if ($event['outcome'] === $strip->outcome) {
                return $event['at'];
            }
        }

        return $strip->facet;
    }

    private static function length(Patch $patch): float
    {
        return max($patch->rect->width(), $patch->rect->height());
    }

    /** Whether anything of it is left bare when all has been laid. */
    private static function isExposed(Detail $detail, Piece $piece): bool
    {
        $over = [];
        foreach ((new Layout($detail))->overlaps() as $overlap) {
            /** @var Overlap $overlap */
            if ($overlap->inner->piece->id === $piece->id && $overlap->outer->piece->id !== $piece->id) {
                $over[$overlap->inner->patch->id][] = $overlap->outer->patch->rect;
            }
        }
        foreach ($piece->patches as $patch) {
            if (! $patch->rect->coveredBy($over[$patch->id] ?? [])) {
                return true;
            }
        }

        return false;
    }

    private static function life(?string $family): ?float
    {
        return $family === null ? null : RuleFigures::of('seals')->cell('life_years', $family, 'years');
    }
}

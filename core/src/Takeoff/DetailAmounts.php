<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Building\Joint;
use Apron\Crew\Rolls;
use Apron\Crew\Strip;
use Apron\Detail\CutSize;
use Apron\Detail\Detail;
use Apron\Detail\Edge;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Material\Material;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;
use Apron\Sealant\SealantJoint;
use Apron\Trace\Seals;

/**
 * What the details of a building take: each opening and each thing that goes through as often as it is placed, each
 * joint by its length over the length that is drawn. The wall's own plane is left out: it is laid as a layer.
 *
 * @phpstan-import-type CutRow from Rolls
 */
final class DetailAmounts
{
    /** @var list<Strip> */
    private array $strips = [];

    /** @var array<string, array<string, float>> the share of each part in what a detail takes now, by detail */
    private array $by = [];

    /** @var array<string, array<string, float>> mm² of strips by part, by what they are of */
    private array $stripsBy = [];

    private readonly Rolls $rolls;

    private readonly RuleFigures $figures;

    public function __construct(private readonly Amounts $amounts)
    {
        $this->rolls = new Rolls;
        $this->figures = RuleFigures::of('takeoff');
    }

    /**
     * One that stands in so many places.
     *
     * @param  non-empty-list<string>  $places  parts, each as often as it has one
     */
    public function placed(Detail $detail, array $places): void
    {
        $times = count($places);
        $this->by[$detail->id] = array_map(fn (int $n): float => $n / $times, array_count_values($places));
        foreach ($detail->pieces as $piece) {
            $this->piece($detail, $piece, $times, null);
        }
        $this->fasteners($detail, $times);
        $this->roundUnit($detail, $times);
    }

    /** One that runs along a joint; what it takes is told with the first of the parts that meet there. */
    public function along(Detail $detail, Joint $joint): void
    {
        $drawn = self::drawn($detail, $joint->isUpright());
        $metres = $joint->length;
        $this->by[$detail->id] = [$joint->parts[0] => 1.0];
        if ($drawn <= 0 || $metres <= 0) {
            return;
        }
        foreach ($detail->pieces as $piece) {
            $this->piece($detail, $piece, (1000 * $metres) / $drawn, $drawn);
        }
        $this->fasteners($detail, (1000 * $metres) / $drawn);
    }

    /** How long a piece of the joint is drawn, mm. */
    private static function drawn(Detail $detail, bool $isUpright): float
    {
        $stated = $detail->generated->parameters ?? [];
        $said = $stated['length_mm'] ?? ($stated['height_mm'] ?? null);
        $facet = $detail->facets[$detail->release ?? ''] ?? array_values($detail->facets)[0] ?? null;

        return is_float($said)
            ? $said
            : ($facet === null ? 0.0 : ($isUpright ? $facet->extent->height() : $facet->extent->width()));
    }

    private function piece(Detail $detail, Piece $piece, float $times, ?float $drawn): void
    {
        if ($piece->role === PieceRole::Plane) {
            return;
        }
        $from = "details/$detail->id/pieces/$piece->id";
        match (true) {
            $piece->kind === PieceKind::Fluid => $this->fluid($piece, $times, $from),
            $piece->kind === PieceKind::Sealant => $this->bead($piece, $times, $from),
            in_array($piece->kind, [PieceKind::Moulded, PieceKind::Unit], true) => $this->pieces($piece, $times, $from),
            $this->rolls->cuts($piece->kind) => $this->strips($detail, $piece, $times, $drawn),
            default => $this->board($piece, $times, $from),
        };
    }

    private function strips(Detail $detail, Piece $piece, float $times, ?float $drawn): void
    {
        $from = "details/$detail->id/pieces/$piece->id";
        foreach ($piece->cut === null ? array_map(self::flat(...), $piece->patches) : [$piece->cut] as $cut) {
            // Along a joint a strip is as long as the joint; what lies across it is cut as often as it is drawn.
            $runs = $drawn !== null && $cut->length >= 0.9 * $drawn;
            $this->strips[] = new Strip(
                $from,
                $piece->material->id,
                $piece->kind,
                $runs ? new CutSize($cut->length * $times, $cut->width) : $cut,
                $runs ? 1 : max(1, (int) round($times)),
            );
            foreach ($this->by[$detail->id] as $part => $share) {
                $this->stripsBy[$from][$part] ??= 0.0;
                $this->stripsBy[$from][$part] += $share * $times * $cut->length * $cut->width;
            }
        }
    }

    /**
     * @param  array{float, float}  $amount  net and gross
     * @param  array{string, float}  $order  what it is bought in, and how much one of those holds
     * @param  string  $from  `details/` and the id of the detail, and what of it
     * @param  array<string, float|int|string>  $why
     */
    private function add(
        string $material,
        Counted $counted,
        array $amount,
        array $order,
        string $from,
        array $why,
    ): void {
        $by = $this->by[explode('/', $from, 3)[1]] ?? [];
        $this->amounts->add(new Bought($material, $counted, ...$amount, ...$order, from: $from, why: $why, by: $by));
    }

    private static function flat(Patch $patch): CutSize
    {
        [$a, $b] = [$patch->rect->width(), $patch->rect->height()];

        return new CutSize(max($a, $b), min($a, $b));
    }

    private function fluid(Piece $piece, float $times, string $from): void
    {
        $m2 = ($times * self::area($piece)) / 1e6;
        $coverage = Usual::of($piece->material)->coverageM2L;
        $wet = RuleFigures::of('coats')->figure('wet_coat_mm');
        $net = $coverage === null ? $m2 * $wet : $m2 / $coverage;
        $waste = $this->waste('fluid');
        $this->add(
            $piece->material->id,
            Counted::Volume,
            [$net, $net * (1 + $waste)],
            ['pail', Usual::of($piece->material)->packL ?? $this->pack('fluid')],
            $from,
            ['rule' => 'film', 'waste_pct' => 100 * $waste, 'wet_mm' => $coverage === null ? $wet : 1 / $coverage],
        );
    }

    /** A bead as wide as it is drawn and half as deep; rod and tape by the metre. */
    private function bead(Piece $piece, float $times, string $from): void
    {
        $length = $litres = 0.0;
        foreach ($piece->patches as $patch) {
            $flat = self::flat($patch);
            $length += ($times * $flat->length) / 1000;
            $litres += ($times * $flat->length * $flat->width * SealantJoint::depthOf($flat->width)) / 1e6;
        }
        if (! Seals::isSealant($piece)) {
            $this->metres($piece->material->id, $length, $from);

            return;
        }
        $this->volume($piece->material, $litres, $from);
    }

    private function volume(Material $material, float $litres, string $from): void
    {
        $waste = $this->waste('bead');
        $pack = Usual::of($material)->packL ?? $this->pack('bead');
        $why = ['rule' => 'section', 'waste_pct' => 100 * $waste];
        $gross = $litres * (1 + $waste);
        $this->add($material->id, Counted::Volume, [$litres, $gross], ['sausage', $pack], $from, $why);
    }

    private function metres(string $material, float $metres, string $from): void
    {
        $waste = $this->waste('bead');
        $why = ['rule' => 'share', 'waste_pct' => 100 * $waste];
        $this->add($material, Counted::Length, [$metres, $metres * (1 + $waste)], ['m', 1.0], $from, $why);
    }

    private function pieces(Piece $piece, float $times, string $from): void
    {
        $count = max(1.0, round($times));
        $why = ['rule' => 'placed'];
        $this->add($piece->material->id, Counted::Count, [$count, $count], ['piece', 1.0], $from, $why);
    }

    private function board(Piece $piece, float $times, string $from): void
    {
        $m2 = ($times * ($piece->cut === null ? self::area($piece) : $piece->cut->length * $piece->cut->width)) / 1e6;
        $waste = $this->waste('other');
        $why = ['rule' => 'share', 'waste_pct' => 100 * $waste];
        $this->add($piece->material->id, Counted::Area, [$m2, $m2 * (1 + $waste)], ['m2', 1.0], $from, $why);
    }

    private function fasteners(Detail $detail, float $times): void
    {
        foreach ($detail->fasteners as $fastener) {
            if ($fastener->material !== null) {
                $this->add(
                    $fastener->material->id,
                    Counted::Count,
                    [ceil($times), ceil($times)],
                    ['piece', 1.0],
                    "details/$detail->id/fasteners/$fastener->id",
                    ['rule' => 'placed'],
                );
            }
        }
    }

    /** What closes the gap between a unit and its rough opening: foam, and an inner seal on rod. */
    private function roundUnit(Detail $detail, int $times): void
    {
        $joints = $detail->unit->joints ?? [];
        $opening = $detail->opening;
        $isPiece = array_filter($detail->pieces, fn (Piece $p): bool => $p->kind === PieceKind::Unit) !== [];
        if ($detail->unit !== null && ! $isPiece) {
            $unit = (string) ($detail->generated->parameters['unit_material'] ?? 'window-unit');
            $why = ['rule' => 'placed'];
            $count = (float) $times;
            $this->add($unit, Counted::Count, [$count, $count], ['piece', 1.0], "details/$detail->id/unit", $why);
        }
        if ($opening === null || $joints === []) {
            return;
        }
        $foam = $seal = 0.0;
        foreach ($joints as $side => $joint) {
            $length = in_array($side, ['sill', 'head'], true) ? $opening->width : $opening->height;
            $foam += $joint->insulation ? $length : 0.0;
            $seal += ($joint->inner ? $length : 0.0) + ($joint->outer === Edge::Sealed ? $length : 0.0);
        }
        $gap = $this->figures->figure('unit_gap_mm');
        $from = "details/$detail->id/unit";
        if ($foam > 0) {
            $yield = $this->pack('foam');
            $litres = ($times * $foam * $gap * $this->figures->figure('unit_foam_mm')) / 1e6;
            $litres *= $this->figures->figure('foam_fill_share');
            $waste = $this->waste('bead');
            $why = ['rule' => 'section', 'waste_pct' => 100 * $waste, 'gap_mm' => $gap];
            $this->add('gun-foam', Counted::Volume, [$litres, $litres * (1 + $waste)], ['can', $yield], $from, $why);
        }
        if ($seal > 0) {
            $sealant = self::sealant($detail);
            $waste = $this->waste('bead');
            $litres = ($times * $seal * $gap * SealantJoint::depthOf($gap)) / 1e6;
            $why = ['rule' => 'section', 'waste_pct' => 100 * $waste, 'gap_mm' => $gap];
            $this->add(
                $sealant->id ?? 'sealant-silyl',
                Counted::Volume,
                [$litres, $litres * (1 + $waste)],
                ['sausage', $sealant->product->packL ?? $this->pack('bead')],
                $from,
                $why,
            );
            $this->metres('backer-rod', ($times * $seal) / 1000, $from);
        }
    }

    /** The sealant that the detail has already, so that no second one comes to the site. */
    private static function sealant(Detail $detail): ?Material
    {
        foreach ($detail->pieces as $piece) {
            if (Seals::isSealant($piece)) {
                return $piece->material;
            }
        }

        return null;
    }

    /**
     * All strips together, off rolls of each width.
     *
     * @return list<CutRow>
     */
    public function cut(): array
    {
        $rows = $this->rolls->together($this->strips);
        $kinds = array_column($this->strips, 'kind', 'id');
        foreach ($rows as $row) {
            $net = 0.0;
            foreach ($row['pieces'] as $piece) {
                $net += ($piece['length_mm'] * $piece['width_mm'] * $piece['times']) / 1e6;
            }
            $gross = ($row['run_mm'] * $row['roll_mm']) / 1e6;
            $over = $net > 0 ? max(1.0, $gross / $net) : 1.0;
            foreach ($row['pieces'] as $piece) {
                $own = ($piece['length_mm'] * $piece['width_mm'] * $piece['times']) / 1e6;
                $by = $this->stripsBy[$piece['id']];
                $all = array_sum($by);
                $this->amounts->add(
                    new Bought(
                        $row['material'],
                        Counted::Area,
                        $own,
                        $own * $over,
                        $kinds[$piece['id']] === PieceKind::Metal ? 'length' : 'roll',
                        ($row['roll_mm'] * $row['roll_length_mm']) / 1e6,
                        $piece['id'],
                        ['rule' => 'rolls', 'width_mm' => $row['roll_mm'], 'length_mm' => $row['roll_length_mm']],
                        array_map(fn (float $mm2): float => $all > 0 ? $mm2 / $all : 0.0, $by),
                    ),
                );
            }
        }

        return $rows;
    }

    /** mm² of a piece on its facets */
    private static function area(Piece $piece): float
    {
        return array_sum(
            array_map(fn (Patch $p): float => $p->rect->width() * $p->rect->height(), $piece->patches),
        );
    }

    private function waste(string $kind): float
    {
        return $this->figures->cell('waste_share', $kind, 'share') ?? 0.0;
    }

    private function pack(string $kind): float
    {
        return $this->figures->cell('pack_l', $kind, 'litres') ?? 1.0;
    }
}

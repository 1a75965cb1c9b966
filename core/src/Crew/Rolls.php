<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\CutSize;
use Apron\Detail\Detail;
use Apron\Detail\PieceKind;
use Apron\Json\CoreData;
use Apron\Json\Node;

/**
 * The cut list by roll: each piece from the narrowest roll that takes it, pieces laid side by side where the width
 * leaves room, and what is left over. Pieces are laid on shelves, the longest first, a usual way of cutting; a better
 * one may exist.
 *
 * @phpstan-type CutStrip array{id: string, length_mm: float, width_mm: float, lengths: int, times: int}
 * @phpstan-type CutRow array{material: string, roll_mm: float, roll_length_mm: float, run_mm: float, rolls: int,
 *   waste_pct: float, pieces: list<CutStrip>}
 */
final class Rolls
{
    /** @var array<string, array{widths: non-empty-list<float>, length: float}> by kind of piece, widths rising */
    private array $sold = [];

    private readonly float $lap;

    /** by how much a strip may be wider than the roll it is cut from is called: 6 in from 150 mm */
    private readonly float $inchShare;

    public function __construct()
    {
        $data = CoreData::read('figures/rolls');
        foreach ($data->get('kinds')->entries() as $kind => $row) {
            $widths = array_map(fn (Node $w): float => $w->number(), $row->get('widths_mm')->items(1));
            if ($widths !== []) {
                $this->sold[$kind] = ['widths' => $widths, 'length' => $row->get('length_mm')->number()];
            }
        }
        $this->lap = $data->get('lap_mm')->get('value')->number();
        $this->inchShare = $data->get('inch_share')->get('value')->number();
    }

    /**
     * @return list<CutRow>
     *   by material and roll: the run that is unrolled, how many rolls that is, the share thrown away; `lengths` above
     *   one where a piece is made of several with a lap
     */
    public function of(Detail $detail): array
    {
        $strips = [];
        foreach ($detail->pieces as $piece) {
            if ($piece->cut !== null) {
                $strips[] = new Strip($piece->id, $piece->material->id, $piece->kind, $piece->cut);
            }
        }

        return $this->together($strips);
    }

    /** Whether pieces of a kind come off a roll, or a coil. */
    public function cuts(PieceKind $kind): bool
    {
        return isset($this->sold[$kind->value]);
    }

    /**
     * Strips of any number of details off the same rolls; what comes off none is left out.
     *
     * @param  list<Strip>  $strips
     * @return list<CutRow>
     */
    public function together(array $strips): array
    {
        $groups = [];
        foreach ($strips as $strip) {
            $sold = $this->sold[$strip->kind->value] ?? null;
            if ($sold === null) {
                continue;
            }
            [$roll, $parts] = $this->parts($strip->cut, $sold);
            $groups["$strip->material {$strip->kind->value} $roll"][] = [$strip, $roll, $parts];
        }
        $rows = [];
        foreach ($groups as $cuts) {
            $rows[] = $this->row($cuts, $this->sold[$cuts[0][0]->kind->value]['length']);
        }
        usort(
            $rows,
            fn (array $a, array $b): int => [$a['material'], $a['roll_mm']] <=> [$b['material'], $b['roll_mm']],
        );

        return $rows;
    }

    /**
     * The roll a piece comes from, and the parts it is cut in: one, or as many as its length or width asks, with a lap
     * between two.
     *
     * @param  array{widths: non-empty-list<float>, length: float}  $sold
     * @return array{float, list<CutSize>}
     */
    private function parts(CutSize $cut, array $sold): array
    {
        $widest = max($sold['widths']);
        $roll = $widest;
        foreach (array_reverse($sold['widths']) as $width) {
            $roll = $width * (1 + $this->inchShare) >= $cut->width ? $width : $roll;
        }
        $across =
            $cut->width <= $widest * (1 + $this->inchShare)
                ? 1
                : (int) ceil(($cut->width - $this->lap) / ($widest - $this->lap));
        $along =
            $cut->length <= $sold['length']
                ? 1
                : (int) ceil(($cut->length - $this->lap) / ($sold['length'] - $this->lap));
        $part = new CutSize(
            ($cut->length + ($along - 1) * $this->lap) / $along,
            ($cut->width + ($across - 1) * $this->lap) / $across,
        );

        return [$roll, array_fill(0, $across * $along, $part)];
    }

    /**
     * @param  non-empty-list<array{Strip, float, list<CutSize>}>  $cuts
     * @return CutRow
     */
    private function row(array $cuts, float $rollLength): array
    {
        $roll = $cuts[0][1];
        $parts = [];
        foreach ($cuts as [$strip, , $of]) {
            for ($i = 0; $i < $strip->times; $i++) {
                array_push($parts, ...$of);
            }
        }
        $used = array_sum(array_map(fn (CutSize $part): float => $part->length * $part->width, $parts));
        $shelves = (new Shelves($parts, $roll))->lengths;
        $run = array_sum($shelves);

        return [
            'material' => $cuts[0][0]->material,
            'roll_mm' => $roll,
            'roll_length_mm' => $rollLength,
            'run_mm' => $run,
            'rolls' => max(0, ...Packing::firstFit($shelves, $rollLength)),
            'waste_pct' => round(max(0.0, 100 * (1 - $used / ($run * $roll))), 1),
            'pieces' => array_map(
                fn (array $c): array => [
                    'id' => $c[0]->id,
                    'length_mm' => $c[0]->cut->length,
                    'width_mm' => $c[0]->cut->width,
                    'lengths' => count($c[2]),
                    'times' => $c[0]->times,
                ],
                $cuts,
            ),
        ];
    }
}

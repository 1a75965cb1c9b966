<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\AirLayer;
use Apron\Assembly\Assembly;
use Apron\Building\Envelope;
use Apron\Building\JointKind;
use Apron\Building\PartKind;
use Apron\Building\Proofs;
use Apron\Building\Threads;
use Apron\Crew\Rolls;
use Apron\Detail\Detail;
use Apron\Material\Materials;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;

/**
 * The quantities of a building: its walls laid out layer by layer, all that is bought, how strips are cut together, the
 * fasteners, the plane of its walls, what is drilled from one datum; and what of it nobody can count yet.
 *
 * @phpstan-import-type CutRow from Rolls
 *
 * @phpstan-type Uncounted array{what: string, metres: float, of: string, kind: string}
 */
final readonly class TakeoffAssessment
{
    /** More rows of fasteners than are drawn. */
    private const MOST_DRAWN = 20000;

    private const ROUND_OPENINGS = [JointKind::Sill, JointKind::Head, JointKind::Jamb];

    public Laying $laying;

    /** @var list<Amount> */
    public array $amounts;

    /** @var list<FastenerRow> */
    public array $fasteners;

    /** @var list<CutRow> */
    public array $cuts;

    /** @var list<Uncounted> what is built and not in the order */
    public array $uncounted;

    private Orders $orders;

    /**
     * @param  array<string, Assembly>  $assemblies  by id
     * @param  array<string, Detail>  $details  by id
     * @param  Materials  $materials  for what brackets, girts and tapes are of
     */
    public function __construct(
        public Takeoff $takeoff,
        public Envelope $envelope,
        private array $assemblies,
        array $details,
        private Materials $materials,
    ) {
        $this->laying = new Laying($takeoff, $envelope, $assemblies);
        $amounts = new Amounts;
        $packed = $this->laid($amounts);
        $this->unlaid($amounts);
        $this->fasteners = (new LayerFasteners($this->laying, $takeoff, $assemblies, $envelope))->rows($amounts);
        [$this->cuts, $this->uncounted] = $this->ofDetails($amounts, $details);
        $this->amounts = $amounts->all($packed);
        $this->orders = new Orders($takeoff, $this->amounts);
    }

    /** @return array<string, array{count: int, least: int}> how many boards and rolls, by line of the amounts */
    private function laid(Amounts $amounts): array
    {
        $packed = $counted = [];
        foreach ($this->laying->layouts as $layout) {
            $material = $layout->layer->material->id;
            $net = $layout->net;
            foreach ($this->cutOf($layout) as $key => $gross) {
                $isRoll = ! $layout->as->isBoard();
                $width = $isRoll ? (float) substr((string) strrchr($key, ' '), 1) : $layout->size->width;
                $holds = ($layout->size->length * $width) / 1e6;
                $unit = $isRoll ? 'roll' : 'board';
                $bought = new Bought(
                    $material,
                    Counted::Area,
                    $width === $layout->size->width ? $net : 0.0,
                    $gross,
                    $unit,
                    $holds,
                    $layout->face->part,
                    ['rule' => 'laid-out', 'width_mm' => $width, 'length_mm' => $layout->size->length],
                    [$layout->face->part => 1.0],
                    isPacked: true,
                );
                $amounts->add($bought);
                $line = $bought->key();
                if (! isset($counted[$key])) {
                    $counted[$key] = true;
                    // Boards of one size and two thicknesses are two stacks, and one line.
                    $packed[$line]['count'] = ($packed[$line]['count'] ?? 0) + $this->laying->packed[$key]['count'];
                    $packed[$line]['least'] = ($packed[$line]['least'] ?? 0) + $this->laying->packed[$key]['least'];
                }
            }
            if ($layout->rule->tape !== null && $layout->seams() > 0) {
                $share = RuleFigures::of('takeoff')->cell('waste_share', 'bead', 'share') ?? 0.0;
                $amounts->add(
                    new Bought(
                        $layout->rule->tape,
                        Counted::Length,
                        $layout->seams(),
                        $layout->seams() * (1 + $share),
                        'm',
                        1.0,
                        $layout->face->part,
                        ['rule' => 'seams', 'waste_pct' => 100 * $share],
                        [$layout->face->part => 1.0],
                    ),
                );
            }
        }

        return $packed;
    }

    /** @return array<string, float> m² bought for one layout, by what it is cut from */
    private function cutOf(Layout $layout): array
    {
        $cut = [];
        foreach ($layout->pieces as $piece) {
            $key = Laying::key($layout, $piece);
            $cut[$key] = ($cut[$key] ?? 0.0) + $piece->area() * $this->laying->packed[$key]['share'];
        }

        return $cut;
    }

    /** What is bought by its area, film or length. */
    private function unlaid(Amounts $amounts): void
    {
        $laid = [];
        foreach ($this->laying->layouts as $layout) {
            $laid["{$layout->face->part} {$layout->layer->id}"] = true;
        }
        $layers = new LayerAmounts($this->takeoff, $amounts);
        foreach ($this->envelope->parts as $part) {
            $assembly = $this->assemblies[$part->assembly ?? ''] ?? null;
            if ($part->kind === PartKind::Opening || $assembly === null) {
                continue;
            }
            foreach ($assembly->layers as $at => $layer) {
                $as = LaidAs::of($assembly, $at);
                if ($as !== null && ! isset($laid["$part->id $layer->id"])) {
                    $layers->add($part, $this->laying->faces[$part->id] ?? null, $assembly, $at, $as);
                }
            }
        }
        $layers->cut();
    }

    /**
     * @param  array<string, Detail>  $details
     * @return array{list<CutRow>,
     *   list<Uncounted>}
     */
    private function ofDetails(Amounts $amounts, array $details): array
    {
        $of = new DetailAmounts($amounts);
        /** @var array<string, non-empty-list<string>> $places parts that it stands in, by detail */
        $places = $bare = [];
        $within = array_column($this->envelope->holes, 'within', 'part');
        foreach ($this->envelope->parts as $part) {
            if ($part->kind === PartKind::Opening) {
                $places[$part->detail ?? ''][] = $within[$part->id] ?? $part->id;
            }
        }
        $threads = new Threads($this->envelope, $this->assemblies, new Proofs, false);
        foreach ($this->envelope->joints as $joint) {
            if (in_array($joint->kind, self::ROUND_OPENINGS, true)) {
                continue;
            }
            $named = $threads->detail($joint);
            $detail = $details[$named ?? ''] ?? null;
            match (true) {
                $detail === null => $bare[$joint->kind->value] = ($bare[$joint->kind->value] ?? 0.0) + $joint->length,
                $joint->kind === JointKind::Penetration => $places[$detail->id][] = $joint->parts[0],
                default => $of->along($detail, $joint),
            };
        }
        foreach ($places as $id => $parts) {
            isset($details[$id]) && $of->placed($details[$id], $parts);
        }
        $uncounted = [];
        foreach ($bare as $kind => $metres) {
            $uncounted[] = ['what' => 'joints', 'metres' => round($metres, 3), 'of' => '', 'kind' => $kind];
        }

        return [$of->cut(), [...$uncounted, ...$this->emptySpaces()]];
    }

    /**
     * @return list<Uncounted> spaces that something must stand in, of which nobody has said what; screens along foot
     *   and head of every space that air moves in, and round what is open in it
     */
    private function emptySpaces(): array
    {
        $rows = [];
        foreach ($this->laying->faces as $id => $face) {
            $assembly = $this->assemblies[$this->envelope->parts[$id]->assembly ?? ''] ?? null;
            if ($assembly === null) {
                continue;
            }
            foreach ($assembly->layers as $at => $layer) {
                $air = $at > 0 ? $layer->airLayer() : null;
                $of = "$assembly->id/$layer->id";
                if ($air !== null && $layer->framing === null) {
                    $rows["strapping $of"] = ['what' => 'strapping', 'metres' => 0.0, 'of' => $of, 'kind' => ''];
                }
                if ($air === AirLayer::Ventilated || $air === AirLayer::SlightlyVentilated) {
                    $mm = array_sum(
                        array_map(fn (array $l): float => hypot($l[2] - $l[0], $l[3] - $l[1]), self::screened($face)),
                    );
                    $rows["screens $of"] ??= ['what' => 'screens', 'metres' => 0.0, 'of' => $of, 'kind' => ''];
                    $rows["screens $of"]['metres'] = round($rows["screens $of"]['metres'] + $mm / 1000, 3);
                }
            }
        }

        return array_values($rows);
    }

    /** @return list<array<string, mixed>> as `apron-assessment/1` has them */
    public function layouts(): array
    {
        return array_map(function (Layout $layout): array {
            $gross = array_sum($this->cutOf($layout));
            $isBoard = $layout->as->isBoard();

            return [
                'part' => $layout->face->part,
                'assembly' => $layout->assembly,
                'layer' => $layout->layer->id,
                'kind' => $isBoard ? 'board' : 'sheet',
                'as' => $layout->as->value,
                'courses' => $layout->courses(),
                // What runs past an end altogether is cut, and lies on no wall that is drawn.
                'pieces' => array_map(fn (LaidPiece $piece): array => [
                    'rect' => array_map(
                        fn (float $mm): float => round($mm, 1) + 0.0,
                        [$piece->left, $piece->foot, $piece->right, $piece->top],
                    ),
                    'from' => ($piece->isStrip ? 'strip roll ' : ($isBoard ? 'board ' : 'roll ')).$piece->from,
                    'course' => $piece->course,
                    'cut_mm' => [round($piece->length, 1), round($piece->width, 1)],
                ], $layout->onFace()),
                'net_m2' => round($layout->net, 4),
                'gross_m2' => round($gross, 4),
                'loss_pct' => $gross > 0 ? round(max(0.0, 100 * (1 - $layout->net / $gross)), 2) : 0.0,
                'laps_over_framing' => $layout->lapsOverFraming(),
                'size_mm' => [$layout->size->length, $layout->size->width],
                'lap_mm' => $isBoard ? null : [$layout->size->lapLevel, $layout->size->lapEnd],
                'spacing_mm' => $layout->backing->spacing,
                'upright' => $layout->rule->upright && ! $isBoard,
                'seams_m' => round($layout->seams(), 3),
                'bevels_m' => round($layout->bevels(), 3),
                'blocking_mm' => $layout->blocking(),
            ];
        }, $this->laying->layouts);
    }

    /** @return list<array{level_mm: float, parts: list<string>}> parts by the level their block stands on */
    public function floors(): array
    {
        $floors = [];
        foreach ($this->envelope->parts as $part) {
            if ($part->kind !== PartKind::Opening) {
                $level = $this->envelope->building->block($part->block)->base ?? 0.0;
                $floors[(string) $level] ??= ['level_mm' => $level, 'parts' => []];
                $floors[(string) $level]['parts'][] = $part->id;
            }
        }
        usort($floors, fn (array $a, array $b): int => $a['level_mm'] <=> $b['level_mm']);

        return $floors;
    }

    /** @return array<string, mixed> what is told beside quantities and layouts */
    public function toArray(): array
    {
        return [
            'faces' => $this->faces(),
            'floors' => $this->floors(),
            'strapping' => $this->strapping(),
            'cuts' => $this->cuts,
            'fasteners' => array_map(
                fn (FastenerRow $row): array => $row->toArray($this->drawsFasteners()),
                $this->fasteners,
            ),
            'screens' => $this->screens(),
            'uncounted' => $this->uncounted,
            'deliveries' => $this->orders->deliveries(),
            'changes' => $this->orders->changes(),
            'surveys' => array_map(fn (Survey $survey): array => [
                'id' => $survey->id,
                'part' => $survey->part,
                'high' => $survey->high(),
                'points' => $survey->packed(),
                'spacers' => $survey->counts(),
                'isolators' => $survey->isolators($this->materials),
            ], $this->takeoff->surveys),
            'transfers' => array_map(fn (Transfer $transfer): array => [
                'id' => $transfer->id,
                'part' => $transfer->part,
                'datum_mm' => $transfer->datum,
                'holes' => $transfer->drilled(
                    array_values(
                        array_filter(
                            $this->laying->layouts,
                            fn (Layout $l): bool => $l->face->part === $transfer->part,
                        ),
                    ),
                ),
            ], $this->takeoff->transfers),
        ];
    }

    /** Where each fastener stands is told of buildings as large as somebody looks at, and counted of all. */
    private function drawsFasteners(): bool
    {
        $rows = array_map(fn (FastenerRow $row): int => count($row->rows), $this->fasteners);

        return array_sum($rows) <= self::MOST_DRAWN;
    }

    /** @return list<array<string, mixed>> screens of spaces that air moves in: at foot and head, and round openings */
    private function screens(): array
    {
        $rows = [];
        foreach ($this->laying->faces as $id => $face) {
            $assembly = $this->assemblies[$this->envelope->parts[$id]->assembly ?? ''] ?? null;
            foreach ($assembly->layers ?? [] as $at => $layer) {
                $air = $at > 0 ? $layer->airLayer() : null;
                if ($air === AirLayer::Ventilated || $air === AirLayer::SlightlyVentilated) {
                    $lines = array_map(self::rounded(...), self::screened($face));
                    $rows[] = ['part' => $face->part, 'layer' => $layer->id, 'lines_mm' => $lines];
                }
            }
        }

        return $rows;
    }

    /** @return list<array{float, float, float, float}> left, foot, right, top of each length of screen */
    private static function screened(Face $face): array
    {
        $lines = [];
        $goesOn = fn (float $left, float $right, float $z, int $at): bool => array_filter(
            $face->cells,
            fn (array $c): bool => abs($c[$at] - $z) < 1 && $c[0] < $right - 1 && $c[1] > $left + 1,
        ) !== [];
        foreach ($face->cells as [$left, $right, $foot, $topLeft, $topRight]) {
            // Not where another piece of the same wall begins or ends.
            if (! $goesOn($left, $right, $foot, 3)) {
                $lines[] = [$left, $foot, $right, $foot];
            }
            if ($topLeft !== $topRight || ! $goesOn($left, $right, $topLeft, 2)) {
                $lines[] = [$left, $topLeft, $right, $topRight];
            }
        }
        foreach ($face->holes as [$left, $sill, $right, $head]) {
            $lines[] = [$left, $sill, $right, $sill];
            $lines[] = [$left, $head, $right, $head];
        }

        return $lines;
    }

    /** @return list<array<string, mixed>> what stands in spaces, as it lies */
    private function strapping(): array
    {
        $rows = [];
        foreach ($this->laying->faces as $id => $face) {
            $assembly = $this->assemblies[$this->envelope->parts[$id]->assembly ?? ''] ?? null;
            if ($assembly === null) {
                continue;
            }
            foreach ($assembly->layers as $at => $layer) {
                if ($layer->framing !== null && LaidAs::of($assembly, $at) === LaidAs::Strapping) {
                    $lines = array_map(self::rounded(...), LayerAmounts::members($face, $layer->framing));
                    $rows[] = ['part' => $face->part, 'assembly' => $assembly->id, 'layer' => $layer->id] +
                        ['lines_mm' => $lines];
                }
            }
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> the parts laid flat, to draw on, upright ones first */
    private function faces(): array
    {
        return array_map(fn (Face $face): array => [
            'part' => $face->part,
            'name' => $this->envelope->parts[$face->part]->name(),
            'foot_mm' => $face->foot,
            'cells_mm' => array_map(self::rounded(...), $face->cells),
            'openings_mm' => array_map(self::rounded(...), $face->holes),
            'upright' => $this->envelope->parts[$face->part]->kind->isUpright(),
        ], array_values($this->laying->faces + $this->laying->level));
    }

    /**
     * @param  list<float>  $row
     * @return list<float>
     */
    private static function rounded(array $row): array
    {
        return array_map(fn (float $mm): float => round($mm, 1) + 0.0, $row);
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return (new TakeoffFindings(
            $this->takeoff,
            $this->laying,
            $this->envelope,
            $this->assemblies,
            $this->materials,
        ))->all();
    }
}

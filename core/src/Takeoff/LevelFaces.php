<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Building\Areas;
use Apron\Building\Block;
use Apron\Building\Edge;
use Apron\Building\Envelope;
use Apron\Building\Hole;
use Apron\Building\Outline;
use Apron\Building\Surfaces;

/**
 * Roofs, slabs, floors and soffits laid flat, as seen from above: mm along the longest side of the block from its left
 * end, and inward from that side; a slope along its eaves and up. Of blocks whose sides all stand at right angles: what
 * is cut askew is not laid out.
 */
final class LevelFaces
{
    private const SQUARE = 0.5;

    /** @var array<string, Face> */
    private array $faces = [];

    private function __construct(private readonly Envelope $envelope)
    {
    }

    /** @return array<string, Face> by id of the part */
    public static function of(Envelope $envelope): array
    {
        $level = new self($envelope);
        foreach ($envelope->building->blocks as $block) {
            if (! $block->isConditioned()) {
                continue;
            }
            foreach ($block->roofForm->isFlat() ? [self::longest($block->outline)] : self::eaves($block) as $from) {
                $level->cut($block, $from, true);
            }
            $level->cut($block, self::longest($block->outline), false);
        }

        return $level->faces;
    }

    private static function longest(Outline $outline): Edge
    {
        $edges = $outline->edges;
        usort($edges, fn (Edge $a, Edge $b): int => [$b->length, $a->index] <=> [$a->length, $b->index]);

        return $edges[0];
    }

    /** @return list<Edge> */
    private static function eaves(Block $block): array
    {
        $form = $block->roofForm;
        $low = $block->outline->edge($form->lowEdge ?? $form->ridgeAlong ?? 0);
        $far = $form->ridgeAlong === null ? null : $block->outline->edge(($form->ridgeAlong + 2) % 4);

        return array_values(array_filter([$low, $far]));
    }

    private function cut(Block $block, Edge $side, bool $top): void
    {
        $isPitched = $top && ! $block->roofForm->isFlat();
        $up = $isPitched ? $block->roofForm->stretch() : 1.0;
        $isGable = $isPitched && $block->roofForm->ridgeAlong !== null;
        $own = self::places($block->outline, $side);
        if ($own === null) {
            return;
        }
        [$us, $offs] = $own;
        foreach ($isPitched ? [] : $this->envelope->building->blocks as $other) {
            $meets = $top ? $other->base === $block->top : $other->top === $block->base;
            if ($other !== $block && $meets && $block->outline->common($other->outline) > 1.0) {
                $their = self::places($other->outline, $side);
                if ($their === null) {
                    return;
                }
                array_push($us, ...$their[0]);
                array_push($offs, ...$their[1]);
            }
        }
        if ($isGable) {
            $half = $block->roofForm->width($block->outline) / 2;
            $offs = [...array_filter($offs, fn (float $off): bool => $off < $half), $half];
        }
        $us = Areas::sorted($us, min($own[0]), max($own[0]));
        $offs = Areas::sorted($offs, min($own[1]), $isGable ? INF : max($own[1]));
        foreach ($this->grid($block, $side, $top, $us, $offs) as $part => $cells) {
            $holes = $this->holes((string) $part, $side, $up, [$us[0], $offs[0]]);
            if ($holes !== null) {
                $flat = [];
                foreach ($cells as [$left, $right, $low, $high]) {
                    [$low, $high] = [$up * ($low - $offs[0]), $up * ($high - $offs[0])];
                    $flat[] = [$left - $us[0], $right - $us[0], $low, $high, $high];
                }
                $this->faces[$part] = new Face((string) $part, 0.0, $flat, $holes);
            }
        }
    }

    /**
     * @return array{non-empty-list<float>, non-empty-list<float>}|null along a side and inward from it; null of what
     *   is askew to it
     */
    private static function places(Outline $outline, Edge $side): ?array
    {
        $us = $offs = [];
        foreach ($outline->edges as $edge) {
            [$u, $off] = [$side->u($edge->x0, $edge->y0), $side->off($edge->x0, $edge->y0)];
            [$du, $doff] = [$side->u($edge->x1, $edge->y1) - $u, $side->off($edge->x1, $edge->y1) - $off];
            if (min(abs($du), abs($doff)) > self::SQUARE) {
                return null;
            }
            [$us[], $offs[]] = [$u, $off];
        }

        return $us === [] ? null : [$us, $offs];
    }

    /**
     * @param  list<float>  $us
     * @param  list<float>  $offs
     * @return array<string, non-empty-list<array{float, float, float, float, float}>> cells by part, those of one
     *   column one above the other made one
     */
    private function grid(Block $block, Edge $side, bool $top, array $us, array $offs): array
    {
        [$dx, $dy] = $side->along();
        $grid = [];
        for ($i = 1; $i < count($us); $i++) {
            $last = null;
            for ($j = 1; $j < count($offs); $j++) {
                [$x, $y] = $side->at(($us[$i - 1] + $us[$i]) / 2);
                $off = ($offs[$j - 1] + $offs[$j]) / 2;
                [$x, $y] = [$x - $off * $dy, $y + $off * $dx];
                $isOurs = $block->outline->contains($x, $y);
                $part = $isOurs ? $this->envelope->surfaces->level($block, $top, $x, $y)?->id : null;
                if ($part !== null && $part === $last) {
                    $at = count($grid[$part]) - 1;
                    [$grid[$part][$at][3], $grid[$part][$at][4]] = [$offs[$j], $offs[$j]];
                } elseif ($part !== null) {
                    $grid[$part][] = [$us[$i - 1], $us[$i], $offs[$j - 1], $offs[$j], $offs[$j]];
                }
                $last = $part;
            }
        }

        return $grid;
    }

    /**
     * @param  array{float, float}  $origin
     * @return list<array{float, float, float, float}>|null null where one is askew
     */
    private function holes(string $part, Edge $side, float $up, array $origin): ?array
    {
        $found = array_filter($this->envelope->holes, fn (Hole $hole): bool => $hole->within === $part);
        if ($found !== [] && min(array_map(abs(...), $side->along())) > Surfaces::HAIR) {
            return null;
        }

        return array_values(
            array_map(function (Hole $hole) use ($side, $up, $origin): array {
                $us = [$side->u($hole->left, $hole->sill), $side->u($hole->right, $hole->head)];
                $offs = [$side->off($hole->left, $hole->sill), $side->off($hole->right, $hole->head)];

                return [
                    min($us) - $origin[0],
                    $up * (min($offs) - $origin[1]),
                    max($us) - $origin[0],
                    $up * (max($offs) - $origin[1]),
                ];
            }, $found),
        );
    }
}

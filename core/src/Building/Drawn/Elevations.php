<?php

declare(strict_types=1);

namespace Apron\Building\Drawn;

use Apron\Building\Block;
use Apron\Building\Edge;
use Apron\Building\Envelope;
use Apron\Building\Met;
use Apron\Building\Side;

/**
 * Every side of the envelope laid flat, as seen from outside, in the order of a walk round each block: mm from the left
 * end of the side, and levels.
 *
 * @phpstan-type Face array{part: string, corners_mm: list<array{float, float}>}
 * @phpstan-type Drawn array{joint: string, from_mm: array{float, float}, to_mm: array{float, float}}
 */
final class Elevations
{
    /**
     * @return list<array{block: string, edge: int, length_mm: float, faces: list<Face>, joints: list<Drawn>}> openings
     *   are faces that lie on others
     */
    public static function of(Envelope $envelope): array
    {
        $corners = $envelope->building->corners();
        $holes = $met = [];
        foreach ($envelope->holes as $hole) {
            if ($hole->edge !== null) {
                $rect = [[$hole->left, $hole->sill], [$hole->right, $hole->sill]];
                array_push($rect, [$hole->right, $hole->head], [$hole->left, $hole->head]);
                $holes["{$hole->block->id} $hole->edge"][] = ['part' => $hole->part, 'corners_mm' => $rect];
            }
        }
        foreach ($envelope->joints as $joint) {
            foreach ($joint->met as $one) {
                foreach (array_unique([self::side($one, true), self::side($one, false)]) as $side) {
                    $met[$side][] = [$joint->id, $one];
                }
            }
        }
        $sides = [];
        foreach ($envelope->building->blocks as $block) {
            foreach ($block->isConditioned() ? $block->outline->edges : [] as $edge) {
                $faces = self::faces($envelope, $corners, $block, $edge);
                if ($faces !== []) {
                    $key = "$block->id $edge->index";
                    $sides[] = [
                        'block' => $block->id,
                        'edge' => $edge->index,
                        'length_mm' => round($edge->length, 1),
                        'faces' => [...$faces, ...$holes[$key] ?? []],
                        'joints' => self::joints($edge, $met[$key] ?? []),
                    ];
                }
            }
        }

        return $sides;
    }

    private static function side(Met $met, bool $first): string
    {
        $part = $first ? $met->a : $met->b;

        return "$part->block $part->edge";
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<Face>
     */
    private static function faces(Envelope $envelope, array $corners, Block $block, Edge $edge): array
    {
        $faces = [];
        foreach ((new Side($envelope->surfaces, $block, $edge))->cells($corners) as $cell) {
            $faces[] = [
                'part' => $cell->part->id,
                'corners_mm' => [
                    [round($cell->left, 1), $cell->foot],
                    [round($cell->right, 1), $cell->foot],
                    [round($cell->right, 1), round($cell->topRight, 1)],
                    [round($cell->left, 1), round($cell->topLeft, 1)],
                ],
            ];
        }

        return $faces;
    }

    /**
     * @param  list<array{string, Met}>  $met
     * @return list<Drawn> those that lie in the side
     */
    private static function joints(Edge $edge, array $met): array
    {
        $drawn = [];
        foreach ($met as [$joint, $one]) {
            $ends = [];
            foreach ([$one->from, $one->to] as [$x, $y, $z]) {
                $u = $edge->u($x, $y);
                if (abs($edge->off($x, $y)) < 1.0 && $u > -1.0 && $u < $edge->length + 1.0) {
                    $ends[] = [round($u, 1) + 0.0, round($z, 1) + 0.0];
                }
            }
            if (count($ends) === 2) {
                $drawn[] = ['joint' => $joint, 'from_mm' => $ends[0], 'to_mm' => $ends[1]];
            }
        }

        return $drawn;
    }
}

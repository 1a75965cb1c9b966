<?php

declare(strict_types=1);

namespace Apron\Building\Drawn;

use Apron\Building\Areas;
use Apron\Building\Block;
use Apron\Building\Edge;
use Apron\Building\Envelope;
use Apron\Building\Hole;
use Apron\Building\Joint;
use Apron\Building\Side;

/**
 * The envelope cut by a level plane: the loop on plan at that height.
 *
 * @phpstan-import-type Line from Cut
 */
final class LevelCut
{
    /** @param  float  $z  mm */
    public static function of(Envelope $envelope, float $z): Cut
    {
        $corners = $envelope->building->corners();
        $lines = [];
        foreach ($envelope->building->blocks as $block) {
            if ($block->isConditioned() && $block->base < $z && $z < $block->top) {
                foreach ($block->outline->edges as $edge) {
                    array_push($lines, ...self::side($envelope, $corners, $block, $edge, $z));
                }
            }
        }

        return Cut::made($z, [0.0, 0.0], [1.0, 0.0], $lines, self::points($envelope, $z));
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<Line>
     */
    private static function side(Envelope $envelope, array $corners, Block $block, Edge $edge, float $z): array
    {
        $cuts = (new Side($envelope->surfaces, $block, $edge))->along($corners);
        $holes = array_filter(
            $envelope->holes,
            fn (Hole $h): bool => $h->block === $block && $h->edge === $edge->index && $h->sill < $z && $z < $h->head,
        );
        foreach ($holes as $hole) {
            array_push($cuts, $hole->left, $hole->right);
        }
        $cuts = Areas::sorted($cuts, 0.0, $edge->length);
        [$dx, $dy] = $edge->along();
        $lines = [];
        for ($i = 1; $i < count($cuts); $i++) {
            $u = ($cuts[$i - 1] + $cuts[$i]) / 2;
            $part = $envelope->surfaces->upright($block, $edge, $u, $z);
            foreach ($holes as $hole) {
                $part = $hole->left < $u && $u < $hole->right ? $envelope->parts[$hole->part] : $part;
            }
            UprightCut::add($lines, $part, $edge->at($cuts[$i - 1]), $edge->at($cuts[$i]), [$dy, -$dx]);
        }

        return $lines;
    }

    /** @return list<array{Joint, array{float, float}}> */
    private static function points(Envelope $envelope, float $z): array
    {
        $points = [];
        foreach ($envelope->joints as $joint) {
            foreach ($joint->met as $met) {
                [$a, $b] = [$met->from[2] - $z, $met->to[2] - $z];
                if ($a > 0 !== $b > 0) {
                    $at = array_map(
                        fn (float $p, float $q): float => $p + ($a / ($a - $b)) * ($q - $p),
                        $met->from,
                        $met->to,
                    );
                    $points[] = [$joint, [$at[0], $at[1]]];
                }
            }
        }

        return $points;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

/** Joints of a pitched roof: along its level edges, its sloping ones, and its ridge. */
final class RoofJoints
{
    public function __construct(private readonly Surfaces $surfaces)
    {
    }

    /**
     * @param  list<Segment>  $segments
     * @return list<Met>
     */
    public function of(array $segments): array
    {
        $met = [];
        foreach ($segments as $segment) {
            foreach ($segment->sides as [$block, $edge]) {
                if ($block->isConditioned() && ! $block->roofForm->isFlat()) {
                    array_push($met, ...$this->along($segment, $block, $edge));
                }
            }
        }
        foreach ($this->surfaces->building->blocks as $block) {
            if ($block->isConditioned() && $block->roofForm->ridgeAlong !== null) {
                $met[] = $this->ridge($block, $block->roofForm->ridgeAlong);
            }
        }

        return $met;
    }

    /** @return list<Met> */
    private function along(Segment $segment, Block $block, Edge $edge): array
    {
        $from = [$segment->x0, $segment->y0, $block->topAt($segment->x0, $segment->y0)];
        $to = [$segment->x1, $segment->y1, $block->topAt($segment->x1, $segment->y1)];
        [$x, $y] = $segment->middle();
        [$dx, $dy] = $edge->along();
        $wall = $this->surfaces->upright($block, $edge, $edge->u($x, $y), $block->top - Surfaces::HAIR);
        $roof = $this->surfaces->level($block, true, $x - $dy * Surfaces::HAIR, $y + $dx * Surfaces::HAIR);
        $kind = abs($from[2] - $to[2]) < Surfaces::HAIR ? JointKind::Eaves : JointKind::Verge;

        return $wall === null || $roof === null ? [] : [new Met($kind, $wall, $roof, $from, $to)];
    }

    private function ridge(Block $block, int $along): Met
    {
        $form = $block->roofForm;
        $low = $block->outline->edge($along) ?? throw new \LogicException('a ridge along no edge');
        [$dx, $dy] = $low->along();
        $half = $form->width($block->outline) / 2;
        $end = function (float $u, float $off) use ($low, $dx, $dy, $block): array {
            [$x, $y] = $low->at($u);
            [$x, $y] = [$x - $dy * $off, $y + $dx * $off];

            return [$x, $y, $block->topAt($x, $y)];
        };
        $side = function (float $off) use ($block, $low, $end): Part {
            [$x, $y] = $end($low->length / 2, $off);

            return $this->surfaces->level($block, true, $x, $y) ?? throw new \LogicException('a slope that is no part');
        };

        return new Met(
            JointKind::Ridge,
            $side($half - 1.0),
            $side($half + 1.0),
            $end(0.0, $half),
            $end($low->length, $half),
        );
    }
}

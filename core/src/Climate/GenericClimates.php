<?php

declare(strict_types=1);

namespace Apron\Climate;

use Apron\Json\CoreData;
use Apron\Json\Node;

/** Twelve-month climates made up for Apron by a formula; none is a place. */
final class GenericClimates
{
    /** @return list<Climate> cold to hot */
    public function all(): array
    {
        $node = CoreData::read('climates')->object(['note', 'climates']);

        return array_map($this->climate(...), $node->get('climates')->items(1));
    }

    public function named(string $name): ?Climate
    {
        foreach ($this->all() as $climate) {
            if ($climate->name === $name) {
                return $climate;
            }
        }

        return null;
    }

    /**
     * Each figure of the months m = 0…11 is mean + swing·cos(2π(m − most)/12), m and `most` in months from the middle
     * of January; the temperature takes its coldest time instead, so that its swing is subtracted.
     */
    private function climate(Node $node): Climate
    {
        $wave = function (string $figure, int $digits) use ($node): array {
            $row = $node->get($figure);
            [$mean, $swing] = [$row->get('mean')->number(), $row->get('swing')->number()];
            [$turn, $sign] = $row->has('coldest')
                ? [$row->get('coldest')->number(), -1]
                : [$row->get('most')->number(), 1];

            return array_map(
                fn (int $m): float => round($mean + $sign * $swing * cos((2 * M_PI * ($m - $turn)) / 12), $digits),
                range(0, 11),
            );
        };

        return new Climate(
            $node->get('name')->text(),
            array_map(
                fn (
                    float $celsius,
                    float $humidity,
                    float $rain,
                    float $wind,
                    float $sun,
                    float $daily,
                ): Month => new Month($celsius, $humidity, $rain, $wind, $sun, $daily),
                $wave('temperature', 1),
                $wave('humidity', 0),
                $wave('rain', 0),
                $wave('wind', 1),
                $wave('sun', 0),
                $wave('daily', 1),
            ),
            $node->get('zone')->text(),
            $node->get('design_winter_c')->number(),
            $node->get('latitude_deg')->number(),
        );
    }
}

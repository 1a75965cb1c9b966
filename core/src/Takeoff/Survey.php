<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Material\Materials;
use Apron\Rules\RuleFigures;

/**
 * A string line along a wall: how far its face stands off the string at each bracket, and what packs each out to the
 * highest.
 */
final readonly class Survey
{
    /**
     * @param  non-empty-list<array{x: float, z: float, off: float}>  $points  mm; off is outward, towards the string
     * @param  list<float>  $sizes  of spacers that there are, mm; those commonly sold where empty
     */
    public function __construct(
        public string $id,
        public string $part,
        public array $points,
        /** packing at the highest spot, mm */
        public float $least = 0.0,
        public array $sizes = [],
        public ?string $bracket = null,
        public ?string $girt = null,
    ) {
    }

    /** @return list<float> mm, the thickest first */
    public function spacers(): array
    {
        $sizes = $this->sizes === [] ? RuleFigures::of('takeoff')->numbers('spacer_sizes_mm') : $this->sizes;
        rsort($sizes);

        return $sizes;
    }

    /** The number of the point that stands furthest out. */
    public function high(): int
    {
        $offs = array_column($this->points, 'off');

        return (int) array_search(max($offs), $offs, true);
    }

    /**
     * @return list<array{x_mm: float, z_mm: float, off_mm: float, need_mm: float, spacers_mm: list<float>,
     *   left_mm: float}> at every point: what it needs, what is put there, and what is left over between the two
     */
    public function packed(): array
    {
        $out = $this->points[$this->high()]['off'] + $this->least;

        return array_map(function (array $point) use ($out): array {
            $need = $out - $point['off'];
            $put = $this->stack($need);

            return [
                'x_mm' => $point['x'],
                'z_mm' => $point['z'],
                'off_mm' => $point['off'],
                'need_mm' => round($need, 2),
                'spacers_mm' => $put,
                'left_mm' => round($need - array_sum($put), 2),
            ];
        }, $this->points);
    }

    /** @return list<float> the thickest first, as near to what is needed as half of the thinnest */
    private function stack(float $need): array
    {
        $sizes = $this->spacers();
        $thinnest = $sizes[count($sizes) - 1];
        $put = [];
        foreach ($sizes as $size) {
            while ($need >= $size - ($size === $thinnest ? $thinnest / 2 : 1e-9) && count($put) < 40) {
                $put[] = $size;
                $need -= $size;
            }
        }

        return $put;
    }

    /** @return list<array{size_mm: float, count: int}> the thickest first */
    public function counts(): array
    {
        $counts = [];
        foreach ($this->packed() as $point) {
            foreach ($point['spacers_mm'] as $size) {
                $counts["$size"] ??= ['size_mm' => $size, 'count' => 0];
                $counts["$size"]['count']++;
            }
        }
        usort($counts, fn (array $a, array $b): int => $b['size_mm'] <=> $a['size_mm']);

        return $counts;
    }

    /**
     * How many isolators: one between every bracket and girt of unlike metals.
     *
     * A metal that nobody knows is not reckoned with.
     */
    public function isolators(Materials $materials): int
    {
        [$a, $b] = [$materials->find($this->bracket ?? ''), $materials->find($this->girt ?? '')];
        $areMetal = $a?->isMetal() === true && $b?->isMetal() === true;
        $areUnlike = $areMetal && $a->family?->id !== $b->family?->id;

        return $areUnlike ? count($this->points) : 0;
    }
}

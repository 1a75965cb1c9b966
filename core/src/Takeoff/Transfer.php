<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** Bolts and things that go through, measured once from one datum, to drill plates and boards by. */
final readonly class Transfer
{
    /**
     * @param  array{float, float}  $datum  along the side and up from the foot of the part, mm
     * @param  list<array{x: float, z: float, diameter: float|null, what: string}>  $holes  mm from the datum
     */
    public function __construct(
        public string $id,
        public string $part,
        public array $datum,
        public array $holes,
    ) {
    }

    /**
     * Each hole from the datum, and in each board that it comes to lie in.
     *
     * @param  list<Layout>  $layouts  of the part
     * @return list<array{what: string, x_mm: float, z_mm: float, diameter_mm: float|null, boards: list<array{
     *   layer: string, course: int, board: int|null, x_mm: float, z_mm: float}>}> from left to right
     */
    public function drilled(array $layouts): array
    {
        $rows = [];
        foreach ($this->holes as $hole) {
            [$x, $z] = [$this->datum[0] + $hole['x'], $this->datum[1] + $hole['z']];
            $boards = [];
            foreach ($layouts as $layout) {
                foreach ($layout->as->isBoard() ? $layout->pieces : [] as $piece) {
                    if ($x >= $piece->left && $x < $piece->right && $z >= $piece->foot && $z < $piece->top) {
                        $boards[] = [
                            'layer' => $layout->layer->id,
                            'course' => $piece->course + 1,
                            'board' => $piece->from,
                            'x_mm' => round($x - $piece->left, 1),
                            'z_mm' => round($z - $piece->foot, 1),
                        ];
                    }
                }
            }
            $rows[] = [
                'what' => $hole['what'],
                'x_mm' => $hole['x'],
                'z_mm' => $hole['z'],
                'diameter_mm' => $hole['diameter'],
                'boards' => $boards,
            ];
        }
        usort($rows, fn (array $a, array $b): int => [$a['x_mm'], $a['z_mm']] <=> [$b['x_mm'], $b['z_mm']]);

        return $rows;
    }
}

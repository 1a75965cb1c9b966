<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** A field of temperatures as a page draws it: on so many lines each way, close where much happens. */
final class PlanePicture
{
    private const LINES = 90;

    /**
     * @return array{x_mm: list<float>, y_mm: list<float>, celsius: list<list<float|null>>,
     *   coldest: array{temperature: float, x: float, y: float}|null} temperatures row after row from the lowest y; null
     *   where there is no material
     */
    public static function of(PlaneHeat $heat): array
    {
        $grid = $heat->field->grid;
        [$x, $y] = [self::some($grid->x), self::some($grid->y)];
        $celsius = [];
        foreach ($y as $at) {
            $celsius[] = array_map(
                fn (float $across): ?float => self::isFilled($heat->section, $across, $at)
                    ? round($heat->field->at($across, $at), 3)
                    : null,
                $x,
            );
        }

        return ['x_mm' => $x, 'y_mm' => $y, 'celsius' => $celsius, 'coldest' => $heat->coldest()];
    }

    /**
     * @param  non-empty-list<float>  $lines
     * @return list<float>
     */
    private static function some(array $lines): array
    {
        $last = count($lines) - 1;
        $every = max(1, (int) ceil($last / self::LINES));
        $some = [];
        foreach ($lines as $i => $at) {
            if ($i % $every === 0 || $i === $last) {
                $some[] = round($at, 3);
            }
        }

        return $some;
    }

    private static function isFilled(PlaneSection $section, float $x, float $y): bool
    {
        foreach ($section->blocks as $block) {
            if ($block->rect->holds($x, $y)) {
                return true;
            }
        }

        return false;
    }
}

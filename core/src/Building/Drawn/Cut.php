<?php

declare(strict_types=1);

namespace Apron\Building\Drawn;

use Apron\Building\Joint;

/**
 * The envelope cut through: by an upright plane, drawn in mm along it and levels, or by a level one, drawn in x and y.
 *
 * @phpstan-type Line array{part: string, from: array{float, float}, to: array{float, float}, out: array{float, float}}
 * @phpstan-type Point array{joint: string, at: array{float, float}}
 */
final readonly class Cut
{
    /**
     * @param  list<Line>  $lines  each part that is cut; `out` is the unit vector to what it faces
     * @param  list<Point>  $points  where a joint is cut through
     * @param  list<string>  $kinds  of those joints
     */
    private function __construct(
        /** `section` or `plan` */
        public string $by,
        /** the level of a plan, mm; null for a section */
        public ?float $level,
        /** @var array{float, float} on plan, a place that a section goes through */
        public array $through,
        /** @var array{float, float} on plan, the unit vector along a section */
        public array $along,
        public array $lines,
        public array $points,
        public array $kinds,
    ) {
    }

    /**
     * @param  list<Line>  $lines
     * @param  list<array{Joint, array{float, float}}>  $points
     * @param  array{float, float}  $through
     * @param  array{float, float}  $along
     */
    public static function made(?float $level, array $through, array $along, array $lines, array $points): self
    {
        return new self(
            $level === null ? 'section' : 'plan',
            $level,
            $through,
            $along,
            $lines,
            array_map(fn (array $point): array => ['joint' => $point[0]->id, 'at' => $point[1]], $points),
            array_values(
                array_unique(array_map(fn (array $point): string => $point[0]->kind->value, $points)),
            ),
        );
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it, whole mm */
    public function toArray(): array
    {
        return [
            'by' => $this->by,
            'level_mm' => $this->level,
            'through_mm' => self::tenth($this->through),
            'along' => self::unit($this->along),
            'kinds' => $this->kinds,
            'lines' => array_map(
                fn (array $line): array => [
                    'part' => $line['part'],
                    'from_mm' => self::tenth($line['from']),
                    'to_mm' => self::tenth($line['to']),
                    'out' => self::unit($line['out']),
                ],
                $this->lines,
            ),
            'joints' => array_map(
                fn (array $point): array => ['joint' => $point['joint'], 'at_mm' => self::tenth($point['at'])],
                $this->points,
            ),
        ];
    }

    /**
     * @param  array{float, float}  $at
     * @return array{float, float}
     */
    private static function tenth(array $at): array
    {
        return [round($at[0], 1) + 0.0, round($at[1], 1) + 0.0];
    }

    /**
     * @param  array{float, float}  $vector
     * @return array{float, float}
     */
    private static function unit(array $vector): array
    {
        return [round($vector[0], 6) + 0.0, round($vector[1], 6) + 0.0];
    }
}

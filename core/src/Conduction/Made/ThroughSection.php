<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Conduction\AirBeside;
use Apron\Conduction\Block;
use Apron\Conduction\Flanking;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\Rect;

/** Something that goes through layers of a wall: a girt through the insulation, a stud, the edge of a slab. */
final readonly class ThroughSection
{
    private const WALL_MM = 800.0;

    /**
     * @param  list<array{float, float, float, float}>  $parts  mm along the wall from its middle, to where, mm from the
     *   inside, to where
     * @param  float  $reachMm  that it stands into the room; 0 for nothing
     */
    private function __construct(
        private Stack $wall,
        private array $parts,
        private float $conductivity,
        private float $reachMm = 0.0,
    ) {
    }

    /** A channel of sheet metal through the outer insulation, with a flange on both sides of it. */
    public static function girt(Stack $wall, float $gaugeMm, float $flangeMm, float $conductivity = 50.0): ?self
    {
        $insulation = $wall->insulation();
        if ($insulation === null || 2 * $gaugeMm > $insulation[1] - $insulation[0]) {
            return null;
        }
        [$from, $to] = $insulation;

        return new self($wall, [
            [0.0, $gaugeMm, $from, $to],
            [-$flangeMm, $gaugeMm, $from, $from + $gaugeMm],
            [0.0, $flangeMm, $to - $gaugeMm, $to],
        ], $conductivity);
    }

    /** A floor that goes as far as the outer face of what bears, or through all of the wall. */
    public static function slab(Stack $wall, float $thickMm, bool $through, float $conductivity = 2.3): self
    {
        return new self(
            $wall,
            [[-$thickMm / 2, $thickMm / 2, 0.0, $through ? $wall->thick : $wall->sheathing()]],
            $conductivity,
            1000.0,
        );
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $t = $this->wall->thick;
        $blocks = $this->wall->blocks(-self::WALL_MM, self::WALL_MM);
        foreach ($this->parts as [$x0, $x1, $y0, $y1]) {
            $from = $y0 <= 0 ? $y0 - $this->reachMm : $y0;
            $blocks[] = new Block(new Rect($x0, $from, $x1, $y1), $this->conductivity);
        }
        $wide = 2 * self::WALL_MM;
        [$rsi, $rse] = [$this->wall->assembly->rsi(), $this->wall->assembly->rse()];

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect(-self::WALL_MM, -1100.0, self::WALL_MM, 0.0), $inside, $rsi, true),
            new AirBeside(new Rect(-self::WALL_MM, $t, self::WALL_MM, $t + 100), $outside, $rse, false),
        ], [], [new Flanking($this->wall->u(), $wide)]);
    }
}

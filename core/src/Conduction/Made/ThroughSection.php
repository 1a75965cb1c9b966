<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Conduction\AirBeside;
use Apron\Conduction\Block;
use Apron\Conduction\Flanking;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\Rect;
use Apron\Rules\RuleFigures;

/** Something that goes through layers of a wall: a girt through the insulation, a stud, the edge of a slab. */
final readonly class ThroughSection
{
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
    public static function girt(Stack $wall, float $gaugeMm, float $flangeMm): ?self
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
        ], RuleFigures::of('joints')->figure('steel_w_mk'));
    }

    /** A floor that goes as far as the outer face of what bears, or through all of the wall. */
    public static function slab(Stack $wall, float $thickMm, bool $through): self
    {
        return new self(
            $wall,
            [[-$thickMm / 2, $thickMm / 2, 0.0, $through ? $wall->thick : $wall->sheathing()]],
            RuleFigures::of('joints')->figure('concrete_w_mk'),
            RuleFigures::of('joints')->figure('wall_mm'),
        );
    }

    /** A stud of the first framed layer: solid wood, or sheet metal with its flanges. */
    public static function stud(Stack $wall): ?self
    {
        [$from, $to, $layer] = $wall->framed() ?? [0.0, 0.0, null];
        $framing = $layer?->framing;
        $conductivity = $framing?->material->conductivity;
        if ($framing === null || $conductivity === null) {
            return null;
        }
        if ($framing->gaugeMm === null) {
            $wide = RuleFigures::of('joints')->figure('buck_mm');

            return new self($wall, [[-$wide / 2, $wide / 2, $from, $to]], $conductivity);
        }
        $gauge = $framing->gaugeMm;
        $flange = $framing->flangeMm ?? RuleFigures::of('joints')->figure('flange_mm');

        return new self($wall, [
            [0.0, $gauge, $from, $to],
            [0.0, $flange, $from, $from + $gauge],
            [0.0, $flange, $to - $gauge, $to],
        ], $conductivity);
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $t = $this->wall->thick;
        $long = RuleFigures::of('joints')->figure('wall_mm');
        $blocks = $this->wall->blocks(-$long, $long);
        foreach ($this->parts as [$x0, $x1, $y0, $y1]) {
            $from = $y0 <= 0 ? $y0 - $this->reachMm : $y0;
            $blocks[] = new Block(new Rect($x0, $from, $x1, $y1), $this->conductivity);
        }
        [$rsi, $rse] = [$this->wall->assembly->rsi(), $this->wall->assembly->rse()];

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect(-$long, -$long - 100, $long, 0.0), $inside, $rsi, true),
            new AirBeside(new Rect(-$long, $t, $long, $t + 100), $outside, $rse, false),
        ], [], [new Flanking($this->wall->u(), 2 * $long)]);
    }
}

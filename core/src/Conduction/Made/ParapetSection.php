<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Conduction\AirBeside;
use Apron\Conduction\Block;
use Apron\Conduction\Flanking;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\Rect;
use Apron\Rules\RuleFigures;

/**
 * The head of a wall that stands on as a parapet over a flat roof, cut upright: inside to the left below, the wall to
 * the right. What bears the wall goes up; the roof's insulation comes to it, the wall's goes on outside.
 */
final readonly class ParapetSection
{
    public function __construct(
        private Stack $wall,
        private Stack $roof,
        private ParapetWay $way,
        private float $parapetMm,
        private float $coverMm,
    ) {
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $long = RuleFigures::of('joints')->figure('wall_mm');
        [$wide, $high] = [$this->wall->thick, $this->roof->thick];
        $top = $high + $this->parapetMm;
        $bears = $this->wall->sheathing();
        $under = $this->roof->sheathing();
        $blocks = [];
        // The parapet itself: what bears the wall, and the wall's own insulation outside of it.
        $foot = $this->way === ParapetWay::OnInsulation ? $high : $under;
        foreach ($this->wall->layers as [$from, $to, $conductivity]) {
            $isCore = $to <= $bears + 1e-9;
            $blocks[] = new Block(new Rect($from, -$long, $to, $isCore ? 0.0 : $top), $conductivity);
            $isCore && $blocks[] = new Block(new Rect($from, $foot, $to, $top), $conductivity);
        }
        foreach ($this->roof->layers as [$from, $to, $conductivity]) {
            // What bears the roof lies on the wall; its insulation stops at the parapet, or goes through under it.
            $isCore = $to <= $under + 1e-9;
            $end = $isCore || $this->way === ParapetWay::OnInsulation ? $bears : 0.0;
            $blocks[] = new Block(new Rect(-$long, $from, $end, $to), $conductivity);
        }
        $over = 0.0;
        if ($this->way === ParapetWay::Wrapped) {
            $over = $this->coverMm;
            $insulation = $this->roof->insulation()[2] ?? RuleFigures::of('joints')->figure('foam_w_mk');
            $blocks[] = new Block(new Rect(-$over, $high, 0.0, $top + $over), $insulation);
            $blocks[] = new Block(new Rect(0.0, $top, $wide, $top + $over), $insulation);
        }
        [$ceiling, $face] = [$this->roof->assembly->rsi(), $this->wall->assembly->rsi()];
        $rse = $this->wall->assembly->rse();
        $corner = RuleFigures::of('joints')->figure('corner_mm');

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect(-$long, -$corner, 0.0, 0.0), $inside, $ceiling, true),
            new AirBeside(new Rect(-$corner, -$long, 0.0, -$corner), $inside, $face, true),
            new AirBeside(new Rect(-$long, 0.0, $wide + 100, $top + $over + 100), $outside, $rse, false),
            new AirBeside(new Rect(0.0, -$long, $wide + 100, 0.0), $outside, $rse, false),
        ], [], [
            new Flanking($this->wall->u(), $long + $this->roof->airPlane()),
            new Flanking($this->roof->u(), $long + $this->wall->airPlane()),
        ]);
    }
}

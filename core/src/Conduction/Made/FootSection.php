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
 * The foot of a wall at a floor on the ground, cut upright: inside to the left above, half of the floor's width of
 * ground under it, ground far beside and below. The ground lies a step below the floor, or above it, outside of a
 * cellar. ψ is what the whole loses more than the wall by its U and what lies in the ground by that of ISO 13370
 * (ISO 10211, 10.4).
 */
final readonly class FootSection
{
    public function __construct(
        private Stack $wall,
        private Stack $floor,
        /** mm that the wall's insulation goes on below the ground, or below the floor of a cellar; 0: it stops there */
        private float $edgeMm,
        /** mm of ground over the floor, outside of a cellar; 0 where the floor lies over the ground */
        private float $deepMm = 0.0,
    ) {
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $figures = RuleFigures::of('joints');
        $long = $figures->figure('wall_mm');
        $half = $figures->figure('floor_half_mm');
        $far = $figures->figure('ground_far_mm');
        $surface = $this->deepMm > 0 ? $this->deepMm : -$figures->figure('grade_mm');
        $top = max(0.0, $surface) + $long;
        $bears = $this->wall->sheathing();
        $footing = max($bears, $figures->figure('footing_mm'));
        $ground = $figures->figure('ground_w_mk');
        $blocks = [
            new Block(new Rect(-$half, -$figures->figure('ground_deep_mm'), $far, min(0.0, $surface)), $ground),
            // Beside a cellar, or between the ground beside the wall and the floor: nothing is hollow.
            $surface > 0
                ? new Block(new Rect(0.0, 0.0, $far, $surface), $ground)
                : new Block(new Rect(-$half, $surface, 0.0, 0.0), $ground),
            // Inward, where the wall is thinner than what it stands on: its outer face is that of what bears.
            new Block(
                new Rect($bears - $footing, -$figures->figure('footing_deep_mm'), $bears, 0.0),
                $figures->figure('concrete_w_mk'),
            ),
        ];
        foreach ($this->floor->layers as [$from, $to, $conductivity]) {
            $blocks[] = new Block(new Rect(-$half, -$to, 0.0, -$from), $conductivity);
        }
        foreach ($this->wall->layers as [$from, $to, $conductivity]) {
            $foot = $to <= $bears + 1e-9 ? 0.0 : min(0.0, $surface) - $this->edgeMm;
            $blocks[] = new Block(new Rect($from, $foot, $to, $top), $conductivity);
        }
        [$floor, $face] = [$this->floor->assembly->rsi(), $this->wall->assembly->rsi()];
        $corner = RuleFigures::of('joints')->figure('corner_mm');
        $under = $half + $this->wall->airPlane();
        $inGround = $surface > 0 ? $surface + $this->floor->airPlane() : 0.0;
        $over = $surface > 0 ? $long : $long + $this->floor->airPlane();
        $u = 1 / (1 / $this->wall->u() - $this->wall->assembly->rse() + $this->rse());

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect(-$half, 0.0, 0.0, $corner), $inside, $floor, true),
            new AirBeside(new Rect(-$corner, $corner, 0.0, $top), $inside, $face, true),
            new AirBeside(new Rect(0.0, $surface, $far, $top), $outside, $this->rse(), false),
        ], [], [
            new Flanking($u, $over),
            ...$inGround > 0 ? [new Flanking($this->besideGround($ground), $inGround)] : [],
            new Flanking($this->onGround(2 * $under / 1000, $ground), $under),
        ]);
    }

    /**
     * U of a floor on the ground, its edge left out, W/(m²K).
     *
     * Source: ISO 13370:2007, 9.1 and 9.3.2, equations (3) to (5), (10) and (11), from memory.
     *
     * @param  float  $across  m: characteristic dimension, the width of a floor that is much longer
     * @param  float  $ground  W/(m·K)
     */
    public function onGround(float $across, float $ground): float
    {
        $thick = $this->floorThick($ground) + $this->deepMm / 2000;

        return $thick < $across
            ? ((2 * $ground) / (M_PI * $across + $thick)) * log((M_PI * $across) / $thick + 1)
            : $ground / (0.457 * $across + $thick);
    }

    /**
     * U of the wall of a cellar as far as it stands in the ground, W/(m²K).
     *
     * Source: ISO 13370:2007, 9.3.3, equations (12) and (13), from memory.
     *
     * @param  float  $ground  W/(m·K)
     */
    public function besideGround(float $ground): float
    {
        $deep = $this->deepMm / 1000;
        $wall = $this->wall->assembly;
        $walls = $ground * (1 / $this->wall->u() - $wall->rse() + $this->rse());
        // Where the wall is worse than the floor the floor counts as no better.
        $floor = min($this->floorThick($ground), $walls);

        return ((2 * $ground) / (M_PI * $deep)) * (1 + (0.5 * $floor) / ($floor + $deep)) * log($deep / $walls + 1);
    }

    /** m of ground that hold back as much as the floor and the thickness of the wall beside it */
    private function floorThick(float $ground): float
    {
        $floor = $this->floor->assembly;
        $layers = 1 / $this->floor->u() - $floor->rsi() - $floor->rse();

        // Air lies on the ground beside the wall, and none under the floor.
        return $this->wall->thick / 1000 + $ground * ($floor->rsi() + $layers + $this->rse());
    }

    /** m²K/W of the outdoor air, which an assembly that stands in the ground does not have */
    private function rse(): float
    {
        $own = $this->wall->assembly->rse();

        return $own > 0 ? $own : RuleFigures::of('joints')->figure('unit_rse_m2k_w');
    }
}

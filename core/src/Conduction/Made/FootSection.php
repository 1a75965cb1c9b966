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
 * ground under it, ground far beside and below. ψ is what the whole loses more than the wall by its U and the floor by
 * that of a floor on the ground (ISO 13370; ISO 10211, 10.4).
 */
final readonly class FootSection
{
    private const CORNER_MM = 50.0;

    /** @param  float  $edgeMm  that the wall's insulation goes on below the ground; 0: it stops there */
    public function __construct(private Stack $wall, private Stack $floor, private float $edgeMm)
    {
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $figures = RuleFigures::of('joints');
        $long = $figures->figure('wall_mm');
        $half = $figures->figure('floor_half_mm');
        $far = $figures->figure('ground_far_mm');
        $grade = $figures->figure('grade_mm');
        $bears = $this->wall->sheathing();
        $footing = max($bears, $figures->figure('footing_mm'));
        $deep = $figures->figure('footing_deep_mm');
        $ground = $figures->figure('ground_w_mk');
        $blocks = [
            new Block(new Rect(-$half, -$figures->figure('ground_deep_mm'), $far, -$grade), $ground),
            // Between the ground beside the wall and the floor nothing is hollow.
            new Block(new Rect(-$half, -$grade, 0.0, 0.0), $ground),
            // Inward, where the wall is thinner than what it stands on: its outer face is that of what bears.
            new Block(new Rect($bears - $footing, -$deep, $bears, 0.0), $figures->figure('concrete_w_mk')),
        ];
        foreach ($this->floor->layers as [$from, $to, $conductivity]) {
            $blocks[] = new Block(new Rect(-$half, -$to, 0.0, -$from), $conductivity);
        }
        foreach ($this->wall->layers as [$from, $to, $conductivity]) {
            $foot = $to <= $bears + 1e-9 ? 0.0 : -$grade - $this->edgeMm;
            $blocks[] = new Block(new Rect($from, $foot, $to, $long), $conductivity);
        }
        [$floor, $face] = [$this->floor->assembly->rsi(), $this->wall->assembly->rsi()];
        $rse = $this->wall->assembly->rse();
        $corner = self::CORNER_MM;
        $under = $half + $this->wall->airPlane();

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect(-$half, 0.0, 0.0, $corner), $inside, $floor, true),
            new AirBeside(new Rect(-$corner, $corner, 0.0, $long), $inside, $face, true),
            new AirBeside(new Rect(0.0, -$grade, $far, $long), $outside, $rse, false),
        ], [], [
            new Flanking($this->wall->u(), $long + $this->floor->airPlane()),
            new Flanking($this->onGround(2 * $under / 1000, $ground), $under),
        ]);
    }

    /**
     * U of a floor on the ground, its edge left out, W/(m²K).
     *
     * Source: ISO 13370:2007, 9.1, equations (3) to (5), from memory.
     *
     * @param  float  $across  m: characteristic dimension, the width of a floor that is much longer
     * @param  float  $ground  W/(m·K)
     */
    public function onGround(float $across, float $ground): float
    {
        [$wall, $floor] = [$this->wall->assembly, $this->floor->assembly];
        $layers = 1 / $this->floor->u() - $floor->rsi() - $floor->rse();
        // Air lies on the ground beside the wall, and none under the floor.
        $thick = $this->wall->thick / 1000 + $ground * ($floor->rsi() + $layers + $wall->rse());

        return $thick < $across
            ? ((2 * $ground) / (M_PI * $across + $thick)) * log((M_PI * $across) / $thick + 1)
            : $ground / (0.457 * $across + $thick);
    }
}

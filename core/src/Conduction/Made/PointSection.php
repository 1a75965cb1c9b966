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
 * A screw with its washer through the outer insulation, or a bracket as a round post of the same section: cut through
 * its axis, the same all round. What its ψ comes to, with the wall around it taken off by its area, is χ (ISO 10211,
 * 7.1).
 */
final readonly class PointSection
{
    public function __construct(private Stack $wall, private Point $point)
    {
    }

    /** @return PlaneSection|null null where the wall has no insulation outside */
    public function made(string $id, string $title, float $inside, float $outside): ?PlaneSection
    {
        $insulation = $this->wall->insulation();
        if ($insulation === null) {
            return null;
        }
        $figures = RuleFigures::of('joints');
        $far = $figures->figure('point_mm');
        [$from, $to] = $insulation;
        $rod = new Rect(0.0, max(0.0, $from - $this->point->embeddedMm), $this->point->diameterMm / 2, $to);
        // Its head is no wider than its shank; what it holds down by it is, and gives the heat away.
        $washer = new Rect(0.0, $to - $figures->figure('washer_thick_mm'), $figures->figure('washer_mm') / 2, $to);
        [$rsi, $rse] = [$this->wall->assembly->rsi(), $this->wall->assembly->rse()];
        $t = $this->wall->thick;

        return new PlaneSection(
            $id,
            $title,
            [
                ...$this->wall->blocks(0.0, $far),
                new Block($washer, $this->point->conductivity),
                new Block($rod, $this->point->conductivity),
            ],
            [
                new AirBeside(new Rect(0.0, -100.0, $far, 0.0), $inside, $rsi, true),
                new AirBeside(new Rect(0.0, $t, $far, $t + 100), $outside, $rse, false),
            ],
            flanking: [new Flanking($this->wall->u(), (M_PI * $far ** 2) / 1000)],
            isRound: true,
        );
    }
}

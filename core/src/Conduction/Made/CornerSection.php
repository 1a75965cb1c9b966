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
 * Where a wall turns at right angles, cut level. The lengths that lose by U are those in the plane of the layer that
 * carries air, in which a building is measured: with the insulation outside of it an outside corner loses more than
 * they do, and an inside corner less.
 */
final readonly class CornerSection
{
    public function __construct(
        private Stack $wall,
        /** seen from outside, the wall turns in */
        private bool $turnsIn = false,
        /** W/(m·K) of what is built into the corner as deep as what bears; null for its layers going round */
        private ?float $backing = null,
    ) {
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $t = $this->wall->thick;
        $long = $t + RuleFigures::of('joints')->figure('wall_mm');
        $blocks = [];
        // Layer after layer from the longer face: each goes round beyond the next.
        foreach ($this->fromTheLongerFace() as [$from, $to, $conductivity]) {
            $blocks[] = new Block(new Rect($from, $from, $long, $to), $conductivity);
            $blocks[] = new Block(new Rect($from, $from, $to, $long), $conductivity);
        }
        if ($this->backing !== null) {
            $bears = $this->turnsIn ? $this->wall->sheathing() : $t - $this->wall->sheathing();
            $blocks[] = new Block(
                $this->turnsIn ? new Rect(0.0, 0.0, $bears, $bears) : new Rect($bears, $bears, $t, $t),
                $this->backing,
            );
        }
        [$rsi, $rse] = [$this->wall->assembly->rsi(), $this->wall->assembly->rse()];
        [$near, $nearR, $far, $farR] = $this->turnsIn
            ? [$outside, $rse, $inside, $rsi]
            : [$inside, $rsi, $outside, $rse];
        $plane = $this->turnsIn ? $this->wall->airPlane() : $t - $this->wall->airPlane();
        $beside = new Flanking($this->wall->u(), $long - $plane);

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect($t, $t, $long, $long), $near, $nearR, ! $this->turnsIn),
            new AirBeside(new Rect(-100.0, -100.0, $long, 0.0), $far, $farR, $this->turnsIn),
            new AirBeside(new Rect(-100.0, -100.0, 0.0, $long), $far, $farR, $this->turnsIn),
        ], [], [$beside, $beside]);
    }

    /** @return non-empty-list<array{float, float, float}> mm from the longer face, to where, W/(m·K) */
    private function fromTheLongerFace(): array
    {
        $t = $this->wall->thick;

        return $this->turnsIn
            ? $this->wall->layers
            : array_map(
                fn (array $layer): array => [$t - $layer[1], $t - $layer[0], $layer[2]],
                array_reverse($this->wall->layers),
            );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Conduction\AirBeside;
use Apron\Conduction\Block;
use Apron\Conduction\Flanking;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\Rect;

/**
 * Where a wall turns at right angles, by its outer sizes: the lengths that lose by U are those of the outer faces, so
 * that ψ of a corner is less than nothing (ISO 14683, external dimensions).
 */
final readonly class CornerSection
{
    private const WALL_MM = 1000.0;

    public function __construct(
        private Stack $wall,
        /** W/(m·K) of what is built into the corner as deep as what bears; null for its layers going round */
        private ?float $backing = null,
    ) {
    }

    public function made(string $id, string $title, float $inside, float $outside): PlaneSection
    {
        $t = $this->wall->thick;
        $long = $t + self::WALL_MM;
        $blocks = [];
        // Layer after layer from the outside: each goes round outside of the next.
        foreach (array_reverse($this->wall->layers) as [$from, $to, $conductivity]) {
            $blocks[] = new Block(new Rect($t - $to, $t - $to, $long, $t - $from), $conductivity);
            $blocks[] = new Block(new Rect($t - $to, $t - $to, $t - $from, $long), $conductivity);
        }
        if ($this->backing !== null) {
            $bears = $t - $this->wall->sheathing();
            $blocks[] = new Block(new Rect($bears, $bears, $t, $t), $this->backing);
        }
        [$rsi, $rse] = [$this->wall->assembly->rsi(), $this->wall->assembly->rse()];

        return new PlaneSection($id, $title, $blocks, [
            new AirBeside(new Rect($t, $t, $long, $long), $inside, $rsi, true),
            new AirBeside(new Rect(-100.0, -100.0, $long, 0.0), $outside, $rse, false),
            new AirBeside(new Rect(-100.0, -100.0, 0.0, $long), $outside, $rse, false),
        ], [], [new Flanking($this->wall->u(), $long), new Flanking($this->wall->u(), $long)]);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Conduction\Block;
use Apron\Conduction\Rect;

/**
 * The layers of an assembly that count for heat, one on the other: inside at 0, each as thick as it is and with the
 * conductivity that its place gives it. Studs and fasteners are not in it: the joint is cut between them.
 */
final readonly class Stack
{
    /** @var non-empty-list<array{float, float, float}> mm from the inside, to where, and W/(m·K) */
    public array $layers;

    /** mm */
    public float $thick;

    public function __construct(public Assembly $assembly)
    {
        $flow = $assembly->heatFlow();
        [$at, $layers] = [0.0, []];
        foreach ($assembly->reckonedLayers() as $layer) {
            $layers[] = [$at, $at + $layer->thicknessMm, $layer->thicknessMm / 1000 / $layer->resistance($flow)];
            $at += $layer->thicknessMm;
        }
        $this->layers = $layers === [] ? throw new \LogicException('a wall that is all air') : $layers;
        $this->thick = $at;
    }

    /** W/(m²K), between its airs */
    public function u(): float
    {
        $r = $this->assembly->rsi() + $this->assembly->rse();
        foreach ($this->layers as [$from, $to, $conductivity]) {
            $r += ($to - $from) / 1000 / $conductivity;
        }

        return 1 / $r;
    }

    /**
     * @return non-empty-list<Block> from one x to another, insulation outward in y
     */
    public function blocks(float $x0, float $x1): array
    {
        return array_map(
            fn (array $layer): Block => new Block(new Rect($x0, $layer[0], $x1, $layer[1]), $layer[2]),
            $this->layers,
        );
    }

    /** @return array{float, float, float}|null mm from, mm to and W/(m·K) of what insulates outside of all else */
    public function insulation(): ?array
    {
        $found = null;
        $reckoned = $this->assembly->reckonedLayers();
        for ($n = count($reckoned) - 1; $n >= 0; $n--) {
            if (! $reckoned[$n]->insulates()) {
                if ($found !== null) {
                    break;
                }

                continue;
            }
            [$from, $to, $conductivity] = $this->layers[$n];
            $found = [$from, $found[1] ?? $to, $found[2] ?? $conductivity];
        }

        return $found;
    }

    /**
     * mm: the outer face of the layer that carries air, in whose plane a building is measured; the outer face of all
     * where none does
     */
    public function airPlane(): float
    {
        foreach ($this->assembly->reckonedLayers() as $n => $layer) {
            if (in_array(Control::Air, $layer->controls, true)) {
                return $this->layers[$n][1];
            }
        }

        return $this->thick;
    }

    /** @return array{float, float, Layer}|null mm from, mm to: the first layer with framing through it */
    public function framed(): ?array
    {
        foreach ($this->assembly->reckonedLayers() as $n => $layer) {
            if ($layer->framing !== null) {
                return [$this->layers[$n][0], $this->layers[$n][1], $layer];
            }
        }

        return null;
    }

    /** mm: the outer face of what bears, on which the outer insulation lies; its inner face where there is none */
    public function sheathing(): float
    {
        return $this->insulation()[0] ?? $this->thick;
    }
}

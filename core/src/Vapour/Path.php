<?php

namespace Apron\Vapour;

use Apron\Assembly\ThermalResistance;

/**
 * The main path through an assembly, cut into slices, as parallel lists of floats: a homogeneous layer can condense
 * inside itself, with no interface near, so every layer is cut into slices of R ≤ 0.25 m²K/W (ISO 13788:2012, 6.4.3).
 * Node 0 is the inside surface, the last node the outside one.
 */
final readonly class Path
{
    public const SLICE_M2K_W = 0.25;

    /** @var list<float> resistance from the indoor air to the node, m²K/W */
    public array $resistance;

    /** @var list<float> sd from the inside surface to the node, m */
    public array $sd;

    /** @var list<int> number of the interface at the node, or −1 inside a layer */
    public array $interface;

    /** @var list<int> the layer the node lies in or, at an interface, the layer inside it */
    public array $layer;

    /** @var list<float> mm from that layer's inner face */
    public array $depthMm;

    /** @var list<float> mm from the inside surface */
    public array $positionMm;

    /** m²K/W, surfaces included */
    public float $total;

    public function __construct(ThermalResistance $heat)
    {
        $assembly = $heat->assembly;
        $r = [$assembly->rsi()];
        $sd = $depth = $position = [0.0];
        $interface = $layerOf = [0];
        $face = 0.0;
        foreach ($assembly->reckonedLayers() as $i => $layer) {
            // A hair's breadth keeps R = 0.5 at two slices when it comes out as 0.5000000000000001.
            $slices = max(1, (int) ceil($heat->layers[$i] / self::SLICE_M2K_W - 1e-9));
            [$rAt, $sdAt, $layerSd] = [end($r), end($sd), $layer->sd()];
            for ($k = 1; $k <= $slices; $k++) {
                $share = $k / $slices;
                $r[] = $rAt + $heat->layers[$i] * $share;
                $sd[] = $sdAt + $layerSd * $share;
                $interface[] = $k === $slices ? $i + 1 : -1;
                $layerOf[] = $i;
                $depth[] = $layer->thicknessMm * $share;
                $position[] = $face + $layer->thicknessMm * $share;
            }
            $face += $layer->thicknessMm;
        }
        $this->resistance = $r;
        $this->sd = $sd;
        $this->interface = $interface;
        $this->layer = $layerOf;
        $this->depthMm = $depth;
        $this->positionMm = $position;
        $this->total = $heat->mainPath;
    }

    /**
     * @return list<float> °C at each node, in the steady state between two air temperatures
     */
    public function temperatures(float $indoors, float $outdoors): array
    {
        $perResistance = ($indoors - $outdoors) / $this->total;
        $temperatures = [];
        foreach ($this->resistance as $resistance) {
            $temperatures[] = $indoors - $resistance * $perResistance;
        }

        return $temperatures;
    }

    /** @return array{interface: int}|array{layer: int, depth_mm: float} where a node is, as the file format says it */
    public function place(int $node): array
    {
        return $this->interface[$node] >= 0
            ? ['interface' => $this->interface[$node]]
            : ['layer' => $this->layer[$node], 'depth_mm' => $this->depthMm[$node]];
    }
}

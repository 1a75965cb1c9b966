<?php

namespace Apron\Assembly;

/** A wall, roof, floor or foundation wall as layers, inside to outside. */
final readonly class Assembly
{
    /** @param  list<Layer>  $layers inside to outside, at least one */
    public function __construct(
        public string $id,
        public string $name,
        public AssemblyKind $kind,
        public ?HeatFlow $statedHeatFlow,
        /** m²K/W */
        public ?float $statedRsi,
        /** m²K/W */
        public ?float $statedRse,
        public array $layers,
    ) {
    }

    public function heatFlow(): HeatFlow
    {
        return $this->statedHeatFlow ?? $this->kind->heatFlow();
    }

    /** Internal surface resistance, m²K/W. */
    public function rsi(): float
    {
        return $this->statedRsi ?? $this->heatFlow()->inside();
    }

    /**
     * External surface resistance, m²K/W. Outside a ventilated layer the air is still, so the surface there is reckoned
     * as an inner one (ISO 6946:2017, 6.9.4), whatever was stated for the face of the cladding.
     */
    public function rse(): float
    {
        return $this->ventilatedAt() !== null ? $this->rsi() : ($this->statedRse ?? HeatFlow::OUTSIDE);
    }

    /** Index of the innermost ventilated layer, or null. */
    public function ventilatedAt(): ?int
    {
        foreach ($this->layers as $i => $layer) {
            if ($layer->airLayer() === AirLayer::Ventilated) {
                return $i;
            }
        }

        return null;
    }

    /** @return list<Layer> those that count for heat and vapour: all inside the ventilated one */
    public function reckonedLayers(): array
    {
        return array_slice($this->layers, 0, $this->ventilatedAt() ?? count($this->layers));
    }

    public function thicknessMm(): float
    {
        return array_sum(array_map(fn (Layer $layer): float => $layer->thicknessMm, $this->layers));
    }
}

<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Climate\IndoorAir;
use Apron\Climate\Soil;
use Apron\Climate\SunlitFace;
use Apron\Material\Material;

/** A wall, roof, floor or foundation wall as layers, inside to outside. */
final readonly class Assembly
{
    /**
     * @param  list<Layer>  $layers inside to outside, at least one
     *
     * @throws \InvalidArgumentException where there is none
     */
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
        public SurfaceFilms $films = SurfaceFilms::Iso,
        /** the air inside of it where that is not the project's: a pool hall, a cold store */
        public ?IndoorAir $indoors = null,
        /** what lies against its outer face instead of the air */
        public ?Soil $soil = null,
        /** leakage it is reckoned with, L/(s·m²) at 75 Pa; null takes the usual figure */
        public ?float $airLeakage = null,
        /** how much driving rain it gets; null takes a wall of 10 m in open suburbs */
        public ?Exposure $exposure = null,
        /** the assembly it is set beside */
        public ?string $variantOf = null,
        /** money and hands, as somebody marked them */
        public ?Effort $effort = null,
        /** of a roof in sun; null reckons with the air alone */
        public ?SunlitFace $roofFace = null,
        /** how the drained space behind the cladding of a wall ends; null where nobody has said */
        public ?Drainage $drainage = null,
    ) {
        if ($layers === []) {
            throw new \InvalidArgumentException("the assembly $id has no layer");
        }
    }

    public function heatFlow(): HeatFlow
    {
        return $this->statedHeatFlow ?? $this->kind->heatFlow();
    }

    /** Internal surface resistance, m²K/W. */
    public function rsi(): float
    {
        return $this->statedRsi ?? $this->films->inside($this->heatFlow());
    }

    /**
     * External surface resistance, m²K/W. Outside a ventilated layer the air is still, so the surface there is reckoned
     * as an inner one (ISO 6946:2017, 6.9.4), whatever was stated for the face of the cladding. Soil has none.
     */
    public function rse(): float
    {
        return $this->ventilatedAt() !== null
            ? $this->rsi()
            : $this->statedRse ?? ($this->soil === null ? $this->films->outside() : 0.0);
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

    /** @return list<Ply> what vapour meets, inside to outside, each facer for itself */
    public function plies(): array
    {
        $plies = [];
        foreach ($this->reckonedLayers() as $i => $layer) {
            array_push($plies, ...$layer->plies($i));
        }

        return $plies;
    }

    /** @return list<Run> those that count, neighbours of one material together, inside to outside */
    public function runs(): array
    {
        $runs = [];
        foreach ($this->reckonedLayers() as $i => $layer) {
            $before = $runs === [] ? null : $runs[count($runs) - 1];
            if ($before !== null && $before->layer->material->id === $layer->material->id) {
                array_pop($runs);
                $runs[] = $before->with($i, $layer);
            } else {
                $runs[] = new Run($i, $i, $layer, $layer->thicknessMm);
            }
        }

        return $runs;
    }

    /** A layer with what is drawn beside it of the same material: a board laid double is one board as thick. */
    public function whole(int $at): Layer
    {
        $layer = $this->layers[$at];
        $mm = $layer->thicknessMm;
        $material = $layer->material->id;
        if (
            ($this->layers[$at - 1] ?? null)?->material->id !== $material &&
            ($this->layers[$at + 1] ?? null)?->material->id !== $material
        ) {
            return $layer;
        }
        foreach ([-1, 1] as $step) {
            for ($k = $at + $step; ($this->layers[$k] ?? null)?->material->id === $material; $k += $step) {
                $mm += $this->layers[$k]->thicknessMm;
            }
        }

        return $mm === $layer->thicknessMm ? $layer : $layer->changed(thicknessMm: $mm);
    }

    public function thicknessMm(): float
    {
        return array_sum(array_map(fn (Layer $layer): float => $layer->thicknessMm, $this->layers));
    }

    /** @param  list<Layer>  $layers */
    public function withLayers(array $layers): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->kind,
            $this->statedHeatFlow,
            $this->statedRsi,
            $this->statedRse,
            $layers,
            $this->films,
            $this->indoors,
            $this->soil,
            $this->airLeakage,
            $this->exposure,
            $this->variantOf,
            $this->effort,
            $this->roofFace,
            $this->drainage,
        );
    }

    /** With another layer in one place. */
    public function withLayer(int $at, Layer $layer): self
    {
        $layers = $this->layers;
        $layers[$at] = $layer;

        return $this->withLayers(array_values($layers));
    }

    /** @return array<string, Material> what its layers and their framing are made of, by id */
    public function materials(): array
    {
        $materials = [];
        foreach ($this->layers as $layer) {
            $materials[$layer->material->id] = $layer->material;
            if ($layer->framing !== null) {
                $materials[$layer->framing->material->id] = $layer->framing->material;
            }
            if ($layer->fasteners?->material !== null) {
                $materials[$layer->fasteners->material->id] = $layer->fasteners->material;
            }
        }

        return $materials;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Material\Face;
use Apron\Material\Facer;
use Apron\Material\Material;
use Apron\Material\VapourClass;
use Apron\Rules\RuleFigures;

final readonly class Layer
{
    /**
     * @param  list<Control>  $controls the control layers it is meant to carry
     * @param  list<Bridge>  $bridges through it
     *
     * @throws \InvalidArgumentException where it has no thickness
     */
    public function __construct(
        public string $id,
        public Material $material,
        public float $thicknessMm,
        /** what was typed into the thickness field, where it was typed */
        public ?string $thicknessTyped,
        public array $controls,
        public ?Framing $framing,
        public ?AirLayer $air,
        public ?Fasteners $fasteners,
        public array $bridges = [],
        public ?InvertedRoof $inverted = null,
        /** with its inner face outward: a faced batt or board put in the other way round */
        public bool $turned = false,
        /** in it, as it was laid; null for none */
        public ?AirGaps $gaps = null,
    ) {
        if ($thicknessMm <= 0) {
            throw new \InvalidArgumentException("the layer $id is $thicknessMm mm thick");
        }
    }

    /** How the air in it moves, or null for a layer of anything else. */
    public function airLayer(): ?AirLayer
    {
        return $this->air ?? ($this->material->isAir() ? AirLayer::Still : null);
    }

    /** Is there for the heat: of a material that insulates (practice.json, W/mK), and no air layer. */
    public function insulates(): bool
    {
        $conductivity = $this->material->conductivity;

        return $conductivity !== null &&
            $conductivity <= RuleFigures::of('practice')->figure('insulation_w_mk') &&
            $this->airLayer() === null;
    }

    /**
     * Resistance between its framing, m²K/W. An air layer whose material states a resistance keeps it; any other takes
     * ISO 6946's.
     */
    public function resistance(HeatFlow $flow): float
    {
        $air = $this->airLayer();
        if ($air === null) {
            return $this->material->resistanceOf($this->thicknessMm);
        }
        $still = $this->material->resistance ?? $flow->airLayer($this->thicknessMm);

        return $air === AirLayer::SlightlyVentilated ? $still / 2 : $still;
    }

    /** m, by the dry cup or, where it lies damp, the wet one */
    public function sd(bool $wet = false): float
    {
        return $this->material->sdOf($this->thicknessMm, $wet);
    }

    /** ng/(Pa·s·m²), dry cup */
    public function permeance(): float
    {
        return Material::permeanceOfSd($this->sd());
    }

    public function vapourClass(): VapourClass
    {
        return VapourClass::ofPermeance($this->permeance());
    }

    /** The same layer of something else, or of another thickness; what was typed of the old one goes. */
    public function changed(?Material $material = null, ?float $thicknessMm = null): self
    {
        return $this->but([
            'material' => $material ?? $this->material,
            'thicknessMm' => $thicknessMm ?? $this->thicknessMm,
            'thicknessTyped' => null,
        ]);
    }

    public function named(string $id): self
    {
        return $this->but(['id' => $id]);
    }

    /** @param  list<Control>  $controls */
    public function carrying(array $controls): self
    {
        return $this->but(['controls' => $controls]);
    }

    /** @param  list<Bridge>  $bridges */
    public function bridgedBy(array $bridges): self
    {
        return $this->but(['bridges' => $bridges]);
    }

    public function framedWith(?Framing $framing): self
    {
        return $this->but(['framing' => $framing]);
    }

    /** @return list<Facer> as they lie in the assembly */
    public function facers(): array
    {
        return $this->turned
            ? array_map(fn (Facer $facer): Facer => $facer->turned(), $this->material->facers)
            : $this->material->facers;
    }

    /** @return non-empty-list<Ply> itself and its facers, inside to outside */
    public function plies(int $at): array
    {
        $plies = [Ply::core($at, $this)];
        foreach ($this->facers() as $facer) {
            $facer->face === Face::Inner
                ? array_unshift($plies, Ply::facer($at, $this, $facer))
                : ($plies[] = Ply::facer($at, $this, $facer));
        }

        return $plies;
    }

    /** Whether air blows through it. */
    public function letsAirThrough(): bool
    {
        return $this->material->letsAirThrough($this->thicknessMm);
    }

    /** @param  array<string, mixed>  $changes  by the name of what changes */
    private function but(array $changes): self
    {
        /**
         * @var array{id: string, material: Material, thicknessMm: float, thicknessTyped: string|null,
         *   controls: list<Control>, framing: Framing|null, air: AirLayer|null, fasteners: Fasteners|null,
         *   bridges: list<Bridge>, inverted: InvertedRoof|null, turned: bool, gaps: AirGaps|null} $all
         */
        $all = [...get_object_vars($this), ...$changes];

        return new self(...$all);
    }
}

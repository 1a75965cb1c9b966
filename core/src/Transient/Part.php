<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Assembly\HeatFlow;
use Apron\Assembly\Layer;
use Apron\Climate\Air;
use Apron\Material\Face;
use Apron\Material\Material;

/** One layer as it is cut into cells: what it is of, how thick, and what lies on its faces. */
final readonly class Part
{
    public function __construct(
        public Material $material,
        public float $thicknessMm,
        /** W/(m·K), where its place gives it another than its material's */
        public ?float $conductivity = null,
        /** m of still air, of a facer on its inner and its outer face */
        public float $innerSd = 0.0,
        public float $outerSd = 0.0,
        /** of air, which mixes: one cell */
        public bool $isMixed = false,
    ) {
    }

    public static function of(Layer $layer, HeatFlow $flow): self
    {
        $isAir = $layer->airLayer() !== null;
        $sd = fn (Face $face): float => array_sum(array_map(
            fn ($facer): float => $facer->face === $face ? $facer->sd : 0.0,
            $layer->facers(),
        ));

        return new self(
            $layer->material,
            $layer->thicknessMm,
            $isAir ? $layer->thicknessMm / 1000 / $layer->resistance($flow) : null,
            $sd(Face::Inner),
            $sd(Face::Outer),
            $isAir,
        );
    }

    /** Of which no thickness counts: its resistance is stated, and it stores nothing. */
    public function isSheet(): bool
    {
        return ! $this->isMixed && $this->material->resistance !== null && $this->material->sorptionCurve === null;
    }

    /** m²·s·Pa/kg of all of it, as a sheet */
    public function sheetVapour(): float
    {
        return $this->material->sdOf($this->thicknessMm) / Air::VAPOUR_PERMEABILITY;
    }
}

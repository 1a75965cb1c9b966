<?php

declare(strict_types=1);

namespace Apron\Assembly;

use Apron\Material\Facer;
use Apron\Material\Family;
use Apron\Material\Material;
use Apron\Material\VapourClass;

/** What vapour meets one after another: a layer without its facers, or one of its facers. */
final readonly class Ply
{
    private function __construct(
        /** number of the layer it belongs to, and the layer */
        public int $at,
        public Layer $layer,
        public ?Facer $facer,
        /** m, by the dry cup */
        public float $sd,
        /** m, by the wet cup */
        public float $sdWet,
    ) {
    }

    public static function core(int $at, Layer $layer): self
    {
        return new self(
            $at,
            $layer,
            null,
            $layer->material->coreSdOf($layer->thicknessMm),
            $layer->material->coreSdOf($layer->thicknessMm, true),
        );
    }

    public static function facer(int $at, Layer $layer, Facer $facer): self
    {
        return new self($at, $layer, $facer, $facer->sd, $facer->sdWet);
    }

    public function name(): string
    {
        return $this->facer === null ? $this->layer->material->name : $this->facer->name;
    }

    public function family(): ?Family
    {
        return $this->facer === null ? $this->layer->material->family : $this->facer->family;
    }

    /** ng/(Pa·s·m²), dry cup */
    public function permeance(): float
    {
        return Material::permeanceOfSd($this->sd);
    }

    public function vapourClass(): VapourClass
    {
        return VapourClass::ofPermeance($this->permeance());
    }

    /**
     * The one of several that lets least vapour through; the first of equals.
     *
     * @param  array<int, self>  $plies
     */
    public static function tightest(array $plies): ?self
    {
        $tightest = null;
        foreach ($plies as $ply) {
            $tightest = $tightest === null || $ply->sd > $tightest->sd ? $ply : $tightest;
        }

        return $tightest;
    }
}

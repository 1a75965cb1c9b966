<?php

declare(strict_types=1);

namespace Apron\Contact;

/** Under what two materials meet, as far as it is said. */
final readonly class Conditions
{
    public function __construct(
        /** of the face as it is laid on, °C */
        public ?float $surfaceC = null,
        public bool $damp = false,
        public bool $dusty = false,
        public bool $frost = false,
        /** within reach of salt air or of de-icing salt */
        public bool $marine = false,
        /** whether water lies or runs there; null where nobody has said */
        public ?bool $wetPlace = null,
        /** the hottest it gets there, °C */
        public ?float $serviceC = null,
        /** of the nobler metal to the less noble */
        public ?float $areaRatio = null,
    ) {
    }

    /** The same on a face at a temperature, where none is said. */
    public function at(float $surfaceC): self
    {
        return new self(
            $this->surfaceC ?? $surfaceC,
            $this->damp,
            $this->dusty,
            $this->frost,
            $this->marine,
            $this->wetPlace,
            $this->serviceC,
            $this->areaRatio,
        );
    }
}

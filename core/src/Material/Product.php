<?php

declare(strict_types=1);

namespace Apron\Material;

/**
 * What a product's data sheet says of laying it; null where it says nothing, and the usual of its family holds.
 */
final readonly class Product
{
    /**
     * @param  array{float, float}|null  $applicationC  of the surface it is laid on, least and most
     * @param  array{float, float}|null  $serviceC
     * @param  list<string>|null  $primerOn  families it wants a primer on; none needs one where that is empty
     * @param  array{float, float}|null  $workingRangeMm  of the joint a pre-compressed tape is for
     * @param  list<string>  $testedWith  ids of materials, or families
     * @param  array{float, float}|null  $rollM  width, length
     * @param  array{float, float}|null  $boardMm
     * @param  array{float, float}|null  $lapMm  level, end
     * @param  list<string>|null  $fasteners  families of what it may be fastened with
     * @param  float|null  $primedC  the coldest face it may be laid on where that is primed
     * @param  list<array{float, float}>  $cureAt  hours to cure by °C, the coldest first
     */
    public function __construct(
        public ?array $applicationC = null,
        public ?array $serviceC = null,
        public ?bool $dampFace = null,
        public ?float $sunDays = null,
        public ?float $openMin = null,
        public ?float $tackFreeMin = null,
        public ?float $recoatH = null,
        public ?float $cureH = null,
        public ?array $primerOn = null,
        public ?bool $roll = null,
        public ?array $workingRangeMm = null,
        public array $testedWith = [],
        public ?float $coverageM2L = null,
        public ?float $solidsPct = null,
        public ?array $rollM = null,
        public ?array $boardMm = null,
        public ?float $packL = null,
        public ?array $lapMm = null,
        public ?Cure $cure = null,
        public ?ZincCoating $coating = null,
        public ?array $fasteners = null,
        public ?float $primedC = null,
        public ?NailSeal $nailSeal = null,
        public ?string $storage = null,
        public array $cureAt = [],
    ) {
    }

    /** What it says, and where it says nothing what another does. */
    public function else(?self $other): self
    {
        if ($other === null) {
            return $this;
        }

        return new self(
            applicationC: $this->applicationC ?? $other->applicationC,
            serviceC: $this->serviceC ?? $other->serviceC,
            dampFace: $this->dampFace ?? $other->dampFace,
            sunDays: $this->sunDays ?? $other->sunDays,
            openMin: $this->openMin ?? $other->openMin,
            tackFreeMin: $this->tackFreeMin ?? $other->tackFreeMin,
            recoatH: $this->recoatH ?? $other->recoatH,
            cureH: $this->cureH ?? $other->cureH,
            primerOn: $this->primerOn ?? $other->primerOn,
            roll: $this->roll ?? $other->roll,
            workingRangeMm: $this->workingRangeMm ?? $other->workingRangeMm,
            testedWith: $this->testedWith ?: $other->testedWith,
            coverageM2L: $this->coverageM2L ?? $other->coverageM2L,
            solidsPct: $this->solidsPct ?? $other->solidsPct,
            rollM: $this->rollM ?? $other->rollM,
            boardMm: $this->boardMm ?? $other->boardMm,
            packL: $this->packL ?? $other->packL,
            lapMm: $this->lapMm ?? $other->lapMm,
            cure: $this->cure ?? $other->cure,
            coating: $this->coating ?? $other->coating,
            fasteners: $this->fasteners ?? $other->fasteners,
            primedC: $this->primedC ?? $other->primedC,
            nailSeal: $this->nailSeal ?? $other->nailSeal,
            storage: $this->storage ?? $other->storage,
            cureAt: $this->cureAt ?: $other->cureAt,
        );
    }
}

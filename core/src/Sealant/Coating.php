<?php

declare(strict_types=1);

namespace Apron\Sealant;

use Apron\Material\Material;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;

/**
 * A product laid on an area: wet and dry film, in how many coats, litres and packs, what the gauge must show, and what
 * vapour then gets through. What its data sheet does not say is the usual of its family.
 */
final readonly class Coating
{
    /** @var int of readings, however small the area */
    private const LEAST_READINGS = 3;

    public WetFilm $film;

    /**
     * @param  float  $dryMm  film that is to stay
     * @param  float  $jointsM  of joints that are coated once more
     *
     * @throws \InvalidArgumentException where a film or an area is none
     */
    public function __construct(
        public Material $product,
        float $dryMm,
        public float $areaM2,
        public CoatOn $on = CoatOn::Smooth,
        public float $jointsM = 0.0,
    ) {
        if ($areaM2 <= 0 || $jointsM < 0) {
            throw new \InvalidArgumentException("an area above 0 m² and joints of 0 m or more, not $areaM2 and $jointsM");
        }
        $this->film = new WetFilm($dryMm, $this->solids());
    }

    /** Volume solids as a share: of the data sheet, or the usual of its family. */
    public function solids(): float
    {
        $said = Usual::of($this->product)->solidsPct;

        return $said === null ? RuleFigures::of('coats')->figure('solids_share') : $said / 100;
    }

    /** One, or two with the first dry before the second. */
    public function coats(): int
    {
        return (int) ceil($this->film->wetMm() / RuleFigures::of('films')->figure('one_coat_wet_mm') - 1e-9);
    }

    /** For the area and its joints, with what is left in the pail; the coverage of a data sheet wins. */
    public function litres(): float
    {
        $joints = ($this->jointsM * RuleFigures::of('films')->figure('joint_wide_mm')) / 1000;
        $area = ($this->areaM2 + $joints) * $this->on->takes();
        $loss = RuleFigures::of('coats')->figure('loss_share');
        $covers = $this->product->product?->coverageM2L;

        return $covers === null ? $this->film->litres($area, $loss) : $area / $covers / (1 - $loss);
    }

    /** Whole packs; null where nobody has said how much is in one. */
    public function packs(): ?int
    {
        $holds = Usual::of($this->product)->packL;

        return $holds === null ? null : (int) ceil($this->litres() / $holds - 1e-9);
    }

    /** So many readings by gauge, none below the least, their mean the film or more. */
    public function readings(): int
    {
        return max(
            self::LEAST_READINGS,
            (int) ceil($this->areaM2 * RuleFigures::of('films')->figure('gauge_per_m2')),
        );
    }

    public function leastReadingMm(): float
    {
        return $this->film->wetMm() * RuleFigures::of('films')->figure('gauge_share');
    }

    /** ng/(Pa·s·m²) of the film as it dries: it follows the thickness. */
    public function permeance(): float
    {
        $usual = $this->product->usualThicknessMm ?? $this->film->dryMm;
        // A permeance, or an sd, is stated of the usual film; thinner, more gets through.
        $sd = $this->product->vapourResistanceFactor === null
            ? ($this->product->sdOf($usual) * $this->film->dryMm) / $usual
            : $this->product->sdOf($this->film->dryMm);

        return Material::permeanceOfSd($sd);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Climate\Air;
use Apron\Rules\Source;

/**
 * What a layer or a piece is made of. Heat: a conductivity, or a fixed resistance where thickness does not matter (a
 * thin sheet, a stated air space). Vapour: a resistance factor μ, or a fixed sd-value or permeance (a sheet, a coat).
 * Exactly one of each group is set.
 */
final readonly class Material
{
    private const AIR = 'air';

    /** °C, the mean at which insulation is labelled in North America */
    private const LABEL_C = 24.0;

    /** Of a sheet's family, and yet only strips of it. */
    private const STRIPS = [
        'flashing-strip',
        'flashing-formable',
        'seam-tape',
        'seam-tape-butyl',
        'fluid-flashing',
        'dimple-sheet',
        'polyethylene-foam',
        'backer-rod',
    ];

    public function __construct(
        public string $id,
        public string $name,
        /** null where it is not said: then nothing is known of what it does with water */
        public ?Family $family,
        /** λ, W/(m·K) */
        public ?float $conductivity,
        /** m²K/W */
        public ?float $resistance,
        /** μ */
        public ?float $vapourResistanceFactor,
        /** sd, m of still air */
        public ?float $sd,
        /** ng/(Pa·s·m²), dry cup */
        public ?float $permeance,
        /** the same kind of figure by the wet cup, where it differs: μ, sd in m, or ng/(Pa·s·m²) */
        public ?float $wetCup,
        /** ng/(Pa·s·m²) by the mean % relative humidity at its faces: a film that opens when it is damp */
        public ?Curve $permeanceCurve,
        /** λ in W/(m·K) by its mean temperature in °C: a foam that insulates less in the cold */
        public ?Curve $conductivityCurve,
        /** kg/m³ */
        public ?float $density,
        /** J/(kg·K) */
        public ?float $specificHeat,
        /** kg/m³ of water by % relative humidity, in balance */
        public ?Curve $sorptionCurve,
        /** kg/m³ when all it can soak up has gone in */
        public ?float $freeSaturation,
        /** A, kg/(m²·s^½) */
        public ?float $waterAbsorption,
        /** kg/m³ it can take up for a while above its ordinary moisture without harm */
        public ?float $safeStore,
        /** L/(s·m²) at 75 Pa */
        public ?float $airPermeance,
        /** whether its face sheds liquid water when lapped or joined as the water plane */
        public ?bool $shedsWater,
        /** the family of its other face, where the two differ, and of what it sticks with */
        public ?Family $backFamily,
        public ?Sticks $adhesive,
        /** what a layer of it starts at when it is added */
        public ?float $usualThicknessMm,
        public Source $source,
        /** the version of the catalogue it was copied from, or null for one's own */
        public ?string $catalogue = null,
        /** W/(m·K) at 24 °C, as North American codes count its label; null where it has none of its own */
        public ?float $labelConductivity = null,
        /** loose leaves it is laid in: two of paper are two drainage planes */
        public int $leaves = 1,
        /** @var list<Facer> on its faces; its own figures are then those of the core between them */
        public array $facers = [],
        /** the family of its outer face, where that is another than its own */
        public ?Family $outerFamily = null,
        /** what its data sheet says of laying it */
        public ?Product $product = null,
        /** what it does as it gets wetter; null where nobody has measured it */
        public ?MoistureTables $moisture = null,
    ) {
    }

    /** The family of a face: of its facer, or as it is said, or its own. */
    public function faceFamily(Face $face): ?Family
    {
        foreach ($this->facers as $facer) {
            if ($facer->face === $face) {
                return $facer->family;
            }
        }

        return ($face === Face::Inner ? $this->backFamily : $this->outerFamily) ?? $this->family;
    }

    /** Thermal resistance of a thickness in mm, m²K/W. */
    public function resistanceOf(float $thicknessMm): float
    {
        return $this->resistance ?? $thicknessMm / 1000 / (float) $this->conductivity;
    }

    /** m²K/W of a thickness in mm as its label says it: at 24 °C, where its own conductivity is at 10. */
    public function labelResistanceOf(float $thicknessMm): float
    {
        $conductivity = $this->labelConductivity ?? $this->conductivityCurve?->value(self::LABEL_C);

        return $conductivity === null ? $this->resistanceOf($thicknessMm) : $thicknessMm / 1000 / $conductivity;
    }

    /**
     * Vapour-diffusion-equivalent air layer thickness of a thickness in mm, m: by the dry cup, or the wet where it has
     * one.
     */
    public function sdOf(float $thicknessMm, bool $wet = false): float
    {
        $facers = array_map(fn (Facer $facer): float => $wet ? $facer->sdWet : $facer->sd, $this->facers);

        return $this->coreSdOf($thicknessMm, $wet) + array_sum($facers);
    }

    /** The same of what lies between its facers. */
    public function coreSdOf(float $thicknessMm, bool $wet = false): float
    {
        $cup = $wet ? $this->wetCup : null;

        return match (true) {
            $this->sd !== null => $cup ?? $this->sd,
            $this->permeance !== null => self::sdOfPermeance($cup ?? $this->permeance),
            default => (($cup ?? (float) $this->vapourResistanceFactor) * $thicknessMm) / 1000,
        };
    }

    /** ng/(Pa·s·m²), of an sd in m */
    public static function permeanceOfSd(float $sd): float
    {
        return (Air::VAPOUR_PERMEABILITY * 1e12) / $sd;
    }

    /** m, of a permeance in ng/(Pa·s·m²) */
    public static function sdOfPermeance(float $permeance): float
    {
        return (Air::VAPOUR_PERMEABILITY * 1e12) / $permeance;
    }

    /**
     * kg/m² of water that so many mm of it bear for a while beyond their ordinary moisture: wood by a share of its
     * mass, anything else that water harms by what it stores. Null where water does it no harm, or nobody has said.
     */
    public function bears(float $thicknessMm): ?float
    {
        $timber = $this->family?->timber;
        $store = match (true) {
            $timber !== null && $this->density !== null => $timber->bears() * $this->density,
            $this->harmedByWater() => $this->safeStore,
            default => null,
        };

        return $store === null ? null : ($store * $thicknessMm) / 1000;
    }

    /** Keeps a way open for water to run down: a mat. */
    public function drains(): bool
    {
        return $this->family !== null && $this->family->drains;
    }

    public function isAir(): bool
    {
        return $this->family?->id === self::AIR;
    }

    public function isMetal(): bool
    {
        return $this->family !== null && $this->family->metal;
    }

    public function holdsWater(): bool
    {
        return $this->family !== null && $this->family->holdsWater;
    }

    public function harmedByWater(): bool
    {
        return $this->family !== null && $this->family->harmedByWater;
    }

    /** Whether air blows through so many mm of it; unfaced, and open foam only where it is thin. */
    public function letsAirThrough(float $thicknessMm): bool
    {
        $tightFrom = $this->family?->airTightFrom;

        return $this->family !== null &&
            $this->family->letsAirThrough &&
            ($tightFrom === null || $thicknessMm < $tightFrom);
    }

    /** Whether mould finds food on its faces: wood, paper, gypsum. */
    public function feedsMould(): bool
    {
        return $this->family !== null && $this->family->feedsMould;
    }

    public function isReservoir(): bool
    {
        return $this->family !== null && $this->family->reservoir;
    }

    /** Whether it comes in strips, and is no sheet whatever its family: by name, or by the width of its roll. */
    public function isStrip(): bool
    {
        return in_array($this->id, self::STRIPS, true) || ($this->product->rollM[0] ?? INF) < 0.5;
    }

    /** What another could take its place as: wool is a board where it is stiff enough to stand in front of the wall. */
    public function role(): ?Role
    {
        if ($this->isStrip()) {
            return null;
        }
        $board = $this->family?->boardFrom;

        return $board !== null && ($this->density ?? 0.0) >= $board ? Role::Board : $this->family?->standsInAs;
    }
}

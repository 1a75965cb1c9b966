<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\ThermalResistance;
use Apron\Rules\RuleFigures;

/**
 * Where indoor air that gets into an assembly comes to a stop: the inner face of the first closed layer behind the
 * insulation that air blows through. In a framed wall that is the inside of its sheathing. An assembly with no such
 * layer between closed ones, as one insulated only outside of its air layer, has no such place.
 */
final readonly class AirPath
{
    /** number of the interface, or null */
    public ?int $interface;

    /** m²K/W of the insulation outside of it */
    public float $exteriorR;

    /** the same as labels say it */
    public float $exteriorLabelR;

    /** m²K/W of all insulation as labels say it */
    public float $labelR;

    /** m²K/W of every layer by its label where it has one, without the surfaces */
    public float $labelTotal;

    /** m²K/W of the insulation inside of it */
    public float $interiorR;

    /** mm of the open layers that end there */
    public float $cavityMm;

    public function __construct(Assembly $assembly, ThermalResistance $heat)
    {
        $layers = $assembly->reckonedLayers();
        $stop = $first = null;
        foreach ($layers as $i => $layer) {
            $whole = $assembly->whole($i);
            $open = $whole->letsAirThrough();
            $insulates = $open && $layer->airLayer() === null;
            if ($first === null && $insulates) {
                $first = $i;
            }
            if (
                $first !== null &&
                ! $open &&
                (! self::sheet($whole->thicknessMm) || in_array(Control::Air, $layer->controls, true))
            ) {
                $stop = $i;
                break;
            }
        }
        $this->interface = $stop;
        [$inside, $outside, $cavity, $labelled, $labelledOutside] = [0.0, 0.0, 0.0, 0.0, 0.0];
        $label = 0.0;
        foreach ($layers as $i => $layer) {
            $insulates = $layer->insulates();
            $own = $insulates ? $layer->material->labelResistanceOf($layer->thicknessMm) : $heat->layers[$i];
            $label += $own;
            if ($stop === null || ! $insulates) {
                continue;
            }
            $labelled += $own;
            if ($i >= $stop) {
                $labelledOutside += $own;
                $outside += $heat->layers[$i];
            } else {
                $inside += $heat->layers[$i];
                $cavity += $i >= $first ? $layer->thicknessMm : 0.0;
            }
        }
        [$this->exteriorR, $this->interiorR, $this->cavityMm] = [$outside, $inside, $cavity];
        [$this->exteriorLabelR, $this->labelR] = [$labelledOutside, $labelled];
        $this->labelTotal = $label;
    }

    public function share(): float
    {
        return $this->exteriorR + $this->interiorR > 0 ? $this->exteriorR / ($this->exteriorR + $this->interiorR) : 0.0;
    }

    /** A sheet between two layers of wool that nobody made the air layer leaks at its laps and holes. */
    private static function sheet(float $thicknessMm): bool
    {
        return $thicknessMm < RuleFigures::of('physics')->figure('sheet_mm');
    }
}

<?php

namespace Apron\Assembly;

/**
 * R and U of an assembly: ISO 6946:2017, 6.7 (homogeneous) and 6.7.2 (combined method), with annex F for fasteners.
 * All resistances in m²K/W, surfaces included where not said otherwise.
 */
final readonly class ThermalResistance
{
    /** Above this ratio of upper to lower limit the combined method must not be used: ISO 6946:2017, 6.7.2.1. */
    public const WIDEST_RATIO = 1.5;

    /** What is counted outside a slightly ventilated layer at most: ISO 6946:2007, 5.3.3. */
    private const OUTSIDE_SLIGHTLY_VENTILATED = 0.15;

    /** Through the layers between the framing, without any bridge: the path of the profile. */
    public float $mainPath;

    public float $upperLimit;

    public float $lowerLimit;

    /** W/(m²K), of all fasteners together */
    public float $fastenersAddU;

    /** @var list<float> resistance of each reckoned layer between its framing */
    public array $layers;

    public function __construct(public Assembly $assembly)
    {
        $this->layers = $this->layerResistances($assembly);
        $surfaces = $assembly->rsi() + $assembly->rse();
        $this->mainPath = array_sum($this->layers) + $surfaces;
        [$upper, $lower] = $this->limits($assembly->reckonedLayers(), $surfaces);
        $this->upperLimit = $upper;
        $this->lowerLimit = $lower;
        $this->fastenersAddU = $this->fasteners($assembly->reckonedLayers());
    }

    /** The combined method refuses a bridge that is too strong for it, and any metal through insulation. */
    public function withinMethod(): bool
    {
        return $this->upperLimit / $this->lowerLimit <= self::WIDEST_RATIO;
    }

    /** Mean of the two limits, before fasteners; null where the method does not hold. */
    public function total(): ?float
    {
        return $this->withinMethod() ? ($this->upperLimit + $this->lowerLimit) / 2 : null;
    }

    /** W/(m²K), fasteners included; null where the method does not hold. */
    public function u(): ?float
    {
        $total = $this->total();

        return $total === null ? null : 1 / $total + $this->fastenersAddU;
    }

    /** @return list<float> */
    private function layerResistances(Assembly $assembly): array
    {
        $resistances = [];
        $left = INF;
        foreach ($assembly->reckonedLayers() as $layer) {
            $resistance = min($left, $layer->resistance($assembly->heatFlow()));
            $resistances[] = $resistance;
            $left -= $resistance;
            if ($layer->airLayer() === AirLayer::SlightlyVentilated && $left === INF) {
                $left = self::OUTSIDE_SLIGHTLY_VENTILATED;
            }
        }

        return $resistances;
    }

    /**
     * @param  list<Layer>  $layers
     * @return array{float, float} upper and lower limit
     */
    private function limits(array $layers, float $surfaces): array
    {
        // Each path through the section: its share of the area and its resistance so far.
        $paths = [['share' => 1.0, 'resistance' => $surfaces, 'framed' => false]];
        $lower = $surfaces;
        $before = null;
        foreach ($layers as $i => $layer) {
            $framing = $layer->framing;
            if ($framing === null) {
                foreach ($paths as $p => $path) {
                    $paths[$p]['resistance'] += $this->layers[$i];
                }
                $lower += $this->layers[$i];
                $before = null;

                continue;
            }
            $member = $framing->material->resistanceOf($layer->thicknessMm);
            $paths = $framing->goesOnIn($before) ? $this->goOn($paths, $this->layers[$i], $member) : $this->cross($paths, $this->layers[$i], $member, $framing->fraction);
            $lower += 1 / ((1 - $framing->fraction) / $this->layers[$i] + $framing->fraction / $member);
            $before = $framing;
        }
        $conductance = 0.0;
        foreach ($paths as $path) {
            $conductance += $path['share'] / $path['resistance'];
        }

        return [1 / $conductance, $lower];
    }

    /**
     * @param  list<array{share: float, resistance: float, framed: bool}>  $paths
     * @return list<array{share: float, resistance: float, framed: bool}>
     */
    private function goOn(array $paths, float $between, float $member): array
    {
        foreach ($paths as $p => $path) {
            $paths[$p]['resistance'] += $path['framed'] ? $member : $between;
        }

        return $paths;
    }

    /**
     * @param  list<array{share: float, resistance: float, framed: bool}>  $paths
     * @return list<array{share: float, resistance: float, framed: bool}>
     */
    private function cross(array $paths, float $between, float $member, float $fraction): array
    {
        $crossed = [];
        foreach ($paths as $path) {
            $crossed[] = ['share' => $path['share'] * (1 - $fraction), 'resistance' => $path['resistance'] + $between, 'framed' => false];
            $crossed[] = ['share' => $path['share'] * $fraction, 'resistance' => $path['resistance'] + $member, 'framed' => true];
        }

        return $crossed;
    }

    /** @param  list<Layer>  $layers */
    private function fasteners(array $layers): float
    {
        $added = 0.0;
        foreach ($layers as $i => $layer) {
            $added += $layer->fasteners?->addedU($layer->thicknessMm, $this->layers[$i], $this->mainPath) ?? 0.0;
        }

        return $added;
    }
}

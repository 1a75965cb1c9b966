<?php

declare(strict_types=1);

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

    /** W/(m²K) of gaps in insulation */
    public float $gapsAddU;

    /** W/(m²K), of rain under the insulation of an inverted roof */
    public float $rainAddsU;

    /** W/(m²K), of all girts and brackets together */
    public float $bridgesAddU;

    /** how the framing was reckoned; null where no method holds */
    public ?string $method;

    /** Mean path with the framing, before corrections; null where no method holds. */
    private ?float $total;

    /** the layer of most resistance: outside of it a material lies damp */
    public int $insulationAt;

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
        [$fasteners, $gaps, $rain, $bridges] = [0.0, 0.0, 0.0, 0.0];
        foreach ($assembly->reckonedLayers() as $i => $layer) {
            $fasteners += $layer->fasteners?->addedU($layer->thicknessMm, $this->layers[$i], $this->mainPath) ?? 0.0;
            $gaps += $layer->gaps?->addedU($this->layers[$i], $this->mainPath) ?? 0.0;
            $rain += $layer->inverted?->addedU($this->layers[$i], $this->mainPath) ?? 0.0;
            foreach ($layer->bridges as $bridge) {
                $bridges += $bridge->addedU();
            }
        }
        [$this->fastenersAddU, $this->gapsAddU] = [$fasteners, $gaps];
        [$this->rainAddsU, $this->bridgesAddU] = [$rain, $bridges];
        [$this->total, $this->method] = $this->framed($assembly->reckonedLayers(), $surfaces);
        $this->insulationAt = self::greatest($this->layers);
    }

    /**
     * The combined method refuses a bridge that is too strong for it, and any metal through insulation, whatever the
     * ratio of the limits is.
     */
    public function withinMethod(): bool
    {
        return $this->limitsClose() && ! $this->throughInsulation();
    }

    private function limitsClose(): bool
    {
        return $this->upperLimit / $this->lowerLimit <= self::WIDEST_RATIO;
    }

    /** Whether metal framing goes through a layer that insulates. */
    private function throughInsulation(): bool
    {
        foreach ($this->assembly->reckonedLayers() as $layer) {
            if ($layer->framing?->material->isMetal() === true && $layer->insulates()) {
                return true;
            }
        }

        return false;
    }

    /** Whether somebody chose the method that steel studs are reckoned by. */
    public function methodChosen(): bool
    {
        foreach ($this->assembly->reckonedLayers() as $layer) {
            if ($layer->framing?->method !== null) {
                return true;
            }
        }

        return false;
    }

    /** With the framing, before corrections; null where no method holds. */
    public function total(): ?float
    {
        return $this->total;
    }

    /**
     * Clear field, W/(m²K): fasteners, gaps and the rain under an inverted roof included; null where no method holds.
     */
    public function u(): ?float
    {
        $corrections = $this->fastenersAddU + $this->gapsAddU + $this->rainAddsU;

        return $this->total === null ? null : 1 / $this->total + $corrections;
    }

    /** With girts and brackets as well, W/(m²K). */
    public function overallU(): ?float
    {
        $u = $this->u();

        return $u === null ? null : $u + $this->bridgesAddU;
    }

    /**
     * What each bridge costs: how much U would fall without it, W/(m²K), and what share of the main path's R is lost to
     * it.
     *
     * @return list<array{layer: string, what: string, name: string, add_u_w_m2k: float}>
     */
    public function costs(): array
    {
        $costs = [];
        foreach ($this->assembly->reckonedLayers() as $i => $layer) {
            $row = fn (string $what, string $name, float $add): array => [
                'layer' => $layer->id,
                'what' => $what,
                'name' => $name,
                'add_u_w_m2k' => $add,
            ];
            if ($layer->framing !== null && $this->total !== null) {
                $without = (new self($this->assembly->withLayer($i, $layer->framedWith(null))))->total();
                if ($without !== null) {
                    $costs[] = $row('framing', $layer->framing->material->name, 1 / $this->total - 1 / $without);
                }
            }
            if ($layer->fasteners !== null) {
                $costs[] = $row(
                    'fasteners',
                    'fasteners',
                    $layer->fasteners->addedU($layer->thicknessMm, $this->layers[$i], $this->mainPath),
                );
            }
            if ($layer->inverted !== null) {
                $costs[] = $row(
                    'rain',
                    'rain under the insulation',
                    $layer->inverted->addedU($this->layers[$i], $this->mainPath),
                );
            }
            foreach ($layer->bridges as $bridge) {
                $costs[] = $row('bridge', $bridge->name, $bridge->addedU());
            }
        }

        return $costs;
    }

    /**
     * Total resistance with the framing and the method it was had by: the chosen one, else the combined method within
     * its range, else the table for steel studs, else the weighted limits.
     *
     * @param  list<Layer>  $layers
     * @return array{float|null, string|null}
     */
    private function framed(array $layers, float $surfaces): array
    {
        $chosen = $metal = null;
        foreach ($layers as $i => $layer) {
            $chosen ??= $layer->framing?->method;
            $through = $layer->framing?->material->isMetal() === true;
            $metal = $through && ($metal === null || $layer->insulates()) ? $i : $metal;
        }
        $combined = [($this->upperLimit + $this->lowerLimit) / 2, 'combined'];
        if ($chosen === null && $this->withinMethod()) {
            return $combined;
        }
        foreach ($chosen === null ? MetalFraming::cases() : [$chosen] as $method) {
            $total = $metal === null ? null : $this->metalFramed($method, $layers, $metal, $surfaces);
            if ($total !== null) {
                return [$total, $method->value];
            }
        }

        // Metal of which too little is known for a table, and little of it: the limits are close enough to say.
        return $chosen === null && $this->limitsClose() ? $combined : [null, null];
    }

    /** @param  list<Layer>  $layers */
    private function metalFramed(MetalFraming $method, array $layers, int $metal, float $surfaces): ?float
    {
        $framing = $layers[$metal]->framing ?? throw new \LogicException;
        $depth = $framing->depthMm ?? $layers[$metal]->thicknessMm;
        if ($method === MetalFraming::WeightedLimits) {
            return MetalFraming::weightedLimits($framing, $depth, $this->upperLimit, $this->lowerLimit);
        }
        $total = MetalFraming::correctionFactor($framing, $depth, $this->layers[$metal]);
        foreach ($total === null ? [] : $layers as $i => $layer) {
            $member = $layer->framing?->material->resistanceOf($layer->thicknessMm);
            $total += match (true) {
                $i === $metal => 0.0,
                $member === null => $this->layers[$i],
                default => 1 /
                    ((1 - $layer->framing->fraction) / $this->layers[$i] + $layer->framing->fraction / $member),
            };
        }

        return $total === null ? null : $total + $surfaces;
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
            $paths = $framing->goesOnIn($before)
                ? $this->goOn($paths, $this->layers[$i], $member)
                : $this->cross($paths, $this->layers[$i], $member, $framing->fraction);
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
            $crossed[] = [
                'share' => $path['share'] * (1 - $fraction),
                'resistance' => $path['resistance'] + $between,
                'framed' => false,
            ];
            $crossed[] = [
                'share' => $path['share'] * $fraction,
                'resistance' => $path['resistance'] + $member,
                'framed' => true,
            ];
        }

        return $crossed;
    }

    /** @param  list<float>  $resistances */
    private static function greatest(array $resistances): int
    {
        $greatest = 0;
        foreach ($resistances as $i => $resistance) {
            $greatest = $resistance > $resistances[$greatest] ? $i : $greatest;
        }

        return $greatest;
    }
}

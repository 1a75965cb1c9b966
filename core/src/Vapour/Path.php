<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\Assembly;
use Apron\Assembly\Ply;
use Apron\Assembly\ThermalResistance;
use Apron\Material\Curve;
use Apron\Material\Material;

/**
 * The main path through an assembly, cut into slices, as parallel lists of floats: a homogeneous layer can condense
 * inside itself, with no interface near, so every layer is cut into slices of R ≤ 0.25 m²K/W (ISO 13788:2012, 6.4.3).
 * Node 0 is the inside surface, the last node the outside one. Most walls are the same in every state; a foam that
 * insulates less in the cold and a film that opens when damp are found anew for each pair of airs.
 */
final readonly class Path
{
    public const SLICE_M2K_W = 0.25;

    /** where water gathers inside of a layer, and its amount must not hang on the slices */
    public const FINE_M2K_W = 0.1;

    /** @var list<float> resistance from the indoor air to the node, m²K/W */
    public array $resistance;

    /** @var list<float> sd from the inside surface to the node, m */
    public array $sd;

    /** @var list<int> number of the interface at the node, or −1 inside a layer */
    public array $interface;

    /** @var list<int> the layer the node lies in or, at an interface, the layer inside it */
    public array $layer;

    /** @var list<Ply> what lies inside of each node but the first */
    private array $inside;

    /** @var list<Ply> what vapour meets, inside to outside, each facer for itself */
    public array $plies;

    /** @var list<float> mm from that layer's inner face */
    public array $depthMm;

    /** @var list<float> mm from the inside surface */
    public array $positionMm;

    /** m²K/W, surfaces included */
    public float $total;

    /** @var list<array{curve: Curve, m: float, from: int, to: int}> what conducts by its own temperature */
    private array $tempered;

    /** @var list<array{curve: Curve, from: int, to: int}> layers whose permeance follows the humidity at their faces */
    private array $smart;

    private const SETTLED = 1e-10;

    public Assembly $assembly;

    /** The same in finer slices, each of a tempered layer at the conductivity of its own temperature. */
    public static function fine(ThermalResistance $heat): self
    {
        return new self($heat, self::FINE_M2K_W);
    }

    /** @param  float  $slice  m²K/W, the most of a slice */
    public function __construct(ThermalResistance $heat, float $slice = self::SLICE_M2K_W)
    {
        $this->assembly = $assembly = $heat->assembly;
        $r = [$assembly->rsi()];
        $sd = $depth = $position = [0.0];
        $interface = $layerOf = [0];
        $tempered = $smart = [];
        $plyOf = $all = [];
        $face = 0.0;
        [$from, $to] = [0, 0];
        foreach ($assembly->reckonedLayers() as $i => $layer) {
            $plies = $layer->plies($i);
            foreach ($plies as $p => $ply) {
                $all[] = $ply;
                $last = $p === count($plies) - 1;
                $core = $ply->facer === null;
                $damp = $i > $heat->insulationAt || ($i === $heat->insulationAt && ! $core && $last);
                $plySd = $damp ? $ply->sdWet : $ply->sd;
                // A hair's breadth keeps R = 0.5 at two slices when it comes out as 0.5000000000000001.
                $slices = $core ? max(1, (int) ceil($heat->layers[$i] / $slice - 1e-9)) : 1;
                [$rAt, $sdAt] = [end($r), end($sd)];
                $start = $core || ! $last ? 0.0 : $layer->thicknessMm;
                $from = $core ? count($r) - 1 : $from;
                for ($k = 1; $k <= $slices; $k++) {
                    $share = $k / $slices;
                    $depthAt = $core ? $layer->thicknessMm * $share : $start;
                    $r[] = $rAt + ($core ? $heat->layers[$i] * $share : 0.0);
                    $sd[] = $sdAt + $plySd * $share;
                    $interface[] = $k === $slices && $last ? $i + 1 : -1;
                    $layerOf[] = $i;
                    $plyOf[] = $ply;
                    $depth[] = $depthAt;
                    $position[] = $face + $depthAt;
                }
                $to = $core ? count($r) - 1 : $to;
            }
            $face += $layer->thicknessMm;
            $ends = ['from' => $from, 'to' => $to];
            if ($layer->material->conductivityCurve !== null && $layer->airLayer() === null) {
                $parts = $slice < self::SLICE_M2K_W ? $to - $from : 1;
                $nodes = ($to - $from) / $parts;
                for ($k = 0; $k < $parts; $k++) {
                    $tempered[] = [
                        'curve' => $layer->material->conductivityCurve,
                        'm' => $layer->thicknessMm / 1000 / $parts,
                        'from' => $from + (int) ($k * $nodes),
                        'to' => $from + (int) (($k + 1) * $nodes),
                    ];
                }
            }
            if ($layer->material->permeanceCurve !== null) {
                $smart[] = ['curve' => $layer->material->permeanceCurve] + $ends;
            }
        }
        $this->resistance = $r;
        $this->sd = $sd;
        $this->interface = $interface;
        $this->layer = $layerOf;
        $this->inside = $plyOf;
        $this->plies = $all;
        $this->depthMm = $depth;
        $this->positionMm = $position;
        $this->total = $heat->mainPath;
        $this->tempered = $tempered;
        $this->smart = $smart;
    }

    /** What lies just inside of a node; null at the inside surface. */
    public function inside(int $node): ?Ply
    {
        return $this->inside[$node - 1] ?? null;
    }

    /** What lies just outside of a node; null at the outside surface. */
    public function outside(int $node): ?Ply
    {
        return $this->inside[$node] ?? null;
    }

    /**
     * Resistances between two air temperatures, each tempered layer at the conductivity of its own mean temperature.
     *
     * @return array{list<float>, float} m²K/W from the indoor air to each node, and in all
     */
    public function warmth(float $indoors, float $outdoors): array
    {
        [$at, $total] = [$this->resistance, $this->total];
        if ($this->tempered === []) {
            return [$at, $total];
        }
        for ($turn = 0; $turn < 60; $turn++) {
            [$moved, $shift, $before] = [0.0, 0.0, 0];
            $next = $at;
            foreach ($this->tempered as ['curve' => $curve, 'm' => $metres, 'from' => $from, 'to' => $to]) {
                $mean = $indoors - (($indoors - $outdoors) * ($at[$from] + $at[$to])) / 2 / $total;
                $change = $metres / $curve->value($mean) - ($at[$to] - $at[$from]);
                for ($node = $before; $node <= $to; $node++) {
                    $next[$node] = $at[$node] + $shift + $change * max(0.0, ($node - $from) / ($to - $from));
                }
                [$shift, $before, $moved] = [$shift + $change, $to + 1, max($moved, abs($change))];
            }
            for ($node = $before; $node < count($at); $node++) {
                $next[$node] = $at[$node] + $shift;
            }
            [$at, $total] = [array_values($next), $total + $shift];
            if ($moved < self::SETTLED) {
                break;
            }
        }

        return [$at, $total];
    }

    /**
     * sd to each node, each smart layer at the permeance of the mean humidity at its faces while nothing is held wet.
     * From dry upwards by half steps: it comes to rest at the tightest state that agrees with itself.
     *
     * @param  list<float>  $saturation  Pa at each node
     * @return list<float> m
     */
    public function openness(array $saturation, float $inside, float $outside): array
    {
        $sd = $this->sd;
        if ($this->smart === []) {
            return $sd;
        }
        $last = count($sd) - 1;
        $humidity = array_fill(0, count($this->smart), 0.0);
        for ($turn = 0; $turn < 100; $turn++) {
            foreach ($this->smart as $k => ['curve' => $curve, 'from' => $from, 'to' => $to]) {
                $wanted = Material::sdOfPermeance($curve->value(100 * $humidity[$k]));
                $change = $wanted - ($sd[$to] - $sd[$from]);
                foreach ($sd as $node => $before) {
                    $sd[$node] = $before + $change * max(0.0, min(1.0, ($node - $from) / ($to - $from)));
                }
            }
            $touched = TautString::touches($sd, $saturation, 0, $last, $inside, $outside);
            $at = [0 => $inside];
            foreach ($touched as $node) {
                $at[$node] ??= $node === $last ? $outside : $saturation[$node];
            }
            $pressure = TautString::pressures($sd, $touched, $at);
            $moved = 0.0;
            foreach ($this->smart as $k => ['from' => $from, 'to' => $to]) {
                $mean = ($pressure[$from] / $saturation[$from] + $pressure[$to] / $saturation[$to]) / 2;
                $moved = max($moved, abs($mean - $humidity[$k]));
                $humidity[$k] += ($mean - $humidity[$k]) / 2;
            }
            if ($moved < self::SETTLED) {
                break;
            }
        }

        return $sd;
    }

    /**
     * What the smart layers between two nodes add to sd when the humidity at their faces is so many %, m; usually below
     * zero.
     */
    public function smartChange(int $from, int $to, float $humidity): float
    {
        $change = 0.0;
        foreach ($this->smart as ['curve' => $curve, 'from' => $inner, 'to' => $outer]) {
            if ($inner >= $from && $outer <= $to) {
                $change += Material::sdOfPermeance($curve->value($humidity)) - ($this->sd[$outer] - $this->sd[$inner]);
            }
        }

        return $change;
    }

    /** @return array{interface: int}|array{layer: int, depth_mm: float} where a node is, as the file format says it */
    public function place(int $node): array
    {
        return $this->interface[$node] >= 0
            ? ['interface' => $this->interface[$node]]
            : ['layer' => $this->layer[$node], 'depth_mm' => $this->depthMm[$node]];
    }
}

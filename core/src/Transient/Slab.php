<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Climate\Air;

/**
 * Layers cut into cells, finer towards their faces, with a node of next to no thickness on both sides. A sheet has no
 * cells: it is a resistance between two of them, and lets no liquid through.
 */
final class Slab
{
    /** m: a face that stored nothing could not bear the dew that falls on it */
    private const FACE = 1e-5;

    /** @var list<float> m, by node; next to nothing at both faces */
    public array $thick = [self::FACE];

    /** @var list<int> by node: its material among `tables` */
    public array $of = [];

    /** @var list<int> by node: its layer */
    public array $layer = [];

    /** @var list<float> m from the inner face to the middle of each node */
    public array $depth = [0.0];

    /** @var list<float> m²K/W between a node and the next, of sheets */
    public array $sheetHeat = [];

    /** @var list<float> m²·s·Pa/kg between a node and the next, of sheets */
    public array $sheetVapour = [];

    /** @var list<bool> whether a sheet lies between a node and the next */
    public array $isSheet = [];

    /** @var list<MoistTable> */
    public array $tables = [];

    /** @var list<array{int, int}|null> by layer: its first node and its last; null of a sheet */
    public array $nodesOf = [];

    /** @var list<float> m from the inner face, of the boundaries between layers and of both faces */
    public array $boundaries = [0.0];

    /**
     * @param  list<Part>  $parts  from the left or the inside
     *
     * @throws \InvalidArgumentException where nothing of it has a thickness
     */
    public function __construct(public readonly array $parts, Mesh $mesh)
    {
        $heat = $vapour = $at = 0.0;
        $sheet = false;
        foreach ($parts as $n => $part) {
            $metres = $part->thicknessMm / 1000;
            $depth = $at;
            $at += $metres;
            $this->boundaries[] = $at;
            $vapour += $part->innerSd / Air::VAPOUR_PERMEABILITY;
            $sheet = $sheet || $part->innerSd > 0;
            if ($part->isSheet()) {
                $heat += (float) $part->material->resistance;
                $vapour += $part->sheetVapour() + $part->outerSd / Air::VAPOUR_PERMEABILITY;
                $sheet = true;
                $this->nodesOf[] = null;

                continue;
            }
            $table = count($this->tables);
            $this->tables[] = new MoistTable($part);
            $first = count($this->thick);
            foreach ($part->isMixed ? [$metres] : self::cells($metres, $mesh) as $k => $thick) {
                // What lies between this cell and the node before it.
                $this->sheetHeat[] = $k === 0 ? $heat : 0.0;
                $this->sheetVapour[] = $k === 0 ? $vapour : 0.0;
                $this->isSheet[] = $k === 0 && $sheet;
                $this->thick[] = $thick;
                $this->of[] = $table;
                $this->layer[] = $n;
                $this->depth[] = $depth + 0.5 * $thick;
                $depth += $thick;
            }
            $this->nodesOf[] = [$first, count($this->thick) - 1];
            $heat = 0.0;
            $vapour = $part->outerSd / Air::VAPOUR_PERMEABILITY;
            $sheet = $part->outerSd > 0;
        }
        if ($this->of === []) {
            throw new \InvalidArgumentException('sheets alone store nothing: no layer of it has a thickness');
        }
        [$this->sheetHeat[], $this->sheetVapour[], $this->isSheet[]] = [$heat, $vapour, $sheet];
        // The nodes at both faces are of the material behind them.
        $this->thick[] = self::FACE;
        $this->depth[] = $at;
        $last = count($this->of) - 1;
        $this->of = [$this->of[0], ...$this->of, $this->of[$last]];
        $this->layer = [$this->layer[0], ...$this->layer, $this->layer[$last]];
    }

    /** The node at the outer face of a layer; of a sheet, the one outside of it. */
    public function outside(int $layer): int
    {
        for ($n = $layer; $n < count($this->nodesOf); $n++) {
            if ($this->nodesOf[$n] !== null) {
                return $n === $layer ? $this->nodesOf[$n][1] : $this->nodesOf[$n][0];
            }
        }

        return $this->nodes() - 1;
    }

    /** @return list<int> nodes at a boundary between layers: what lies before it and after it, sheets left out */
    public function beside(int $boundary): array
    {
        $count = count($this->nodesOf);
        if ($boundary === 0 || $boundary === $count) {
            return [$boundary === 0 ? 0 : $this->nodes() - 1];
        }
        $nodes = array_filter([
            $this->nodesOf[$boundary - 1][1] ?? null,
            $this->nodesOf[$boundary][0] ?? null,
        ], fn (?int $node): bool => $node !== null);
        if ($nodes !== []) {
            return array_values($nodes);
        }

        return [$this->outside($boundary)];
    }

    public function nodes(): int
    {
        return count($this->thick);
    }

    /** kg/m² in each layer */
    public function waterIn(int $layer, State $state): float
    {
        if ($this->nodesOf[$layer] === null) {
            return 0.0;
        }
        $sum = 0.0;
        for ([$k, $last] = $this->nodesOf[$layer]; $k <= $last; $k++) {
            $sum += $this->thick[$k] * $this->tables[$this->of[$k]]->waterAt($state->humidity[$k]);
        }

        return $sum;
    }

    /** kg/m² in all of it, without what lies on its faces */
    public function water(State $state): float
    {
        $sum = 0.0;
        foreach (array_keys($this->nodesOf) as $layer) {
            $sum += $this->waterIn($layer, $state);
        }

        return $sum;
    }

    /**
     * @param  float  $metres  from the inner face
     * @return array{celsius: float, humidity: float, water: float} °C, share of 1, kg/m³
     */
    public function at(float $metres, State $state): array
    {
        $k = 0;
        $last = $this->nodes() - 2;
        while ($k < $last && $this->depth[$k + 1] < $metres) {
            $k++;
        }
        // Across a boundary the nearer node tells: humidity is not a straight line through a sheet.
        $long = $this->depth[$k + 1] - $this->depth[$k];
        $share = $long > 0 ? max(0.0, min(1.0, ($metres - $this->depth[$k]) / $long)) : 0.0;
        if ($this->layer[$k] !== $this->layer[$k + 1] || $this->isSheet[$k]) {
            $share = round($share);
        }
        [$phi, $t] = [$state->humidity, $state->celsius];
        $humidity = (1 - $share) * $phi[$k] + $share * $phi[$k + 1];

        return [
            'celsius' => (1 - $share) * $t[$k] + $share * $t[$k + 1],
            'humidity' => $humidity,
            'water' => $this->tables[$this->of[$share < 0.5 ? $k : $k + 1]]->waterAt($humidity),
        ];
    }

    /** @return list<float> m, thin at both ends */
    private static function cells(float $thick, Mesh $mesh): array
    {
        $half = [];
        $sum = 0.0;
        $most = $thick * $mesh->widest;
        for ($size = min($mesh->finest, $thick / 4); $sum < $thick / 2; $size = min($most, $size * $mesh->grows)) {
            $half[] = $size;
            $sum += $size;
        }
        $scale = $thick / 2 / $sum;
        $half = array_map(fn (float $size): float => $size * $scale, $half);

        return [...$half, ...array_reverse($half)];
    }
}

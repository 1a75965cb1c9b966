<?php

declare(strict_types=1);

namespace Apron\Conduction;

/**
 * Temperatures of a section on one grid, by the box around each node (ISO 10211): half of each cell beside it, and of
 * the faces it shares with air. Symmetric, so that what one air gives the other takes.
 */
final class PlaneField
{
    /** W/(m·K), of nothing: a cell that no block fills */
    private const NOTHING = 0.0;

    /** mm; so far beyond a face is asked for what is there */
    private const BESIDE = 1e-7;

    /** @var array<int, float> °C by node, row after row from the lowest y */
    public readonly array $temperatures;

    /** @var array<int, float> W/m out of each air, by its place in the section */
    public readonly array $flows;

    /** @var array<int, array<int, float>> by air, by node: the conductance of its faces there, W/(m·K) */
    private array $faces = [];

    /** @var array<int, array<int, int>> by node: airs that hold it at their temperature */
    private array $held = [];

    private readonly float $coldest;

    /** @var array<int, float> W/(m·K) of each cell, with a ring around */
    private readonly array $cells;

    /** @throws \Apron\Budget\TakesTooLong */
    public function __construct(
        private readonly PlaneSection $section,
        public readonly PlaneGrid $grid,
        ?self $coarser = null,
    ) {
        $this->coldest = min(array_map(fn (AirBeside $air): float => $air->temperature, $section->airs));
        $this->cells = $this->filled();
        [$this->temperatures, $this->flows] = $this->solved($coarser);
    }

    /** °C at a point of the section, between the four nodes around it */
    public function at(float $x, float $y): float
    {
        [$i, $s] = self::place($this->grid->x, $x);
        [$j, $t] = self::place($this->grid->y, $y);
        $wide = count($this->grid->x);
        $at = fn (int $i, int $j): float => $this->temperatures[$j * $wide + $i];

        return (1 - $t) * ((1 - $s) * $at($i, $j) + $s * $at($i + 1, $j))
            + $t * ((1 - $s) * $at($i, $j + 1) + $s * $at($i + 1, $j + 1));
    }

    /** @return array{temperature: float, x: float, y: float}|null °C and mm of the coldest place of faces inside */
    public function coldestInside(): ?array
    {
        $wide = count($this->grid->x);
        $least = null;
        foreach ($this->section->airs as $a => $air) {
            if (! $this->section->isInside($air)) {
                continue;
            }
            foreach (array_keys($this->faces[$a] ?? []) as $node) {
                if ($least === null || $this->temperatures[$node] < $this->temperatures[$least]) {
                    $least = $node;
                }
            }
        }

        return $least === null ? null : [
            'temperature' => $this->temperatures[$least],
            'x' => $this->grid->x[$least % $wide],
            'y' => $this->grid->y[intdiv($least, $wide)],
        ];
    }

    /** @return array{array<int, float>, array<int, float>} °C by node, W/m by air */
    private function solved(?self $coarser): array
    {
        $wide = count($this->grid->x);
        $high = count($this->grid->y);
        [$east, $north] = $this->conductances();
        $this->findFaces();
        $count = $wide * $high;
        $right = array_fill(0, $count, 0.0);
        $sum = $right;
        for ($i = 0; $i < $count; $i++) {
            $sum[$i] = $east[$i] + $north[$i] + ($east[$i - 1] ?? 0.0) + ($north[$i - $wide] ?? 0.0);
        }
        foreach ($this->faces as $a => $faces) {
            $above = $this->section->airs[$a]->temperature - $this->coldest;
            foreach ($faces as $node => $conductance) {
                $sum[$node] += $conductance;
                $right[$node] += $conductance * $above;
            }
        }
        $kept = $this->hold($sum, $east, $north, $right);
        // What no block fills takes part with nothing.
        for ($i = 0; $i < $count; $i++) {
            $sum[$i] = $sum[$i] > 0.0 ? $sum[$i] : 1.0;
        }
        $solved = (new ConjugateGradients($sum, $east, $north, $wide))->solve($right, $this->guess($coarser));
        $temperatures = [];
        foreach ($solved as $above) {
            $temperatures[] = $above + $this->coldest;
        }

        return [$temperatures, $this->flowsOf($kept, $temperatures)];
    }

    /** @return array<int, float> K above the coldest air, by node */
    private function guess(?self $coarser): array
    {
        if ($coarser === null) {
            return array_fill(0, $this->grid->nodes(), 0.0);
        }
        $across = array_map(fn (float $x): array => self::place($coarser->grid->x, $x), $this->grid->x);
        $wide = count($coarser->grid->x);
        $from = $coarser->temperatures;
        $guess = [];
        foreach ($this->grid->y as $y) {
            [$j, $t] = self::place($coarser->grid->y, $y);
            foreach ($across as [$i, $s]) {
                $at = $j * $wide + $i;
                $guess[] = (1 - $t) * ((1 - $s) * $from[$at] + $s * $from[$at + 1])
                    + $t * ((1 - $s) * $from[$at + $wide] + $s * $from[$at + $wide + 1]) - $this->coldest;
            }
        }

        return $guess;
    }

    /**
     * From each node to the next and to the one above: of the two cells beside the way, half of each.
     *
     * @return array{array<int, float>, array<int, float>} W/(m·K) for each metre of joint
     */
    private function conductances(): array
    {
        [$x, $y] = [$this->grid->x, $this->grid->y];
        $wide = count($x);
        $east = $north = array_fill(0, $wide * count($y), 0.0);
        for ($j = 0, $rows = count($y) - 1; $j < $rows; $j++) {
            $dy = $y[$j + 1] - $y[$j];
            for ($i = 0; $i < $wide - 1; $i++) {
                $conductivity = $this->cells[($j + 1) * ($wide + 1) + $i + 1];
                $dx = $x[$i + 1] - $x[$i];
                $at = $j * $wide + $i;
                $along = (0.5 * $conductivity * $dy * $this->round($i, $i + 1)) / $dx;
                $east[$at] += $along;
                $east[$at + $wide] += $along;
                // Round an axis the outer half of a cell is longer than the inner.
                [$inner, $outer] = $this->halves($i);
                $north[$at] += ($conductivity * $inner) / $dy;
                $north[$at + 1] += ($conductivity * $outer) / $dy;
            }
        }

        return [$east, $north];
    }

    /** How long what lies between two lines is: m round the axis at their middle, or a metre of joint, as 1. */
    private function round(int $one, int $other): float
    {
        return $this->section->isRound
            ? (M_PI * ($this->grid->x[$one] + $this->grid->x[$other])) / 1000
            : 1.0;
    }

    /**
     * The level faces of both halves of a column of cells, mm for each metre of joint; round an axis mm times m.
     *
     * @return array{float, float} inner, outer
     */
    private function halves(int $column): array
    {
        [$from, $to] = [$this->grid->x[$column], $this->grid->x[$column + 1]];
        $half = 0.5 * ($to - $from);
        if (! $this->section->isRound) {
            return [$half, $half];
        }
        $middle = $from + $half;

        return [(M_PI * ($middle ** 2 - $from ** 2)) / 1000, (M_PI * ($to ** 2 - $middle ** 2)) / 1000];
    }

    /**
     * W/(m·K) of each cell, later blocks over earlier ones, row after row, with a ring of cells of nothing around.
     *
     * @return array<int, float>
     */
    private function filled(): array
    {
        [$x, $y] = [$this->grid->x, $this->grid->y];
        $row = count($x) + 1;
        $cells = array_fill(0, $row * (count($y) + 1), self::NOTHING);
        foreach ($this->section->blocks as $block) {
            $left = self::line($x, $block->rect->x0) + 1;
            $right = self::line($x, $block->rect->x1);
            $top = self::line($y, $block->rect->y1);
            for ($j = self::line($y, $block->rect->y0) + 1; $j <= $top; $j++) {
                for ($i = $left; $i <= $right; $i++) {
                    $cells[$j * $row + $i] = $block->conductivity;
                }
            }
        }

        return $cells;
    }

    /** Faces of cells that are filled, with air on the other side: each gives its two nodes a half. */
    private function findFaces(): void
    {
        [$x, $y] = [$this->grid->x, $this->grid->y];
        $wide = count($x);
        $high = count($y);
        $row = $wide + 1;
        for ($j = 0; $j < $high; $j++) {
            for ($i = 0; $i < $wide; $i++) {
                $node = $j * $wide + $i;
                // Upward from the node, between the cells to its left and right; then to the right of it.
                $cell = ($j + 1) * $row + $i;
                if ($j < $high - 1 && $this->isFace($this->cells[$cell], $this->cells[$cell + 1])) {
                    $beyond = $this->cells[$cell] === self::NOTHING ? -self::BESIDE : self::BESIDE;
                    $air = $this->airAt($x[$i] + $beyond, 0.5 * ($y[$j] + $y[$j + 1]));
                    $half = 0.5 * ($y[$j + 1] - $y[$j]) * $this->round($i, $i);
                    $this->face($air, [$node => $half, $node + $wide => $half]);
                }
                $cell = $j * $row + $i + 1;
                if ($i < $wide - 1 && $this->isFace($this->cells[$cell], $this->cells[$cell + $row])) {
                    $beyond = $this->cells[$cell] === self::NOTHING ? -self::BESIDE : self::BESIDE;
                    $air = $this->airAt(0.5 * ($x[$i] + $x[$i + 1]), $y[$j] + $beyond);
                    [$inner, $outer] = $this->halves($i);
                    $this->face($air, [$node => $inner, $node + 1 => $outer]);
                }
            }
        }
    }

    private function isFace(float $one, float $other): bool
    {
        return ($one === self::NOTHING) !== ($other === self::NOTHING);
    }

    /** The air at a place, the last that is said of it; −1 where there is none. */
    private function airAt(float $x, float $y): int
    {
        $found = -1;
        foreach ($this->section->airs as $a => $air) {
            if ($air->rect->holds($x, $y)) {
                $found = $a;
            }
        }

        return $found;
    }

    /** @param  array<int, float>  $lengths  mm by node, round an axis mm times m */
    private function face(int $air, array $lengths): void
    {
        if ($air < 0) {
            return;
        }
        $resistance = $this->section->airs[$air]->resistance;
        foreach ($lengths as $node => $length) {
            $given = $resistance > 0.0 ? $length / 1000 / $resistance : 0.0;
            $this->faces[$air][$node] = ($this->faces[$air][$node] ?? 0.0) + $given;
            if ($resistance === 0.0) {
                $this->held[$node][$air] = $air;
            }
        }
    }

    /**
     * Nodes at the temperature of an air are taken out of the system, and what they give kept.
     *
     * @param  array<int, float>  $sum
     * @param  array<int, float>  $east
     * @param  array<int, float>  $north
     * @param  array<int, float>  $right
     * @return list<array{int, int, float}> node held, node beside it, conductance between them
     */
    private function hold(array &$sum, array &$east, array &$north, array &$right): array
    {
        $wide = count($this->grid->x);
        $kept = [];
        foreach (array_keys($this->held) as $node) {
            $above = $this->heldAt($node) - $this->coldest;
            foreach ([[$node, $node + 1], [$node - 1, $node - 1]] as [$of, $beside]) {
                $kept[] = [$node, $beside, $east[$of] ?? 0.0];
                $east[$of] = 0.0;
            }
            foreach ([[$node, $node + $wide], [$node - $wide, $node - $wide]] as [$of, $beside]) {
                $kept[] = [$node, $beside, $north[$of] ?? 0.0];
                $north[$of] = 0.0;
            }
            $sum[$node] = 1.0;
            $right[$node] = $above;
        }
        // The first node has none before it, the last none after it.
        unset($east[-1], $north[-1]);
        for ($k = 1; $k <= $wide; $k++) {
            unset($north[-$k]);
        }
        $kept = array_values(array_filter($kept, fn (array $way): bool => $way[2] > 0.0));
        foreach ($kept as [$node, $beside, $conductance]) {
            if (! isset($this->held[$beside])) {
                $right[$beside] += $conductance * ($this->heldAt($node) - $this->coldest);
            }
        }

        return $kept;
    }

    /** °C that the airs at a node hold it at, between them where they are several */
    private function heldAt(int $node): float
    {
        $sum = 0.0;
        foreach ($this->held[$node] as $a) {
            $sum += $this->section->airs[$a]->temperature;
        }

        return $sum / count($this->held[$node]);
    }

    /**
     * @param  list<array{int, int, float}>  $kept
     * @param  array<int, float>  $temperatures  °C by node
     * @return array<int, float> W/m out of each air
     */
    private function flowsOf(array $kept, array $temperatures): array
    {
        $flows = array_map(fn (): float => 0.0, $this->section->airs);
        foreach ($this->faces as $a => $faces) {
            foreach ($faces as $node => $conductance) {
                if (! isset($this->held[$node])) {
                    $flows[$a] += $conductance * ($this->section->airs[$a]->temperature - $temperatures[$node]);
                }
            }
        }
        foreach ($kept as [$node, $beside, $conductance]) {
            $flow = $conductance * ($temperatures[$node] - $temperatures[$beside]);
            foreach ([[$node, $flow], [$beside, -$flow]] as [$of, $given]) {
                // Between two that are held it was kept once, from the first of them.
                foreach ($this->held[$of] ?? [] as $a) {
                    $flows[$a] += $given / count($this->held[$of]);
                }
            }
        }

        return $flows;
    }

    /**
     * @param  list<float>  $lines
     * @return array{int, float} the line before, and the share of the way to the next
     */
    private static function place(array $lines, float $at): array
    {
        [$low, $high] = [0, count($lines) - 1];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($lines[$middle] <= $at) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return [$low, max(0.0, min(1.0, ($at - $lines[$low]) / ($lines[$high] - $lines[$low])))];
    }

    /** @param  list<float>  $lines */
    private static function line(array $lines, float $at): int
    {
        [$before, $share] = self::place($lines, $at);

        return $share > 0.5 ? $before + 1 : $before;
    }
}

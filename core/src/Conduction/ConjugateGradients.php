<?php

declare(strict_types=1);

namespace Apron\Conduction;

use Apron\Budget\Deadline;

/**
 * Solves what a grid of conductances comes to, by conjugate gradients after a modified incomplete factorisation
 * (Gustafsson 1978), each step of which costs hardly more than one product with the matrix (Eisenstat 1981).
 *
 * A node has a conductance to the next in its row (`east`), to the one above (`north`), and a sum of all that it has
 * (`sum`, which is greater where it touches air). One field of floats for each: no objects, nothing made in the loop.
 */
final class ConjugateGradients
{
    /** how much of what the factorisation leaves out is given to its diagonal; all of it is not safe at edges */
    private const MODIFIED = 0.998;

    private const MOST_STEPS = 5000;

    /** @var int steps it took */
    public int $steps = 0;

    /**
     * @param  array<int, float>  $sum  by node, row after row; positive
     * @param  array<int, float>  $east  by node, 0 at the end of a row
     * @param  array<int, float>  $north  by node, 0 in the last row
     * @param  int  $wide  nodes in a row
     */
    public function __construct(
        private readonly array $sum,
        private readonly array $east,
        private readonly array $north,
        private readonly int $wide,
    ) {
    }

    /**
     * @param  array<int, float>  $right  by node
     * @param  array<int, float>  $guess  by node
     * @param  float  $within  of the first residual, in the norm of the factorised system
     * @return array<int, float> by node
     *
     * @throws \Apron\Budget\TakesTooLong
     */
    public function solve(array $right, array $guess, float $within = 1e-10): array
    {
        $wide = $this->wide;
        $n = count($this->sum);
        $end = $n + $wide;
        [$scale, $e, $u, $diagonal] = $this->scaled();
        // One row of zeros on each side: no node has to ask whether it has a neighbour.
        $zeros = array_fill(0, $n + 2 * $wide, 0.0);
        $x = $r = $p = $t = $w = $zeros;
        // The residual of the guess, in the scaled system.
        for ($i = 0; $i < $n; $i++) {
            $w[$i + $wide] = $guess[$i] / $scale[$i + $wide];
        }
        for ($i = $wide; $i < $end; $i++) {
            $t[$i] = $right[$i - $wide] * $scale[$i] - $diagonal[$i] * $w[$i]
                + $e[$i] * $w[$i + 1] + $u[$i] * $w[$i + $wide]
                + $e[$i - 1] * $w[$i - 1] + $u[$i - $wide] * $w[$i - $wide];
        }
        $norm = 0.0;
        $whole = 0.0;
        for ($i = $wide; $i < $end; $i++) {
            $r[$i] = $t[$i] + $e[$i - 1] * $r[$i - 1] + $u[$i - $wide] * $r[$i - $wide];
            $norm += $r[$i] * $r[$i];
            // What the right side alone comes to: a good guess is not asked to become better by as much again.
            $p[$i] = $right[$i - $wide] * $scale[$i] + $e[$i - 1] * $p[$i - 1] + $u[$i - $wide] * $p[$i - $wide];
            $whole += $p[$i] * $p[$i];
            $diagonal[$i] -= 2.0;
        }
        $p = $zeros;
        $beta = 0.0;
        $enough = $within * $within * $whole;
        for ($this->steps = 0; $norm > $enough && $this->steps < self::MOST_STEPS; $this->steps++) {
            Deadline::check();
            for ($i = $end - 1; $i >= $wide; $i--) {
                $p[$i] = $own = $r[$i] + $beta * $p[$i];
                $t[$i] = $own + $e[$i] * $t[$i + 1] + $u[$i] * $t[$i + $wide];
            }
            $along = 0.0;
            for ($i = $wide; $i < $end; $i++) {
                $own = $t[$i];
                $w[$i] = $step = $p[$i] + $diagonal[$i] * $own
                    + $e[$i - 1] * $w[$i - 1] + $u[$i - $wide] * $w[$i - $wide];
                $t[$i] = $own += $step;
                $along += $p[$i] * $own;
            }
            $alpha = $norm / $along;
            $before = $norm;
            $norm = 0.0;
            for ($i = $wide; $i < $end; $i++) {
                $x[$i] += $alpha * $p[$i];
                $r[$i] = $own = $r[$i] - $alpha * $t[$i];
                $norm += $own * $own;
            }
            $beta = $norm / $before;
        }
        for ($i = $end - 1; $i >= $wide; $i--) {
            $x[$i] += $e[$i] * $x[$i + 1] + $u[$i] * $x[$i + $wide];
        }
        $told = [];
        for ($i = 0; $i < $n; $i++) {
            $told[] = $guess[$i] + $x[$i + $wide] * $scale[$i + $wide];
        }

        return $told;
    }

    /**
     * The factorisation's diagonal, and the system with that taken out of it on both sides.
     *
     * @return array{array<int, float>, array<int, float>, array<int, float>, array<int, float>} scale, east, north and
     *   diagonal, with a row of zeros before and after
     */
    private function scaled(): array
    {
        $wide = $this->wide;
        $n = count($this->sum);
        $row = array_fill(0, $wide, 0.0);
        $e = [...$row, ...$this->east, ...$row];
        $u = [...$row, ...$this->north, ...$row];
        $d = [...$row, ...$this->sum, ...$row];
        $inverse = array_fill(0, $n + 2 * $wide, 0.0);
        for ($i = $wide, $end = $n + $wide; $i < $end; $i++) {
            [$west, $south] = [$e[$i - 1], $u[$i - $wide]];
            $taken = $west * ($west + self::MODIFIED * $u[$i - 1]) * $inverse[$i - 1]
                + $south * ($south + self::MODIFIED * $e[$i - $wide]) * $inverse[$i - $wide];
            $inverse[$i] = 1.0 / ($d[$i] - $taken);
        }
        $scale = $inverse;
        for ($i = $wide; $i < $end; $i++) {
            $scale[$i] = sqrt($inverse[$i]);
        }
        for ($i = $wide; $i < $end; $i++) {
            $e[$i] *= $scale[$i] * $scale[$i + 1];
            $u[$i] *= $scale[$i] * $scale[$i + $wide];
            $d[$i] *= $inverse[$i];
        }

        return [$scale, $e, $u, $d];
    }
}

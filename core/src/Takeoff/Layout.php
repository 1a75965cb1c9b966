<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Layer;

/** One layer of one part as its sheets or boards lie. */
final readonly class Layout
{
    /** @param  list<LaidPiece>  $pieces  from the bottom, in the order they are laid */
    public function __construct(
        public Face $face,
        public string $assembly,
        public Layer $layer,
        public LaidAs $as,
        public Size $size,
        public Backing $backing,
        public LayerRule $rule,
        public array $pieces,
        /** m² of the part without its openings */
        public float $net,
        /** whether something holds it between members */
        public bool $isBacked,
        /** @var list<LaidPiece> of the layer behind, where that is of boards too */
        public array $behind = [],
        /** a wall, or something level */
        public bool $isUpright = true,
    ) {
    }

    /** @return list<LaidPiece> those of which something lies on the face itself */
    public function onFace(): array
    {
        return array_values(
            array_filter($this->pieces, fn (LaidPiece $piece): bool => $piece->right > $piece->left + Face::HAIR),
        );
    }

    public function courses(): int
    {
        $courses = [];
        foreach ($this->pieces as $piece) {
            $courses[$piece->course] = $piece->isStrip;
        }

        return count(array_filter($courses, fn (bool $strip): bool => ! $strip));
    }

    /**
     * Upright joints, each where the piece to its left ends.
     *
     * @return list<array{course: int, x: float, low: float, high: float, lap: float}>
     */
    public function uprightJoints(): array
    {
        if ($this->rule->upright && $this->as->isRolled()) {
            return [];
        }
        $joints = [];
        $before = null;
        foreach ($this->pieces as $piece) {
            if ($before !== null && $before->course === $piece->course && ! $piece->isStrip) {
                $lap = $before->right - $piece->left;
                if ($lap > -Face::HAIR) {
                    $low = max($before->foot, $piece->foot);
                    $high = min($before->top, $piece->top);
                    $joints[] = ['course' => $piece->course, 'x' => $before->right, ...compact('low', 'high', 'lap')];
                }
            }
            $before = $piece->isStrip ? null : $piece;
        }

        return $joints;
    }

    /**
     * Heights of the lower edges of its courses, the lowest course left out, with the lap there.
     *
     * @return array<int, array{foot: float, lap: float}> by course
     */
    public function levelJoints(): array
    {
        if ($this->rule->upright && $this->as->isRolled()) {
            return [];
        }
        $feet = $heads = [];
        foreach ($this->pieces as $piece) {
            if (! $piece->isStrip) {
                $feet[$piece->course] = min($feet[$piece->course] ?? INF, $piece->foot);
                $heads[$piece->course] = max($heads[$piece->course] ?? 0.0, $piece->top);
            }
        }
        $joints = [];
        foreach ($feet as $course => $foot) {
            if (isset($heads[$course - 1])) {
                $joints[$course] = ['foot' => $foot, 'lap' => $heads[$course - 1] - $foot];
            }
        }

        return $joints;
    }

    /** m of its joints, level and upright, as far as the wall is there */
    public function seams(): float
    {
        $mm = 0.0;
        if ($this->rule->upright && $this->as->isRolled()) {
            foreach ($this->pieces as $piece) {
                $mm += $piece->left > $this->face->left + 1 ? $piece->top - $piece->foot : 0.0;
                $isOver = $piece->foot > $this->face->footBetween($piece->left, $piece->right) + 1;
                $mm += $isOver ? $piece->right - $piece->left : 0.0;
            }
        }
        foreach ($this->uprightJoints() as $joint) {
            $mm += $joint['high'] - $joint['low'];
        }
        foreach ($this->levelJoints() as $joint) {
            foreach ($this->face->spans($joint['foot'] - 1, $joint['foot'] + 1) as [$from, $to]) {
                $mm += $to - $from;
            }
        }

        return $mm / 1000;
    }

    /**
     * m of boards bevelled at heads of openings, so that water that comes down behind them runs out over the flashing;
     * sheathing is cut square. Common practice.
     */
    public function bevels(): float
    {
        $mm = 0.0;
        $isBevelled = $this->isUpright && $this->as->isBoard() && $this->as !== LaidAs::Sheathing;
        foreach ($isBevelled ? $this->face->holes : [] as $hole) {
            $mm += $hole[2] - $hole[0];
        }

        return $mm / 1000;
    }

    public function lapsOverFraming(): bool
    {
        foreach ($this->uprightJoints() as $joint) {
            if (! $this->backing->holds($joint['x'])) {
                return false;
            }
        }

        return true;
    }

    /** @return list<float> heights at which something must stand between the members, for the laps there */
    public function blocking(): array
    {
        return $this->isBacked || $this->as->isBoard()
            ? []
            : array_values(array_map(fn (array $joint): float => $joint['foot'], $this->levelJoints()));
    }

    /** m² as they are cut; of boards what their part of the boards begun comes to */
    public function cutArea(): float
    {
        return array_sum(array_map(fn (LaidPiece $piece): float => $piece->area(), $this->pieces));
    }
}

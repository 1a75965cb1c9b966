<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\PlacedFastener;
use Apron\Detail\Rect;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;

/**
 * The water plane is boards whose joints are taped: a row below, one with the opening, one above, each with an upright
 * joint at the middle of the opening. Upright joints are taped before level ones, from below upward, so that a level
 * tape covers the upright ends.
 */
trait InTapedBoards
{
    /**
     * @var array<string, list<string>> whether the heads of the boards' fasteners are drawn, and which are spotted with
     *   sealant
     */
    protected const HEADS = ['fastener_heads' => ['product', 'all', 'outside-joints']];

    /** More of them on one drawing show nothing more, and every one is traced. */
    private const MOST_HEADS = 400;

    /** @var array<string, string> */
    protected const SPOT_MATERIALS = ['spot_material' => 'sealant-silyl'];

    /**
     * The levels of the two joints, halfway into the margins below and above.
     *
     * @return array{float, float}
     */
    protected function boardJoints(Sizes $s): array
    {
        return [-$s->mm('margin') / 2, $s->mm('height') + $s->mm('margin') / 2];
    }

    /**
     * @param  float  $flap  factory flap of the two upper rows over the row below; 0 where boards only meet
     * @param  int  $laidDown  the step in which the flaps come down
     * @return list<Piece>
     */
    protected function boards(Sizes $s, Material $material, int $step, float $flap = 0.0, int $laidDown = 0): array
    {
        [$w, $h, $m] = [$s->mm('width'), $s->mm('height'), $s->mm('margin')];
        [$low, $up] = $this->boardJoints($s);
        $boards = [];
        foreach (['left' => [-$m, $w / 2], 'right' => [$w / 2, $w + $m]] as $hand => [$u0, $u1]) {
            [$jamb0, $jamb1] = $hand === 'left' ? [$u0, 0.0] : [$w, $u1];
            $boards[] = $this->laid(
                "board-lower-$hand",
                $material,
                PieceKind::Board,
                $step,
                [$this->patch("board-lower-$hand.face", 'face', [$u0, -$m, $u1, $low], [], $step)],
                PieceRole::Plane,
            );
            $rows = [
                $this->patch("board-middle-$hand.below", 'face', [$u0, $low, $u1, 0], ['b', 'flap'], $step),
                $this->patch("board-middle-$hand.beside", 'face', [$jamb0, 0, $jamb1, $h], ['b'], $step),
                $this->patch("board-middle-$hand.above", 'face', [$u0, $h, $u1, $up], ['b'], $step),
            ];
            $upper = [$this->patch("board-upper-$hand.face", 'face', [$u0, $up, $u1, $h + $m], ['flap'], $step)];
            if ($flap > 0) {
                $rows[] = $this->patch(
                    "board-middle-$hand.flap",
                    'face',
                    [$u0, $low - $flap, $u1, $low],
                    ['flap'],
                    $laidDown,
                );
                $upper[] = $this->patch(
                    "board-upper-$hand.flap",
                    'face',
                    [$u0, $up - $flap, $u1, $up],
                    ['flap'],
                    $laidDown,
                );
            }
            $boards[] = $this->laid(
                "board-middle-$hand",
                $material,
                PieceKind::Board,
                $step,
                $rows,
                PieceRole::Plane,
            );
            $boards[] = $this->laid(
                "board-upper-$hand",
                $material,
                PieceKind::Board,
                $step,
                $upper,
                PieceRole::Plane,
            );
        }

        return $boards;
    }

    /**
     * @return list<Piece>
     */
    protected function uprightTapes(Sizes $s, Material $material, int $step): array
    {
        [$w, $h, $m, $half] = [$s->mm('width'), $s->mm('height'), $s->mm('margin'), $s->mm('seam_tape') / 2];
        [$low, $up] = $this->boardJoints($s);
        $tapes = [];
        foreach (
            [
                'lower' => [-$m, $low],
                'under-sill' => [$low, 0.0],
                'over-head' => [$h, $up],
                'upper' => [$up, $h + $m],
            ] as $where => [$v0, $v1]
        ) {
            // Water behind an upright tape leaves at its foot.
            $tapes[] = $this->laid(
                "seam-$where",
                $material,
                PieceKind::Tape,
                $step,
                [$this->patch("seam-$where.face", 'face', [$w / 2 - $half, $v0, $w / 2 + $half, $v1], [], $step)],
                null,
                new CutSize($v1 - $v0, 2 * $half),
            );
        }

        return $tapes;
    }

    /**
     * @return list<Piece>
     */
    protected function levelTapes(Sizes $s, Material $material, int $step): array
    {
        [$w, $m, $half] = [$s->mm('width'), $s->mm('margin'), $s->mm('seam_tape') / 2];
        $tapes = [];
        foreach (array_combine(['lower', 'upper'], $this->boardJoints($s)) as $which => $v) {
            $tapes[] = $this->laid(
                "level-seam-$which",
                $material,
                PieceKind::Tape,
                $step,
                [$this->patch("level-seam-$which.face", 'face', [-$m, $v - $half, $w + $m, $v + $half], [], $step)],
                null,
                new CutSize($w + 2 * $m, 2 * $half),
            );
        }

        return $tapes;
    }

    /**
     * Studs at their spacing from the middle of the opening, cut short below its sill plate and over its header, and a
     * pair at each jamb: joints of boards are centred on framing.
     *
     * @return list<FramingMember>
     */
    protected function framing(Sizes $s): array
    {
        [$w, $h, $m, $t, $head] = [
            $s->mm('width'),
            $s->mm('height'),
            $s->mm('margin'),
            $s->mm('stud'),
            min($s->mm('header'), $s->mm('margin')),
        ];
        $rects = [
            [-2 * $t, -$m, 0, $h + $m],
            [$w, -$m, $w + 2 * $t, $h + $m],
            [0, -$t, $w, 0],
            [0, $h, $w, $h + $head],
        ];
        $middle = $w / 2 + $s->mm('stud_offset');
        $reach = (int) floor(($w / 2 + $m) / $s->mm('stud_spacing')) + 1;
        for ($k = -$reach; $k <= $reach; $k++) {
            [$u0, $u1] = [
                max(-$m, $middle + $k * $s->mm('stud_spacing') - $t / 2),
                min($w + $m, $middle + $k * $s->mm('stud_spacing') + $t / 2),
            ];
            if ($u0 >= $u1) {
                continue;
            }
            array_push(
                $rects,
                ...$u1 <= 0 || $u0 >= $w
                    ? [[$u0, -$m, $u1, $h + $m]]
                    : [[$u0, -$m, $u1, -$t], [$u0, $h + $head, $u1, $h + $m]],
            );
        }

        return array_values(
            array_map(
                fn (array $rect): FramingMember => new FramingMember(
                    'face',
                    new Rect(...array_map(floatval(...), $rect)),
                ),
                array_filter($rects, fn (array $rect): bool => $rect[1] < $rect[3]),
            ),
        );
    }

    /**
     * Heads along every upright member, clear of the joints and of the hole; two side by side where a joint runs on the
     * member.
     *
     * @return list<array{float, float}> u and v
     */
    private function heads(Sizes $s): array
    {
        [$w, $h, $m, $spot, $apart] = [
            $s->mm('width'),
            $s->mm('height'),
            $s->mm('margin'),
            $s->mm('spot'),
            $s->mm('fastener_spacing'),
        ];
        $heads = $rows = [];
        foreach ($this->framing($s) as $member) {
            $rect = $member->rect;
            if ($rect->width() > 2 * $s->mm('stud') || $rect->height() < $rect->width()) {
                continue;
            }
            $u = ($rect->u0 + $rect->u1) / 2;
            $across = abs($u - $w / 2) < $spot ? [$w / 2 - 0.6 * $spot, $w / 2 + 0.6 * $spot] : [$u];
            // A stud right beside the pair at a jamb brings no row of its own.
            if (
                array_filter(
                    $rows,
                    fn (Rect $row): bool => abs(($row->u0 + $row->u1) / 2 - $u) < 2 * $spot &&
                        $row->v0 < $rect->v1 &&
                        $row->v1 > $rect->v0,
                ) !== []
            ) {
                continue;
            }
            $rows[] = $rect;
            for ($v = -$m + $spot; $v < $h + $m - $spot / 2; $v += $apart) {
                foreach ($across as $at) {
                    $round = new Rect($at - $spot / 2, $v - $spot / 2, $at + $spot / 2, $v + $spot / 2);
                    $joint = array_filter(
                        $this->boardJoints($s),
                        fn (float $level): bool => abs($level - $v) < $spot,
                    );
                    if (
                        $joint === [] &&
                        $v >= $rect->v0 &&
                        $v <= $rect->v1 &&
                        $round->overlap(new Rect(0.0, 0.0, $w, $h)) === null &&
                        $round->u0 >= -$m &&
                        $round->u1 <= $w + $m
                    ) {
                        $heads[] = [$at, $v];
                    }
                }
            }
        }
        if (count($heads) > self::MOST_HEADS) {
            throw new CannotGenerate(
                'fastener_spacing_mm',
                $apart,
                sprintf('wide enough for %d heads or fewer to be drawn, or heads not drawn', self::MOST_HEADS),
            );
        }

        return $heads;
    }

    protected function fasteners(Sizes $s, Choices $chosen, array $pieces): array
    {
        if ($chosen->is('fastener_heads', 'product')) {
            return [];
        }
        // A flap comes down over the heads later: they do not go through it.
        $fasteners = [];
        foreach ($this->heads($s) as $i => [$u, $v]) {
            $through = [];
            foreach ($pieces as $piece) {
                foreach ($piece->patches as $patch) {
                    if (
                        $piece->kind === PieceKind::Board &&
                        $piece->role === PieceRole::Plane &&
                        $patch->facet === 'face' &&
                        $patch->step === $piece->step &&
                        $patch->rect->u0 < $u &&
                        $patch->rect->u1 > $u &&
                        $patch->rect->v0 < $v &&
                        $patch->rect->v1 > $v
                    ) {
                        $through[$piece->id] = $piece->id;
                    }
                }
            }
            $fasteners[] = new PlacedFastener('head-'.($i + 1), 'face', $u, $v, array_values($through), []);
        }

        return $fasteners;
    }

    /**
     * Sealant over the heads: over all of them, or over those that no joint tape will lie on.
     *
     * @return list<Piece>
     */
    protected function spots(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        $step = $at->firstOf('heads-'.$chosen->of('fastener_heads'));
        if ($step === null) {
            return [];
        }
        [$half, $tape, $joint] = [
            $s->mm('spot') / 2,
            $s->mm('seam_tape') / 2 - $s->mm('spot') / 2,
            $s->mm('width') / 2,
        ];
        $patches = [];
        foreach ($this->heads($s) as $i => [$u, $v]) {
            $taped =
                abs($u - $joint) <= $tape ||
                array_filter($this->tapedLevels($s), fn (float $level): bool => abs($v - $level) <= $tape) !== [];
            if ($chosen->is('fastener_heads', 'all') || ! $taped) {
                $patches[] = $this->patch(
                    'spots.'.($i + 1),
                    'face',
                    [$u - $half, $v - $half, $u + $half, $v + $half],
                    [],
                    $step,
                );
            }
        }

        return $patches === []
            ? []
            : [
                $this->laid(
                    'spots',
                    $used->of('spot'),
                    PieceKind::Sealant,
                    $step,
                    $patches,
                    null,
                    null,
                    null,
                    false,
                ),
            ];
    }

    /**
     * The levels of the joints that a tape lies over.
     *
     * @return list<float>
     */
    protected function tapedLevels(Sizes $s): array
    {
        return $this->boardJoints($s);
    }

    /**
     * The heads are spotted as soon as the boards are up, before a tape hides any.
     *
     * @param  list<string>  $order
     * @return list<string>
     */
    protected function spotted(array $order, string $boards, Choices $chosen): array
    {
        if (! $chosen->is('fastener_heads', 'product')) {
            array_splice($order, (int) array_search($boards, $order, true) + 1, 0, [
                "heads-{$chosen->of('fastener_heads')}",
            ]);
        }

        return $order;
    }

    protected function demandBoards(Sizes $s): void
    {
        $needed = 2 * (max($this->headStripTop($s), $s->mm('face_return')) + $s->mm('seam_tape') / 2);
        if ($s->mm('margin') <= 2 * $s->mm('stud')) {
            throw new CannotGenerate(
                'stud_mm',
                $s->mm('stud'),
                sprintf('less than half the margin, %g mm: two stand at each jamb', $s->mm('margin')),
            );
        }
        if ($s->mm('margin') < $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $s->mm('margin'),
                sprintf('%g mm or more, so that the joints of the boards clear the strips', $needed),
            );
        }
    }

    protected function leastLaps(): array
    {
        $tape = $this->least['seam_tape_side_mm'];

        return [
            ...parent::leastLaps(),
            new LeastLap('tape', 'board', $tape, $tape),
            new LeastLap('tape', 'tape', $tape, $tape),
            new LeastLap('membrane', 'board', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm']),
        ];
    }
}

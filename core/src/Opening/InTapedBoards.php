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
     * @param  array<string, float>  $s
     * @return array{float, float}
     */
    protected function boardJoints(array $s): array
    {
        return [-$s['margin_mm'] / 2, $s['height_mm'] + $s['margin_mm'] / 2];
    }

    /**
     * @param  array<string, float>  $s
     * @param  float  $flap  factory flap of the two upper rows over the row below; 0 where boards only meet
     * @param  int  $laidDown  the step in which the flaps come down
     * @return list<Piece>
     */
    protected function boards(array $s, Material $material, int $step, float $flap = 0.0, int $laidDown = 0): array
    {
        [$w, $h, $m] = [$s['width_mm'], $s['height_mm'], $s['margin_mm']];
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
            $boards[] = $this->laid("board-middle-$hand", $material, PieceKind::Board, $step, $rows, PieceRole::Plane);
            $boards[] = $this->laid("board-upper-$hand", $material, PieceKind::Board, $step, $upper, PieceRole::Plane);
        }

        return $boards;
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    protected function uprightTapes(array $s, Material $material, int $step): array
    {
        [$w, $h, $m, $half] = [$s['width_mm'], $s['height_mm'], $s['margin_mm'], $s['seam_tape_mm'] / 2];
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
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    protected function levelTapes(array $s, Material $material, int $step): array
    {
        [$w, $m, $half] = [$s['width_mm'], $s['margin_mm'], $s['seam_tape_mm'] / 2];
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
     * @param  array<string, float>  $s
     * @return list<FramingMember>
     */
    protected function framing(array $s): array
    {
        [$w, $h, $m, $t, $head] = [
            $s['width_mm'],
            $s['height_mm'],
            $s['margin_mm'],
            $s['stud_mm'],
            min($s['header_mm'], $s['margin_mm']),
        ];
        $rects = [
            [-2 * $t, -$m, 0, $h + $m],
            [$w, -$m, $w + 2 * $t, $h + $m],
            [0, -$t, $w, 0],
            [0, $h, $w, $h + $head],
        ];
        $middle = $w / 2 + $s['stud_offset_mm'];
        $reach = (int) floor(($w / 2 + $m) / $s['stud_spacing_mm']) + 1;
        for ($k = -$reach; $k <= $reach; $k++) {
            [$u0, $u1] = [
                max(-$m, $middle + $k * $s['stud_spacing_mm'] - $t / 2),
                min($w + $m, $middle + $k * $s['stud_spacing_mm'] + $t / 2),
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
     * @param  array<string, float>  $s
     * @return list<array{float, float}> u and v
     */
    private function heads(array $s): array
    {
        [$w, $h, $m, $spot, $apart] = [
            $s['width_mm'],
            $s['height_mm'],
            $s['margin_mm'],
            $s['spot_mm'],
            $s['fastener_spacing_mm'],
        ];
        $heads = $rows = [];
        foreach ($this->framing($s) as $member) {
            $rect = $member->rect;
            if ($rect->width() > 2 * $s['stud_mm'] || $rect->height() < $rect->width()) {
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
                    $joint = array_filter($this->boardJoints($s), fn (float $level): bool => abs($level - $v) < $spot);
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

    protected function fasteners(array $s, array $chosen, array $pieces): array
    {
        if ($chosen['fastener_heads'] === 'product') {
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
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @param  array<string, string>  $chosen
     * @return list<Piece>
     */
    protected function spots(array $s, array $used, array $at, array $chosen): array
    {
        $step = $at["heads-{$chosen['fastener_heads']}"] ?? null;
        if ($step === null) {
            return [];
        }
        [$half, $tape, $joint] = [$s['spot_mm'] / 2, $s['seam_tape_mm'] / 2 - $s['spot_mm'] / 2, $s['width_mm'] / 2];
        $patches = [];
        foreach ($this->heads($s) as $i => [$u, $v]) {
            $taped =
                abs($u - $joint) <= $tape ||
                array_filter($this->tapedLevels($s), fn (float $level): bool => abs($v - $level) <= $tape) !== [];
            if ($chosen['fastener_heads'] === 'all' || ! $taped) {
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
                    $used['spot_material'],
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
     * @param  array<string, float>  $s
     * @return list<float>
     */
    protected function tapedLevels(array $s): array
    {
        return $this->boardJoints($s);
    }

    /**
     * The heads are spotted as soon as the boards are up, before a tape hides any.
     *
     * @param  list<string>  $order
     * @param  array<string, string>  $chosen
     * @return list<string>
     */
    protected function spotted(array $order, string $boards, array $chosen): array
    {
        if ($chosen['fastener_heads'] !== 'product') {
            array_splice($order, (int) array_search($boards, $order, true) + 1, 0, [
                "heads-{$chosen['fastener_heads']}",
            ]);
        }

        return $order;
    }

    /** @param  array<string, float>  $s */
    protected function demandBoards(array $s): void
    {
        $needed = 2 * (max($this->headStripTop($s), $s['face_return_mm']) + $s['seam_tape_mm'] / 2);
        if ($s['margin_mm'] <= 2 * $s['stud_mm']) {
            throw new CannotGenerate(
                'stud_mm',
                $s['stud_mm'],
                sprintf('less than half the margin, %g mm: two stand at each jamb', $s['margin_mm']),
            );
        }
        if ($s['margin_mm'] < $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $s['margin_mm'],
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

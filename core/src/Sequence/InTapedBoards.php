<?php

namespace Apron\Sequence;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Material\Material;

/**
 * The water plane is boards whose joints are taped: a row below, one with the opening, one above, each with an upright joint at the
 * middle of the opening. Upright joints are taped before level ones, from below upward, so that a level tape covers the upright ends.
 */
trait InTapedBoards
{
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
     * @return list<Piece>
     */
    protected function boards(array $s, Material $material, int $step, float $flap = 0.0): array
    {
        [$w, $h, $m] = [$s['width_mm'], $s['height_mm'], $s['margin_mm']];
        [$low, $up] = $this->boardJoints($s);
        $boards = [];
        foreach (['left' => [-$m, $w / 2], 'right' => [$w / 2, $w + $m]] as $hand => [$u0, $u1]) {
            [$jamb0, $jamb1] = $hand === 'left' ? [$u0, 0.0] : [$w, $u1];
            $boards[] = $this->laid("board-lower-$hand", $material, PieceKind::Board, $step, [$this->patch("board-lower-$hand.face", 'face', [$u0, -$m, $u1, $low], [], $step)], PieceRole::Plane);
            $rows = [
                $this->patch("board-middle-$hand.below", 'face', [$u0, $low, $u1, 0], ['b', 'flap'], $step),
                $this->patch("board-middle-$hand.beside", 'face', [$jamb0, 0, $jamb1, $h], ['b'], $step),
                $this->patch("board-middle-$hand.above", 'face', [$u0, $h, $u1, $up], ['b'], $step),
            ];
            $upper = [$this->patch("board-upper-$hand.face", 'face', [$u0, $up, $u1, $h + $m], ['flap'], $step)];
            if ($flap > 0) {
                $rows[] = $this->patch("board-middle-$hand.flap", 'face', [$u0, $low - $flap, $u1, $low], ['flap'], $step + 2);
                $upper[] = $this->patch("board-upper-$hand.flap", 'face', [$u0, $up - $flap, $u1, $up], ['flap'], $step + 2);
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
        foreach (['lower' => [-$m, $low], 'under-sill' => [$low, 0.0], 'over-head' => [$h, $up], 'upper' => [$up, $h + $m]] as $where => [$v0, $v1]) {
            // Water behind an upright tape leaves at its foot.
            $tapes[] = $this->laid("seam-$where", $material, PieceKind::Tape, $step, [$this->patch("seam-$where.face", 'face', [$w / 2 - $half, $v0, $w / 2 + $half, $v1], [], $step)], null, new CutSize($v1 - $v0, 2 * $half));
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
            $tapes[] = $this->laid("level-seam-$which", $material, PieceKind::Tape, $step, [$this->patch("level-seam-$which.face", 'face', [-$m, $v - $half, $w + $m, $v + $half], [], $step)], null, new CutSize($w + 2 * $m, 2 * $half));
        }

        return $tapes;
    }

    /**
     * Studs at their spacing from the middle of the opening, cut short below its sill plate and over its header, and a pair at each jamb:
     * joints of boards are centred on framing.
     *
     * @param  array<string, float>  $s
     * @return list<FramingMember>
     */
    protected function framing(array $s): array
    {
        [$w, $h, $m, $t, $head] = [$s['width_mm'], $s['height_mm'], $s['margin_mm'], $s['stud_mm'], min($s['header_mm'], $s['margin_mm'])];
        $rects = [[-2 * $t, -$m, 0, $h + $m], [$w, -$m, $w + 2 * $t, $h + $m], [0, -$t, $w, 0], [0, $h, $w, $h + $head]];
        $middle = $w / 2 + $s['stud_offset_mm'];
        $reach = (int) floor(($w / 2 + $m) / $s['stud_spacing_mm']) + 1;
        for ($k = -$reach; $k <= $reach; $k++) {
            [$u0, $u1] = [max(-$m, $middle + $k * $s['stud_spacing_mm'] - $t / 2), min($w + $m, $middle + $k * $s['stud_spacing_mm'] + $t / 2)];
            if ($u0 >= $u1) {
                continue;
            }
            array_push($rects, ...($u1 <= 0 || $u0 >= $w ? [[$u0, -$m, $u1, $h + $m]] : [[$u0, -$m, $u1, -$t], [$u0, $h + $head, $u1, $h + $m]]));
        }

        return array_values(array_map(
            fn (array $rect): FramingMember => new FramingMember('face', new Rect(...array_map(floatval(...), $rect))),
            array_filter($rects, fn (array $rect): bool => $rect[1] < $rect[3]),
        ));
    }

    /** @param  array<string, float>  $s */
    protected function demandBoards(array $s): void
    {
        $needed = 2 * (max($this->headStripTop($s), $s['face_return_mm']) + $s['seam_tape_mm'] / 2);
        if ($s['margin_mm'] <= 2 * $s['stud_mm']) {
            throw new CannotGenerate('stud_mm', $s['stud_mm'], sprintf('less than half the margin, %g mm: two stand at each jamb', $s['margin_mm']));
        }
        if ($s['margin_mm'] < $needed) {
            throw new CannotGenerate('margin_mm', $s['margin_mm'], sprintf('%g mm or more, so that the joints of the boards clear the strips', $needed));
        }
    }

    protected function leastLaps(): array
    {
        $tape = $this->least['seam_tape_side_mm'];

        return [...parent::leastLaps(), new LeastLap('tape', 'board', $tape, $tape), new LeastLap('tape', 'tape', $tape, $tape), new LeastLap('membrane', 'board', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm'])];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\PlacedFastener;
use Apron\Detail\Rect;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Material\Material;
use Apron\Opening\Scheme;

/**
 * Boards in three rows, below, with the opening and above, each with an upright joint at the middle of the opening;
 * their tapes, the framing behind them and the heads of their fasteners. Upright joints are taped before level ones,
 * from below upward, so that a level tape covers the upright ends.
 */
final class BoardRows
{
    /** More of them on one drawing show nothing more, and every one is traced. */
    private const MOST_HEADS = 400;

    /**
     * The levels of the two joints, halfway into the margins below and above.
     *
     * @return array{float, float}
     */
    public static function boardJoints(Scheme $in): array
    {
        return [-$in->mm('margin') / 2, $in->mm('height') + $in->mm('margin') / 2];
    }

    /**
     * @param  float  $flap  factory flap of the two upper rows over the row below; 0 where boards only meet
     * @param  int  $laidDown  the step in which the flaps come down
     * @return list<Piece>
     */
    public static function boards(
        Scheme $in,
        Material $material,
        int $step,
        float $flap = 0.0,
        int $laidDown = 0,
    ): array {
        [$w, $h, $m] = [$in->mm('width'), $in->mm('height'), $in->mm('margin')];
        [$low, $up] = self::boardJoints($in);
        $boards = [];
        foreach (['left' => [-$m, $w / 2], 'right' => [$w / 2, $w + $m]] as $hand => [$u0, $u1]) {
            [$jamb0, $jamb1] = $hand === 'left' ? [$u0, 0.0] : [$w, $u1];
            $boards[] = Lay::piece(
                "board-lower-$hand",
                $material,
                PieceKind::Board,
                $step,
                [Lay::patch("board-lower-$hand.face", 'face', [$u0, -$m, $u1, $low], [], $step)],
                PieceRole::Plane,
            );
            $rows = [
                Lay::patch("board-middle-$hand.below", 'face', [$u0, $low, $u1, 0], ['b', 'flap'], $step),
                Lay::patch("board-middle-$hand.beside", 'face', [$jamb0, 0, $jamb1, $h], ['b'], $step),
                Lay::patch("board-middle-$hand.above", 'face', [$u0, $h, $u1, $up], ['b'], $step),
            ];
            $upper = [Lay::patch("board-upper-$hand.face", 'face', [$u0, $up, $u1, $h + $m], ['flap'], $step)];
            if ($flap > 0) {
                $rows[] = Lay::patch(
                    "board-middle-$hand.flap",
                    'face',
                    [$u0, $low - $flap, $u1, $low],
                    ['flap'],
                    $laidDown,
                );
                $upper[] = Lay::patch(
                    "board-upper-$hand.flap",
                    'face',
                    [$u0, $up - $flap, $u1, $up],
                    ['flap'],
                    $laidDown,
                );
            }
            $boards[] = Lay::piece(
                "board-middle-$hand",
                $material,
                PieceKind::Board,
                $step,
                $rows,
                PieceRole::Plane,
            );
            $boards[] = Lay::piece(
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
    public static function uprightTapes(Scheme $in, Material $material, int $step): array
    {
        [$w, $h, $m, $half] = [$in->mm('width'), $in->mm('height'), $in->mm('margin'), $in->mm('seam_tape') / 2];
        [$low, $up] = self::boardJoints($in);
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
            $tapes[] = Lay::piece(
                "seam-$where",
                $material,
                PieceKind::Tape,
                $step,
                [Lay::patch("seam-$where.face", 'face', [$w / 2 - $half, $v0, $w / 2 + $half, $v1], [], $step)],
                null,
                new CutSize($v1 - $v0, 2 * $half),
            );
        }

        return $tapes;
    }

    /**
     * @return list<Piece>
     */
    public static function levelTapes(Scheme $in, Material $material, int $step): array
    {
        [$w, $m, $half] = [$in->mm('width'), $in->mm('margin'), $in->mm('seam_tape') / 2];
        $tapes = [];
        foreach (array_combine(['lower', 'upper'], self::boardJoints($in)) as $which => $v) {
            $tapes[] = Lay::piece(
                "level-seam-$which",
                $material,
                PieceKind::Tape,
                $step,
                [Lay::patch("level-seam-$which.face", 'face', [-$m, $v - $half, $w + $m, $v + $half], [], $step)],
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
    public static function framing(Scheme $in): array
    {
        [$w, $h, $m, $t, $head] = [
            $in->mm('width'),
            $in->mm('height'),
            $in->mm('margin'),
            $in->mm('stud'),
            min($in->mm('header'), $in->mm('margin')),
        ];
        $rects = [
            [-2 * $t, -$m, 0, $h + $m],
            [$w, -$m, $w + 2 * $t, $h + $m],
            [0, -$t, $w, 0],
            [0, $h, $w, $h + $head],
        ];
        $middle = $w / 2 + $in->mm('stud_offset');
        $reach = (int) floor(($w / 2 + $m) / $in->mm('stud_spacing')) + 1;
        for ($k = -$reach; $k <= $reach; $k++) {
            [$u0, $u1] = [
                max(-$m, $middle + $k * $in->mm('stud_spacing') - $t / 2),
                min($w + $m, $middle + $k * $in->mm('stud_spacing') + $t / 2),
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
    private static function heads(Scheme $in): array
    {
        [$w, $h, $m, $spot, $apart] = [
            $in->mm('width'),
            $in->mm('height'),
            $in->mm('margin'),
            $in->mm('spot'),
            $in->mm('fastener_spacing'),
        ];
        $heads = $rows = [];
        foreach (self::framing($in) as $member) {
            $rect = $member->rect;
            if ($rect->width() > 2 * $in->mm('stud') || $rect->height() < $rect->width()) {
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
                        self::boardJoints($in),
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

    /**
     * @param  list<Piece>  $pieces
     * @return list<PlacedFastener>
     */
    public static function fasteners(Scheme $in, array $pieces): array
    {
        if ($in->of->has('fastener_heads', 'product')) {
            return [];
        }
        // A flap comes down over the heads later: they do not go through it.
        $fasteners = [];
        foreach (self::heads($in) as $i => [$u, $v]) {
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
    public static function spots(Scheme $in): array
    {
        if ($in->of->has('fastener_heads', 'product')) {
            return [];
        }
        $step = $in->at('heads-'.$in->of->of('fastener_heads'));
        [$half, $tape, $joint] = [
            $in->mm('spot') / 2,
            $in->mm('seam_tape') / 2 - $in->mm('spot') / 2,
            $in->mm('width') / 2,
        ];
        $patches = [];
        foreach (self::heads($in) as $i => [$u, $v]) {
            $taped =
                abs($u - $joint) <= $tape ||
                array_filter(self::tapedLevels($in), fn (float $level): bool => abs($v - $level) <= $tape) !== [];
            if ($in->of->has('fastener_heads', 'all') || ! $taped) {
                $patches[] = Lay::patch(
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
                Lay::piece(
                    'spots',
                    $in->material('spot'),
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
     * The levels of the joints that a tape lies over: those of panels are flaps.
     *
     * @return list<float>
     */
    private static function tapedLevels(Scheme $in): array
    {
        return $in->of->has('plane', 'flapped-panels') ? [] : self::boardJoints($in);
    }

    /** @return list<string> the step that spots the heads, as soon as the boards are up, before a tape hides any */
    public static function headSteps(Scheme $in): array
    {
        return $in->of->has('fastener_heads', 'product') ? [] : ['heads-'.$in->of->of('fastener_heads')];
    }

    /** @return array<string, float>|null */
    public static function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'boards', 'insulation-boards', 'flapped-panels' => [],
            'heads-all', 'heads-outside-joints' => [
                'spot_mm' => $in->mm('spot'),
                'apart_mm' => $in->mm('fastener_spacing'),
            ],
            'upright-seams', 'level-seams' => ['tape_mm' => $in->mm('seam_tape')],
            default => null,
        };
    }

    /** @return list<LeastLap> */
    public static function leastLaps(Scheme $in): array
    {
        [$tape, $lap] = [$in->least('seam_tape_side'), $in->least('membrane_lap')];

        return [
            new LeastLap('tape', 'board', $tape, $tape),
            new LeastLap('tape', 'tape', $tape, $tape),
            new LeastLap('membrane', 'board', $lap, $lap),
        ];
    }

    /** @throws CannotGenerate */
    public static function demandRoom(Scheme $in): void
    {
        $covered = max($in->headCoverTop(), $in->mm('face_return'));
        $needed = 2 * ($covered + $in->mm('seam_tape') / 2);
        if ($in->mm('margin') <= 2 * $in->mm('stud')) {
            throw new CannotGenerate(
                'stud_mm',
                $in->mm('stud'),
                sprintf('less than half the margin, %g mm: two stand at each jamb', $in->mm('margin')),
            );
        }
        if ($in->mm('margin') < $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $in->mm('margin'),
                sprintf('%g mm or more, so that the joints of the boards clear the strips', $needed),
            );
        }
    }
}

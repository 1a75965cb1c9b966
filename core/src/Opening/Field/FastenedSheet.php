<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\CutSize;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * A mechanically fastened sheet: cut, turned in, its head flap held up until the head is dressed. The flap is as wide
 * as what it lies over and slit upward at its ends, so its whole top edge lies under sheet; the two slits are taped,
 * and rely on the bond of their tapes.
 *
 * Over an under-sill sheet set before it, the pan drains onto that; the lower course goes under its foot, the course
 * beside the opening over its ends, stopping above that foot.
 */
final class FastenedSheet extends Part implements WaterPlane
{
    public function groups(Composition $of): array
    {
        return ['sheet', ...$of->has('under_sill', 'sheet') ? ['under-sill'] : []];
    }

    public function materials(Composition $of): array
    {
        return ['sheet_material' => 'polyolefin-wrap', 'tape_material' => 'seam-tape'];
    }

    public function headEdges(Composition $of): ?Edges
    {
        return null;
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return true;
    }

    /** Over the slits of the flap the tapes rely on their bond, unless a second layer hangs over them. */
    public function worst(Composition $of): Outcome
    {
        // What lies over the slits keeps the water off their tapes.
        $covered = $of->has('second_layer', 'hung') || $of->has('outboard', 'board-at-buck');

        return $covered ? Outcome::Shed : Outcome::ReliesOnBond;
    }

    public function steps(Scheme $in): array
    {
        return [
            ...$this->onUnderSill($in)
                ? ['under-sill-sheet', 'lower-course', 'sheet-cut-over-under-sill']
                : ['sheet-cut-and-turned-in'],
            $this->flapStep($in),
            'slit-tapes',
        ];
    }

    private function onUnderSill(Scheme $in): bool
    {
        return $in->of->has('under_sill', 'sheet');
    }

    private function flapStep(Scheme $in): string
    {
        return match (true) {
            $in->of->has('outboard', 'board') => 'flap-over-flashing',
            $in->of->has('held_by', 'flange') => 'flap-down',
            default => 'flap-to-arris',
        };
    }

    private function cut(Scheme $in): float
    {
        return $in->of->held->sheetCut($in);
    }

    /** The fold of the flap above the opening. */
    private function fold(Scheme $in): float
    {
        return $in->mm('height') + $this->cut($in) + $in->mm('flap');
    }

    public function pieces(Scheme $in): array
    {
        return [
            ...$this->onUnderSill($in) ? $this->underSill($in) : [],
            $this->sheet($in),
            ...$this->slitTapes($in),
        ];
    }

    private function sheet(Scheme $in): Piece
    {
        [$w, $h, $m, $d] = [$in->mm('width'), $in->mm('height'), $in->mm('margin'), $in->mm('depth')];
        [$cut, $side, $top] = [$h + $this->cut($in), $in->headCoverSide(), $this->fold($in)];
        $step = $in->firstAt('sheet-cut-and-turned-in', 'sheet-cut-over-under-sill');
        $flap = $in->at($this->flapStep($in));
        [$foot, $below, $turned] = [
            0.0,
            [Lay::patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['field', 'in-sill'], $step)],
            [Lay::patch('sheet.in-sill', 'sill', [0, 0, $w, $d], ['in-sill'], $step)],
        ];
        if ($this->onUnderSill($in)) {
            // Beside the opening it laps onto the lower course and stops above the foot of the under-sill sheet.
            [$foot, $below, $turned] = [
                $in->mm('course_lap') - $in->mm('under_sill_drop') - $in->least('flap_over_head_strip'),
                [],
                [],
            ];
        }

        return Lay::piece(
            'sheet',
            $in->material('sheet'),
            PieceKind::Sheet,
            $step,
            [
                ...$below,
                Lay::patch('sheet.left', 'face', [-$m, $foot, 0, $cut], ['field', 'in-left'], $step),
                Lay::patch('sheet.right', 'face', [$w, $foot, $w + $m, $cut], ['field', 'in-right'], $step),
                Lay::patch('sheet.above-left', 'face', [-$m, $cut, -$side, $top], ['field'], $step),
                Lay::patch('sheet.above-right', 'face', [$w + $side, $cut, $w + $m, $top], ['field'], $step),
                Lay::patch('sheet.above', 'face', [-$m, $top, $w + $m, $h + $m], ['field', 'flap'], $step),
                Lay::patch('sheet.flap', 'face', [-$side, $cut, $w + $side, $top], ['flap'], $flap),
                ...$turned,
                Lay::patch('sheet.in-left', 'jamb-left', [0, 0, $d, $h], ['in-left'], $step),
                Lay::patch('sheet.in-right', 'jamb-right', [0, 0, $d, $h], ['in-right'], $step),
            ],
            PieceRole::Plane,
        );
    }

    /** @return list<Piece> */
    private function underSill(Scheme $in): array
    {
        [$w, $d, $m, $past, $drop, $lap] = [
            $in->mm('width'),
            $in->mm('depth'),
            $in->mm('margin'),
            $in->mm('under_sill'),
            $in->mm('under_sill_drop'),
            $in->mm('course_lap'),
        ];
        [$under, $lower] = [$in->at('under-sill-sheet'), $in->at('lower-course')];

        return [
            Lay::piece(
                'under-sill',
                $in->material('sheet'),
                PieceKind::Sheet,
                $under,
                [
                    Lay::patch(
                        'under-sill.below',
                        'face',
                        [-$past, -$drop, $w + $past, 0],
                        ['u', 'in-sill'],
                        $under,
                    ),
                    Lay::patch('under-sill.left', 'face', [-$past, 0, 0, $past], ['u'], $under),
                    Lay::patch('under-sill.right', 'face', [$w, 0, $w + $past, $past], ['u'], $under),
                    Lay::patch('under-sill.sill', 'sill', [0, 0, $w, $d], ['in-sill'], $under),
                ],
                PieceRole::UnderSill,
                new CutSize($w + 2 * $past, $drop + $past + $d),
            ),
            new Piece(
                'lower-course',
                $in->material('sheet'),
                PieceKind::Sheet,
                PieceRole::Plane,
                true,
                true,
                $lower,
                'under-sill',
                new Edges,
                [Lay::patch('lower-course.face', 'face', [-$m, -$m, $w + $m, $lap - $drop], [], $lower)],
                null,
            ),
        ];
    }

    /** @return list<Piece> */
    private function slitTapes(Scheme $in): array
    {
        $half = $in->mm('slit_tape') / 2;
        [$foot, $top] = [$in->mm('height') + $this->cut($in) - $half, $this->fold($in) + $half];
        $side = $in->headCoverSide();
        $tapes = [];
        foreach (['left' => -$side, 'right' => $in->mm('width') + $side] as $hand => $slit) {
            $tapes[] = Lay::onFace(
                "slit-tape-$hand",
                $in->material('tape'),
                PieceKind::Tape,
                $in->at('slit-tapes'),
                [$slit - $half, $foot, $slit + $half, $top],
                null,
                new CutSize($top - $foot, $in->mm('slit_tape')),
            );
        }

        return $tapes;
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'sheet-cut-and-turned-in', 'sheet-cut-over-under-sill' => [
                'cut_above_mm' => $this->cut($in),
                'cut_past_mm' => $in->headCoverSide(),
                'slit_mm' => $in->mm('flap'),
            ],
            'slit-tapes' => ['side_mm' => $in->mm('slit_tape') / 2],
            'flap-down', 'flap-over-flashing', 'flap-to-arris' => [
                'lap_mm' => $in->headCoverTop() - $this->cut($in),
            ],
            'under-sill-sheet' => ['past_mm' => $in->mm('under_sill'), 'drop_mm' => $in->mm('under_sill_drop')],
            'lower-course' => ['lap_mm' => $in->mm('course_lap')],
            default => null,
        };
    }

    public function demandRoom(Scheme $in): void
    {
        $this->demandFlap($in);
        if ($this->onUnderSill($in)) {
            $this->demandUnderSill($in);
        }
    }

    private function demandFlap(Scheme $in): void
    {
        $needed = max(
            $in->headCoverSide() + $in->mm('slit_tape') / 2,
            $this->fold($in) + $in->mm('slit_tape') / 2 - $in->mm('height'),
        );
        if ($in->mm('margin') <= $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $in->mm('margin'),
                sprintf('more than %g mm, where the slit tapes end', $needed),
            );
        }
        $this->demandFlapOverCover($in);
        if (! $in->of->has('held_by', 'flange') && $in->least('slit_tape_side') > $in->mm('slit_tape') / 2) {
            throw new CannotGenerate(
                'slit_tape_mm',
                $in->mm('slit_tape'),
                sprintf('%g mm or more, so that the tape reaches the head liner', 2 * $in->least('slit_tape_side')),
            );
        }
    }

    private function demandFlapOverCover(Scheme $in): void
    {
        $lap = $in->headCoverTop() - $this->cut($in);
        $flanged = $in->of->has('held_by', 'flange') || $in->of->has('outboard', 'board');
        if ($flanged && $lap < $in->least('flap_over_head_strip')) {
            throw new CannotGenerate(
                $in->of->has('outboard', 'board') ? 'upstand_mm' : 'head_strip_mm',
                $in->mm($in->of->has('outboard', 'board') ? 'upstand' : 'head_strip'),
                sprintf('enough for the flap to lap it by %g mm', $in->least('flap_over_head_strip')),
            );
        }
        if ($flanged && $lap >= $in->mm('flap')) {
            throw new CannotGenerate('flap_mm', $in->mm('flap'), 'a flap that reaches above what it covers');
        }
        if (! $flanged && $in->mm('flap') < $in->mm('face_return') + $in->least('membrane_lap')) {
            throw new CannotGenerate(
                'flap_mm',
                $in->mm('flap'),
                sprintf('a flap that reaches %g mm above the head liner', $in->least('membrane_lap')),
            );
        }
    }

    private function demandUnderSill(Scheme $in): void
    {
        [$drop, $lap, $margin] = [$in->mm('under_sill_drop'), $in->mm('course_lap'), $in->mm('margin')];
        if ($drop <= $lap || $drop >= $margin) {
            throw new CannotGenerate(
                'under_sill_drop_mm',
                $drop,
                sprintf(
                    'more than the lap of the lower course, %g mm, and less than the margin, %g mm',
                    $lap,
                    $margin,
                ),
            );
        }
        if ($in->mm('under_sill') >= min($in->mm('height'), $margin)) {
            throw new CannotGenerate(
                'under_sill_mm',
                $in->mm('under_sill'),
                'less than the height of the opening and the margin beside it',
            );
        }
        if ($lap <= $in->least('flap_over_head_strip')) {
            throw new CannotGenerate(
                'course_lap_mm',
                $lap,
                sprintf(
                    'more than %g mm, so that the course beside the opening laps it and stops above its foot',
                    $in->least('flap_over_head_strip'),
                ),
            );
        }
    }
}

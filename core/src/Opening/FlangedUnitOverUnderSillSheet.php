<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;

/**
 * As in a fastened sheet, with an under-sill sheet set before the field: the pan drains onto it, the lower course goes
 * under its foot, the course beside the opening over its ends, stopping above that foot.
 */
final class FlangedUnitOverUnderSillSheet extends FlangedUnitInFastenedSheet
{
    public const NAME = 'flanged-unit-over-under-sill-sheet';

    protected function order(array $chosen, array $s): array
    {
        return $this->aroundTheUnit(
            ['under-sill-sheet', 'lower-course', 'sheet-cut-over-under-sill', ...$this->dressed()],
            $s,
            $chosen,
        );
    }

    protected function pieces(array $s, array $used, array $at, array $chosen): array
    {
        [$w, $d, $m, $past, $drop, $lap] = [
            $s['width_mm'],
            $s['depth_mm'],
            $s['margin_mm'],
            $s['under_sill_mm'],
            $s['under_sill_drop_mm'],
            $s['course_lap_mm'],
        ];
        $under = $this->laid(
            'under-sill',
            $used['sheet_material'],
            PieceKind::Sheet,
            $at['under-sill-sheet'],
            [
                $this->patch(
                    'under-sill.below',
                    'face',
                    [-$past, -$drop, $w + $past, 0],
                    ['u', 'in-sill'],
                    $at['under-sill-sheet'],
                ),
                $this->patch('under-sill.left', 'face', [-$past, 0, 0, $past], ['u'], $at['under-sill-sheet']),
                $this->patch('under-sill.right', 'face', [$w, 0, $w + $past, $past], ['u'], $at['under-sill-sheet']),
                $this->patch('under-sill.sill', 'sill', [0, 0, $w, $d], ['in-sill'], $at['under-sill-sheet']),
            ],
            PieceRole::UnderSill,
            new CutSize($w + 2 * $past, $drop + $past + $d),
        );
        $step = $at['lower-course'];
        $lower = new Piece(
            'lower-course',
            $used['sheet_material'],
            PieceKind::Sheet,
            PieceRole::Plane,
            true,
            true,
            $step,
            'under-sill',
            new \Apron\Detail\Edges,
            [$this->patch('lower-course.face', 'face', [-$m, -$m, $w + $m, $lap - $drop], [], $step)],
            null,
        );

        // Beside the opening the field laps onto the lower course and stops above the foot of the under-sill sheet.
        $foot = $lap - $drop - $this->least['flap_over_head_strip_mm'];

        return [
            $under,
            $lower,
            $this->sheet($s, $used['sheet_material'], $at['sheet-cut-over-under-sill'], $at['flap-down'], $foot),
            ...$this->dressing($s, $used, $at),
        ];
    }

    protected function demandRoom(array $s): void
    {
        parent::demandRoom($s);
        if ($s['under_sill_drop_mm'] <= $s['course_lap_mm'] || $s['under_sill_drop_mm'] >= $s['margin_mm']) {
            throw new CannotGenerate(
                'under_sill_drop_mm',
                $s['under_sill_drop_mm'],
                sprintf(
                    'more than the lap of the lower course, %g mm, and less than the margin, %g mm',
                    $s['course_lap_mm'],
                    $s['margin_mm'],
                ),
            );
        }
        if ($s['under_sill_mm'] >= $s['height_mm'] || $s['under_sill_mm'] >= $s['margin_mm']) {
            throw new CannotGenerate(
                'under_sill_mm',
                $s['under_sill_mm'],
                'less than the height of the opening and the margin beside it',
            );
        }
        if ($s['course_lap_mm'] <= $this->least['flap_over_head_strip_mm']) {
            throw new CannotGenerate(
                'course_lap_mm',
                $s['course_lap_mm'],
                sprintf(
                    'more than %g mm, so that the course beside the opening laps it and stops above the foot of the under-sill sheet',
                    $this->least['flap_over_head_strip_mm'],
                ),
            );
        }
    }

    protected function figuresOf(string $does, array $s): array
    {
        return match ($does) {
            'under-sill-sheet' => ['past_mm' => $s['under_sill_mm'], 'drop_mm' => $s['under_sill_drop_mm']],
            'lower-course' => ['lap_mm' => $s['course_lap_mm']],
            default => parent::figuresOf($does, $s),
        };
    }
}

<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;

/**
 * As in a fastened sheet, with an under-sill sheet set before the field: the pan drains onto it, the lower course goes
 * under its foot, the course beside the opening over its ends, stopping above that foot.
 */
final class FlangedUnitOverUnderSillSheet extends FlangedUnitInFastenedSheet
{
    public const NAME = 'flanged-unit-over-under-sill-sheet';

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            ['under-sill-sheet', 'lower-course', 'sheet-cut-over-under-sill', ...$this->dressed()],
            $s,
            $chosen,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $d, $m, $past, $drop, $lap] = [
            $s->mm('width'),
            $s->mm('depth'),
            $s->mm('margin'),
            $s->mm('under_sill'),
            $s->mm('under_sill_drop'),
            $s->mm('course_lap'),
        ];
        $under = $this->laid(
            'under-sill',
            $used->of('sheet'),
            PieceKind::Sheet,
            $at->of('under-sill-sheet'),
            [
                $this->patch(
                    'under-sill.below',
                    'face',
                    [-$past, -$drop, $w + $past, 0],
                    ['u', 'in-sill'],
                    $at->of('under-sill-sheet'),
                ),
                $this->patch('under-sill.left', 'face', [-$past, 0, 0, $past], ['u'], $at->of('under-sill-sheet')),
                $this->patch(
                    'under-sill.right',
                    'face',
                    [$w, 0, $w + $past, $past],
                    ['u'],
                    $at->of('under-sill-sheet'),
                ),
                $this->patch('under-sill.sill', 'sill', [0, 0, $w, $d], ['in-sill'], $at->of('under-sill-sheet')),
            ],
            PieceRole::UnderSill,
            new CutSize($w + 2 * $past, $drop + $past + $d),
        );
        $step = $at->of('lower-course');
        $lower = new Piece(
            'lower-course',
            $used->of('sheet'),
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
            $this->sheet($s, $used->of('sheet'), $at->of('sheet-cut-over-under-sill'), $at->of('flap-down'), $foot),
            ...$this->dressing($s, $used, $at),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        parent::demandRoom($s);
        if ($s->mm('under_sill_drop') <= $s->mm('course_lap') || $s->mm('under_sill_drop') >= $s->mm('margin')) {
            throw new CannotGenerate(
                'under_sill_drop_mm',
                $s->mm('under_sill_drop'),
                sprintf(
                    'more than the lap of the lower course, %g mm, and less than the margin, %g mm',
                    $s->mm('course_lap'),
                    $s->mm('margin'),
                ),
            );
        }
        if ($s->mm('under_sill') >= $s->mm('height') || $s->mm('under_sill') >= $s->mm('margin')) {
            throw new CannotGenerate(
                'under_sill_mm',
                $s->mm('under_sill'),
                'less than the height of the opening and the margin beside it',
            );
        }
        if ($s->mm('course_lap') <= $this->least['flap_over_head_strip_mm']) {
            throw new CannotGenerate(
                'course_lap_mm',
                $s->mm('course_lap'),
                sprintf(
                    'more than %g mm, so that the course beside the opening laps it and stops above the foot of the under-sill sheet',
                    $this->least['flap_over_head_strip_mm'],
                ),
            );
        }
    }

    protected function figuresOf(string $does, Sizes $s): array
    {
        return match ($does) {
            'under-sill-sheet' => ['past_mm' => $s->mm('under_sill'), 'drop_mm' => $s->mm('under_sill_drop')],
            'lower-course' => ['lap_mm' => $s->mm('course_lap')],
            default => parent::figuresOf($does, $s),
        };
    }
}

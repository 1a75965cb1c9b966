<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;

/** The water plane round what passes through it, w wide and h high: up to past its top, and the course over that. */
final class RoundThrough
{
    /**
     * A sheet or a membrane comes up to past its top, and once it is dressed the course above over that; boards stand
     * round it first, and a coat goes over all at last.
     *
     * @return list<Piece>
     */
    public static function plane(
        float $w,
        float $h,
        Sizes $s,
        Used $used,
        Choices $chosen,
        StepNumbers $at,
    ): array {
        [$m, $p, $top] = [$s->mm('margin'), $s->mmIfAsked('hole_past'), $h + $s->mm('collar')];
        if ($chosen->plane() === WallPlane::Fluid) {
            $whole = [-$m, -$m, $w + $m, $h + $m];

            return [Lay::plane('plane', $used, $chosen, $at->of('wall-coat'), 'face', $whole)];
        }
        $boards = $chosen->stands();
        $below = self::round($w, $h, $m, $p, $boards ? $h + $m : $top, $used, $chosen, $at->of('plane-to-pipe'));
        if ($boards) {
            return [$below];
        }
        $above = [-$m, $top - $s->mm('lap'), $w + $m, $h + $m];

        return [
            $below,
            Lay::plane('plane-above', $used, $chosen, $at->of('plane-over-collar'), 'face', $above),
        ];
    }

    /** The plane with its hole, up to a height. */
    private static function round(
        float $w,
        float $h,
        float $m,
        float $p,
        float $top,
        Used $used,
        Choices $chosen,
        int $step,
    ): Piece {
        $patch = fn (string $id, float $u0, float $v0, float $u1, float $v1): Patch => Lay::patch(
            "plane-below.$id",
            'face',
            [$u0, $v0, $u1, $v1],
            ['f'],
            $step,
        );

        return Lay::piece(
            'plane-below',
            $used->of('plane'),
            $chosen->plane()->kind(),
            $step,
            [
                $patch('below', -$m, -$m, $w + $m, -$p),
                $patch('left', -$m, -$p, -$p, $h + $p),
                $patch('right', $w + $p, -$p, $w + $m, $h + $p),
                $patch('above', -$m, $h + $p, $w + $m, $top),
            ],
            PieceRole::Plane,
        );
    }

    /**
     * What is done to the plane before it is dressed, and after.
     *
     * @return array{list<array{string, array<string, float>}>, list<array{string, array<string, float>}>}
     */
    public static function steps(Sizes $s, Choices $chosen): array
    {
        if ($chosen->plane() === WallPlane::Fluid) {
            return [[], [['wall-coat', []]]];
        }
        $to = [['plane-to-pipe', ['hole_mm' => $s->mm('hole_past')]]];

        return [$to, $chosen->stands() ? [] : [['plane-over-collar', ['lap_mm' => $s->mm('lap')]]]];
    }

    /**
     * A coat over the dressing holds to what passes through as well.
     *
     * @param  list<string>  $dressing
     * @return list<string>
     */
    public static function sealedTo(Choices $chosen, array $dressing): array
    {
        return $chosen->plane() === WallPlane::Fluid ? [...$dressing, 'plane'] : $dressing;
    }

    public static function demandRoom(Sizes $s): void
    {
        $s->demandBelow('collar_mm', $s->mm('margin'), 'the wall round the pipe that is drawn');
        $s->demandBelow('lap_mm', $s->mm('collar'), 'so that the course above stops over the pipe');
        $s->demandBelow(
            'hole_past_mm',
            $s->mm('collar') - $s->mmIfAsked('lap'),
            'so that the collar laps the membrane all round',
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A hole in a fastened sheet, patched: sheet of the same kind beyond the damage on every side, over blocking, its edges
 * taped, the foot last and open.
 */
final class DamagePatch extends FacetDetail
{
    public const NAME = 'damage-patch';

    protected const EXTENTS = ['width_mm' => [10.0, 2000.0], 'height_mm' => [10.0, 2000.0]];

    protected const MATERIALS = [
        'sheet_material' => 'polyolefin-wrap',
        'patch_material' => 'polyolefin-wrap',
        'tape_material' => 'seam-tape',
    ];

    /** The tape along the top of the patch holds by its bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $s->mm('width') + $m, $s->mm('height') + $m]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['damage-cut-square', []],
            ['patch-over-damage', ['past_mm' => $s->mm('patch')]],
            ['patch-sides-taped', ['tape_mm' => $s->mm('tape')]],
            ['patch-top-taped', ['tape_mm' => $s->mm('tape')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h, $m, $p, $half] = [
            $s->mm('width'),
            $s->mm('height'),
            $s->mm('margin'),
            $s->mm('patch'),
            $s->mm('tape') / 2,
        ];
        [$tape, $kind] = [$used->of('tape'), PieceKind::Tape];

        return [
            Lay::piece(
                'sheet',
                $used->of('sheet'),
                PieceKind::Sheet,
                $at->of('damage-cut-square'),
                [
                    Lay::patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], $at->of('damage-cut-square')),
                    Lay::patch('sheet.left', 'face', [-$m, 0, 0, $h], ['f'], $at->of('damage-cut-square')),
                    Lay::patch('sheet.right', 'face', [$w, 0, $w + $m, $h], ['f'], $at->of('damage-cut-square')),
                    Lay::patch(
                        'sheet.above',
                        'face',
                        [-$m, $h, $w + $m, $h + $m],
                        ['f'],
                        $at->of('damage-cut-square'),
                    ),
                ],
                PieceRole::Plane,
            ),
            Lay::piece(
                'damage-patch',
                $used->of('patch'),
                PieceKind::Sheet,
                $at->of('patch-over-damage'),
                [
                    Lay::patch(
                        'damage-patch.face',
                        'face',
                        [-$p, -$p, $w + $p, $h + $p],
                        [],
                        $at->of('patch-over-damage'),
                    ),
                ],
                null,
                new CutSize($w + 2 * $p, $h + 2 * $p),
            ),
            Lay::onFace(
                'tape-left',
                $tape,
                $kind,
                $at->of('patch-sides-taped'),
                [-$p - $half, -$p, -$p + $half, $h + $p],
                null,
                new CutSize($h + 2 * $p, 2 * $half),
            ),
            Lay::onFace(
                'tape-right',
                $tape,
                $kind,
                $at->of('patch-sides-taped'),
                [$w + $p - $half, -$p, $w + $p + $half, $h + $p],
                null,
                new CutSize($h + 2 * $p, 2 * $half),
            ),
            Lay::onFace(
                'tape-top',
                $tape,
                $kind,
                $at->of('patch-top-taped'),
                [-$p - $half, $h + $p - $half, $w + $p + $half, $h + $p + $half],
                null,
                new CutSize($w + 2 * $p + 2 * $half, 2 * $half),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow(
            'patch_mm',
            $s->mm('margin') - $s->mm('tape') / 2,
            'the wall round the damage that is drawn',
        );
        $s->demandBelow('tape_mm', $s->mm('patch'), 'so that the tape lies beside the damage');
    }
}

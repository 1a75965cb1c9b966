<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\FacetDetail;
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

    protected function facets(array $s, array $chosen): array
    {
        $m = $s['margin_mm'];

        return ['face' => [-$m, -$m, $s['width_mm'] + $m, $s['height_mm'] + $m]];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['damage-cut-square', []],
            ['patch-over-damage', ['past_mm' => $s['patch_mm']]],
            ['patch-sides-taped', ['tape_mm' => $s['tape_mm']]],
            ['patch-top-taped', ['tape_mm' => $s['tape_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $h, $m, $p, $half] = [$s['width_mm'], $s['height_mm'], $s['margin_mm'], $s['patch_mm'], $s['tape_mm'] / 2];
        [$tape, $kind] = [$used['tape_material'], PieceKind::Tape];

        return [
            $this->laid(
                'sheet',
                $used['sheet_material'],
                PieceKind::Sheet,
                1,
                [
                    $this->patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], 1),
                    $this->patch('sheet.left', 'face', [-$m, 0, 0, $h], ['f'], 1),
                    $this->patch('sheet.right', 'face', [$w, 0, $w + $m, $h], ['f'], 1),
                    $this->patch('sheet.above', 'face', [-$m, $h, $w + $m, $h + $m], ['f'], 1),
                ],
                PieceRole::Plane,
            ),
            $this->laid(
                'damage-patch',
                $used['patch_material'],
                PieceKind::Sheet,
                2,
                [$this->patch('damage-patch.face', 'face', [-$p, -$p, $w + $p, $h + $p], [], 2)],
                null,
                new CutSize($w + 2 * $p, $h + 2 * $p),
            ),
            $this->onFace(
                'tape-left',
                $tape,
                $kind,
                3,
                [-$p - $half, -$p, -$p + $half, $h + $p],
                null,
                new CutSize($h + 2 * $p, 2 * $half),
            ),
            $this->onFace(
                'tape-right',
                $tape,
                $kind,
                3,
                [$w + $p - $half, -$p, $w + $p + $half, $h + $p],
                null,
                new CutSize($h + 2 * $p, 2 * $half),
            ),
            $this->onFace(
                'tape-top',
                $tape,
                $kind,
                4,
                [-$p - $half, $h + $p - $half, $w + $p + $half, $h + $p + $half],
                null,
                new CutSize($w + 2 * $p + 2 * $half, 2 * $half),
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow(
            $s,
            'patch_mm',
            $s['margin_mm'] - $s['tape_mm'] / 2,
            'the wall round the damage that is drawn',
        );
        $this->demandBelow($s, 'tape_mm', $s['patch_mm'], 'so that the tape lies beside the damage');
    }
}

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
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * A hole in the plane, patched beyond the damage on every side: a sheet with sheet of the same kind over blocking, its
 * edges taped, the foot last and open; a coat with coat over mesh; what is bonded, and a board, with a bonded patch.
 */
final class DamagePatch extends FacetDetail
{
    public const NAME = 'damage-patch';

    protected const PLANES = WallPlane::SHEET_FIRST;

    protected const EXTENTS = ['width_mm' => [10.0, 2000.0], 'height_mm' => [10.0, 2000.0]];

    protected const MATERIALS = [
        'sheet_material' => 'polyolefin-wrap',
        'patch_material' => 'polyolefin-wrap',
        'tape_material' => 'seam-tape',
    ];

    /** The top of the patch holds by its bond, or that of its tape; a coat is one with what it is laid on. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters) === WallPlane::Fluid ? Outcome::ReliesOnSeal : Outcome::ReliesOnBond;
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        $own = match ($plane) {
            WallPlane::FastenedSheet => self::MATERIALS,
            WallPlane::Fluid => ['flashing_material' => 'fluid-flashing'],
            default => ['patch_material' => 'flashing-strip'],
        };

        return $own + ($plane === null ? [] : [$plane->place() => $plane->usual()]);
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $s->mm('width') + $m, $s->mm('height') + $m]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $past = ['past_mm' => $s->mm('patch')];
        if ($chosen->plane() !== WallPlane::FastenedSheet) {
            $coated = $chosen->plane() === WallPlane::Fluid;

            return [['damage-cut-back', []], [$coated ? 'damage-coated' : 'patch-bonded', $past]];
        }

        return [
            ['damage-cut-square', []],
            ['patch-over-damage', $past],
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
        $cut = (int) $at->firstOf('damage-cut-square', 'damage-cut-back');
        $field = Lay::piece(
            'sheet',
            $used->of('plane'),
            $chosen->plane()->kind(),
            $cut,
            [
                Lay::patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], $cut),
                Lay::patch('sheet.left', 'face', [-$m, 0, 0, $h], ['f'], $cut),
                Lay::patch('sheet.right', 'face', [$w, 0, $w + $m, $h], ['f'], $cut),
                Lay::patch('sheet.above', 'face', [-$m, $h, $w + $m, $h + $m], ['f'], $cut),
            ],
            PieceRole::Plane,
        );
        $over = (int) $at->firstOf('patch-over-damage', 'damage-coated', 'patch-bonded');
        $coated = $at->has('damage-coated');
        $patch = Lay::onFace(
            'damage-patch',
            $used->of($coated ? 'flashing' : 'patch'),
            $coated ? PieceKind::Fluid : ($at->has('patch-bonded') ? PieceKind::Membrane : PieceKind::Sheet),
            $over,
            [-$p, -$p, $w + $p, $h + $p],
            null,
            $coated ? null : new CutSize($w + 2 * $p, $h + 2 * $p),
        );
        if (! $at->has('patch-sides-taped')) {
            return [$field, $patch];
        }
        [$tape, $kind] = [$used->of('tape'), PieceKind::Tape];

        return [
            $field,
            $patch,
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

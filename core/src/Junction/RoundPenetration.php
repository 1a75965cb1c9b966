<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Penetration;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * A pipe through the wall: the plane below it, a formable collar sealed to the pipe, the course above over the collar's
 * top. In a coat a fillet of fluid flashing round the pipe, and the coat over it; on boards the collar is bonded.
 */
final class RoundPenetration extends FacetDetail
{
    public const NAME = 'round-penetration';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['diameter_mm' => [10.0, 600.0]];

    protected const MATERIALS = [
        'collar_material' => 'flashing-formable',
    ];

    /** Round the pipe the water is held off by the collar's seal to it. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::ReliesOnSeal;
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        $materials = parent::materialsIn($plane);
        if ($plane === WallPlane::Fluid) {
            unset($materials['collar_material']);
            $materials['flashing_material'] = 'fluid-flashing';
        }

        return $materials;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('diameter'), $s->mm('diameter')];
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $w + $m, $h + $m]];
    }

    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('diameter'), $s->mm('diameter')];

        return [new Penetration('pipe', 'face', new Rect(0.0, 0.0, $w, $h), RoundThrough::sealedTo($chosen, ['collar']))];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        [$before, $after] = RoundThrough::steps($s, $chosen);
        $dressed = $chosen->plane() === WallPlane::Fluid ? 'pipe-fillet' : 'pipe-collar';

        return [
            ...$before,
            [$dressed, ['past_mm' => $s->mm('collar'), 'along_mm' => $s->mm('along_pipe')]],
            ...$after,
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('diameter'), $s->mm('diameter')];
        [$c, $along, $coated] = [$s->mm('collar'), $s->mm('along_pipe'), $at->has('pipe-fillet')];
        $collar = Lay::onFace(
            'collar',
            $used->of($coated ? 'flashing' : 'collar'),
            $coated ? PieceKind::Fluid : PieceKind::Formable,
            (int) $at->firstOf('pipe-collar', 'pipe-fillet'),
            [-$c, -$c, $w + $c, $h + $c],
            PieceRole::HeadFlashing,
            $coated ? null : new CutSize($w + 2 * ($c + $along), $h + 2 * ($c + $along)),
        );

        return [...RoundThrough::plane($w, $h, $s, $used, $chosen, $at), $collar];
    }

    protected function demandRoom(Sizes $s): void
    {
        RoundThrough::demandRoom($s);
    }
}

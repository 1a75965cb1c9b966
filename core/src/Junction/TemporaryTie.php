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
 * Something that goes through the plane for a while only: a scaffold tie, a prop, a lifting point. It is planned,
 * sealed round while it is there, and its hole plugged and patched as it is taken out, in one step: in between the wall
 * is open. How many there are is said with it, so that none is forgotten.
 */
final class TemporaryTie extends FacetDetail
{
    public const NAME = 'temporary-tie';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['diameter_mm' => [5.0, 300.0]];

    protected const MATERIALS = ['sealant_material' => 'sealant-silyl', 'patch_material' => 'flashing-strip'];

    protected const CHOICES = ['thing' => ['scaffold-tie', 'prop', 'lifting-point', 'service']];

    /** The patch holds by its bond; on a coat it is coat. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters) === WallPlane::Fluid ? Outcome::ReliesOnSeal : Outcome::ReliesOnBond;
    }

    public static function usualThing(): string
    {
        return self::CHOICES['thing'][0];
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        $materials = parent::materialsIn($plane);
        if ($plane === WallPlane::Fluid) {
            unset($materials['patch_material']);
            $materials['flashing_material'] = 'fluid-flashing';
        }

        return $materials;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        [$d, $m] = [$s->mm('diameter'), $s->mm('margin')];

        return ['face' => [-$m, -$m, $d + $m, $d + $m]];
    }

    /** What runs along it while it is there is held by the bead; afterwards there is nothing to run along. */
    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        $hole = new Rect(0.0, 0.0, $s->mm('diameter'), $s->mm('diameter'));

        return [new Penetration('tie', 'face', $hole, ['tie-bead', 'tie-patch'])];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $figures = ['thing' => $chosen->of('thing'), 'number' => (int) $s->figure('number')];

        return [
            ['plane-over-wall', []],
            ['tie-sealed', $figures],
            [
                $chosen->plane() === WallPlane::Fluid ? 'tie-hole-coated' : 'tie-hole-patched',
                $figures + ['past_mm' => $s->mm('patch')],
            ],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$d, $m, $p, $b] = [$s->mm('diameter'), $s->mm('margin'), $s->mm('patch'), $s->mm('bead')];
        $coated = $at->has('tie-hole-coated');

        return [
            Lay::plane(
                'plane',
                $used,
                $chosen,
                $at->of('plane-over-wall'),
                'face',
                [-$m, -$m, $d + $m, $d + $m],
            ),
            Lay::onFace(
                'tie-bead',
                $used->of('sealant'),
                PieceKind::Sealant,
                $at->of('tie-sealed'),
                [-$b, -$b, $d + $b, $d + $b],
            ),
            Lay::onFace(
                'tie-patch',
                $used->of($coated ? 'flashing' : 'patch'),
                $coated ? PieceKind::Fluid : PieceKind::Membrane,
                (int) $at->firstOf('tie-hole-patched', 'tie-hole-coated'),
                [-$p, -$p, $d + $p, $d + $p],
                PieceRole::HeadFlashing,
                $coated ? null : new CutSize($d + 2 * $p, $d + 2 * $p),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('patch_mm', $s->mm('margin'), 'the wall round it that is drawn');
        $s->demandBelow('bead_mm', $s->mm('patch'), 'the patch that covers it');
    }
}

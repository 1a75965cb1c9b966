<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Exterior insulation beside a buck that is as deep as the board: the unit stands out in the insulation, all that is
 * dressed is dressed on the buck and the plane behind, and the boards are cut to the buck and set last. Their joint
 * with it stays open at the foot.
 */
final class BoardBesideBuck extends Part
{
    public function groups(Composition $of): array
    {
        return ['beside-buck'];
    }

    public function materials(Composition $of): array
    {
        return [BoardsRound::name($of).'_material' => 'mineral-wool-board'];
    }

    /** What comes off the buck at the sill gets behind the board below, and out at its foot. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::Recovered;
    }

    public function steps(Scheme $in): array
    {
        return ['boards-beside-buck'];
    }

    public function pieces(Scheme $in): array
    {
        return [BoardsRound::piece($in, 'face', $in->mm('buck_face'), $in->at('boards-beside-buck'))];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'boards-beside-buck' ? ['board_mm' => $in->mm('insulation')] : null;
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow('buck_face_mm', $in->mm('margin'), 'the wall round the opening that is drawn');
    }
}

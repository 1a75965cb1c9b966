<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * No sheet over a solid wall that bears water, another school: pan and liners are bonded straight to it, and with
 * nothing above to lap it the head piece is sealed along its top.
 */
final class BareSolid extends Part implements WaterPlane
{
    public function materials(Composition $of): array
    {
        return ['membrane_material' => 'membrane-permeable'];
    }

    public function headEdges(Composition $of): Edges
    {
        return new Edges(['top' => Edge::Sealed]);
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return false;
    }

    public function worst(Composition $of): Outcome
    {
        return Outcome::WetsTolerant;
    }

    public function steps(Scheme $in): array
    {
        return [];
    }
}

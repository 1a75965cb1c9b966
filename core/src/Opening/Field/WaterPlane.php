<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\Edges;
use Apron\Opening\Composition;

/** The water plane of the wall that an opening stands in. */
interface WaterPlane
{
    /** How a head piece holds at its top where the plane does not come down over it; null where it does. */
    public function headEdges(Composition $of): ?Edges;

    /** Whether it comes down over what is dressed at the head, so that no bond is relied on there. */
    public function comesDownOverHead(Composition $of): bool;
}

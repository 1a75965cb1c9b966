<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Series;
use Apron\Cure\Spots;
use Apron\Cure\Step;
use Apron\Cure\Trial;
use Apron\Material\Material;

/** The barrier of a cooled room on its warm side: bonded outside of the outermost insulation. */
final class BarrierOutside implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        $outermost = (new Spots($assembly))->outermostInsulation;
        if ($outermost === null || ! $trial->fromOutdoors() || $assembly->soil !== null) {
            return [];
        }
        $steps = array_map(
            fn (Material $barrier): Step => new Step(Trial::with($assembly, $outermost + 1, $barrier), null, [
                'material' => $barrier->name,
                'layer' => $assembly->layers[$outermost]->material->name,
            ]),
            $trial->materials('barriers_outside'),
        );

        return $steps === [] ? [] : [new Series(CureKind::OuterBarrier, '', '', $steps)];
    }
}

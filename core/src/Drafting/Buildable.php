<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Detail\CannotLay;
use Apron\Detail\Detail;
use Apron\Detail\Layout;

/**
 * Sizes that pass each for itself may together push a piece off the wall that is drawn, leave nothing of it, or ask for
 * a weave.
 */
final class Buildable
{
    /** @throws CannotGenerate */
    public static function demand(Detail $detail): void
    {
        foreach ($detail->pieces as $piece) {
            foreach ($piece->patches as $patch) {
                [$rect, $extent] = [$patch->rect, $detail->facets[$patch->facet]->extent];
                if ($rect->width() <= 0 || $rect->height() <= 0 || ! $extent->contains($rect)) {
                    throw new CannotGenerate(
                        'parameters',
                        "{$patch->id} at ".json_encode($rect->toArray(), JSON_THROW_ON_ERROR),
                        sprintf(
                            'sizes that keep every piece on “%s”, u %g to %g and v %g to %g',
                            $patch->facet,
                            $extent->u0,
                            $extent->u1,
                            $extent->v0,
                            $extent->v1,
                        ),
                    );
                }
            }
        }
        try {
            new Layout($detail);
        } catch (CannotLay $wrong) {
            throw new CannotGenerate('parameters', "$wrong->patch $wrong->found", $wrong->expected);
        }
    }
}

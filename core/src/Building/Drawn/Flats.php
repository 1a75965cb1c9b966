<?php

declare(strict_types=1);

namespace Apron\Building\Drawn;

use Apron\Building\Block;
use Apron\Building\Envelope;
use Apron\Building\Hole;
use Apron\Building\Outline;
use Apron\Building\Within;

/** Everything level of the envelope seen from above: roofs, slabs, soffits, floors, each with what stands on it. */
final class Flats
{
    /**
     * @return list<array{part: string, block: string, corners_mm: list<array{float, float}>,
     *   covered_mm: list<list<array{float, float}>>, openings_mm: list<array{float, float, float, float}>}> mm on plan;
     *   a pitched roof as it lies on plan
     */
    public static function of(Envelope $envelope): array
    {
        $flats = [];
        foreach ($envelope->building->blocks as $block) {
            foreach ($block->isConditioned() ? [true, false] : [] as $top) {
                $flat = self::flat($envelope, $block, $top);
                if ($flat !== null) {
                    $flats[] = $flat;
                }
            }
        }

        return $flats;
    }

    /**
     * @return array{part: string, block: string, corners_mm: list<array{float, float}>,
     *   covered_mm: list<list<array{float, float}>>, openings_mm: list<array{float, float, float, float}>}|null null
     *   where all of it is inside
     */
    private static function flat(Envelope $envelope, Block $block, bool $top): ?array
    {
        $covered = [];
        foreach ($envelope->building->blocks as $other) {
            $meets = $top
                ? $other->base === $block->top && $block->roofForm->isFlat()
                : $other->top === $block->base && $other->roofForm->isFlat();
            if ($other !== $block && $meets && $block->outline->common($other->outline) > 1.0) {
                $covered[] = $other->outline;
            }
        }
        $left = $block->outline->area();
        foreach ($covered as $over) {
            $left -= $block->outline->common($over);
        }
        if ($left <= 1.0) {
            return null;
        }
        [$x, $y] = Within::first($block->outline, $covered);
        $part = $envelope->surfaces->level($block, $top, $x, $y);
        $holes = array_filter(
            $envelope->holes,
            fn (Hole $hole): bool => $hole->edge === null && $hole->block === $block && $hole->isBelow !== $top,
        );

        return $part === null
            ? null
            : [
                'part' => $part->id,
                'block' => $block->id,
                'corners_mm' => $block->outline->corners,
                'covered_mm' => array_map(fn (Outline $over): array => $over->corners, $covered),
                'openings_mm' => array_values(
                    array_map(
                        fn (Hole $hole): array => [$hole->left, $hole->sill, $hole->right, $hole->head],
                        $holes,
                    ),
                ),
            ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Rules\RuleFigures;

/** What the rain meets on a wall, and whether anything parts it from what is behind. */
final readonly class Cladding
{
    private function __construct(
        /** number of the layer */
        public int $at,
        public Layer $layer,
        /** soaks up rain, with nothing outside of it that insulates or sheds water */
        public bool $reservoir,
        /** a layer of air or a mat behind it drains it */
        public bool $drained,
        /** the air behind it moves */
        public bool $ventilated,
        /** sheets and leaves that shed water between it and what water harms: one drainage plane, or two */
        public int $planes,
        /** the outermost thing behind it that water harms; null where there is none */
        public ?Layer $harmed,
    ) {
    }

    /** Null where it is no wall in the weather, or is of one layer. */
    public static function of(Assembly $assembly): ?self
    {
        $layers = $assembly->layers;
        $at = max(0, count($layers) - 1);
        if ($assembly->kind !== AssemblyKind::Wall || $assembly->soil !== null || $at === 0) {
            return null;
        }
        // A finish or a coat on the reservoir is part of it, as long as it neither insulates nor sheds.
        $reservoir = null;
        foreach (array_reverse($layers, true) as $i => $layer) {
            if ($i === 0 || $layer->insulates() || $layer->material->shedsWater === true) {
                break;
            }
            $reservoir = $layer->material->isReservoir() ? $i : $reservoir;
        }
        $cladding = $reservoir ?? $at;
        [$drained, $planes, $harmed] = [false, 0, null];
        foreach (array_reverse(array_slice($layers, 0, $cladding), true) as $i => $layer) {
            $solid = self::solid($assembly->whole($i));
            $drained = $drained || $layer->airLayer() !== null || $layer->material->drains();
            $planes += $layer->material->shedsWater === true ? $layer->material->leaves : 0;
            // Behind a wall of masonry or concrete there is nothing more that the rain on the cladding gets to.
            if ($layer->material->harmedByWater() || $solid) {
                $harmed = $solid ? null : $layer;
                break;
            }
        }
        $ventilated = $assembly->ventilatedAt() !== null && $assembly->ventilatedAt() < $cladding;

        return new self(
            $cladding,
            $assembly->whole($cladding),
            $reservoir !== null,
            $drained,
            $ventilated,
            $planes,
            $harmed,
        );
    }

    /** Masonry or concrete as thick as a wall. */
    public static function solid(Layer $layer): bool
    {
        return $layer->material->holdsWater() &&
            ! $layer->material->harmedByWater() &&
            $layer->thicknessMm >= RuleFigures::of('physics')->figure('solid_masonry_mm');
    }

    /** Lies against the wall and hands on all that it has soaked up. */
    public function soaks(): bool
    {
        return $this->reservoir && ! $this->drained && ! self::solid($this->layer);
    }
}

<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

/** How deep in the wall a unit sits. */
enum UnitPlace: string
{
    case OuterFace = 'outer-face';
    case Insulation = 'insulation';
    case Sheathing = 'sheathing';
    case MiddleThird = 'middle-third';

    /** mm from the inside to its outer face; null where the wall has no such place for so deep a frame */
    public function outerFace(Stack $wall, float $frameMm): ?float
    {
        $insulation = $wall->insulation();
        $at = match ($this) {
            self::OuterFace => $wall->thick,
            self::Sheathing => $insulation === null ? null : $wall->sheathing(),
            self::MiddleThird => 0.5 * ($wall->thick + $frameMm),
            self::Insulation => $insulation === null
                ? null
                : min($wall->thick, max($insulation[0] + $frameMm, 0.5 * ($insulation[0] + $insulation[1] + $frameMm))),
        };

        return $at === null || $at - $frameMm < 0 || $at > $wall->thick + 1e-9 ? null : $at;
    }
}

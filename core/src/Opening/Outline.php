<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Sizes;

/** The outline of a unit that is no rectangle. */
interface Outline
{
    /** What the project file calls such a unit. */
    public function name(): string;

    /** @return array<string, array{float, float}> sizes that must be given, mm: least and most */
    public function extents(): array;

    /**
     * Width and height of the outline, and the level up to which it only widens.
     *
     * @return array{float, float, float}
     */
    public function size(Sizes $s): array;

    /** Half the width of the outline at a level, `out` mm outside of it; 0 where there is none. */
    public function half(Sizes $s, float $v, float $out): float;
}

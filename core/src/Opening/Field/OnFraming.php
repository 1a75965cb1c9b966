<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\FramingMember;
use Apron\Detail\Gap;
use Apron\Detail\Piece;
use Apron\Detail\PlacedFastener;
use Apron\Opening\Scheme;

/** A plane of boards: its joints must lie on framing, its fasteners go through it, gaps open behind it. */
interface OnFraming
{
    /** @return list<FramingMember> */
    public function framing(Scheme $in): array;

    /**
     * Fasteners through the plane that are not made for it.
     *
     * @param  list<Piece>  $pieces
     * @return list<PlacedFastener>
     */
    public function fasteners(Scheme $in, array $pieces): array;

    /** @return list<Gap> volumes of air between the layers */
    public function gaps(Scheme $in): array;
}

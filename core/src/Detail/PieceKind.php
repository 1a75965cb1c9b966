<?php

declare(strict_types=1);

namespace Apron\Detail;

/** What sort of thing a piece is; settles how its edges hold and what its corners can do. */
enum PieceKind: string
{
    case Sheet = 'sheet';
    case Membrane = 'membrane';
    case Tape = 'tape';
    case Formable = 'formable';
    case Corner = 'corner';
    case Moulded = 'moulded';
    case Fluid = 'fluid';
    case Sealant = 'sealant';
    case Metal = 'metal';
    case Board = 'board';
    case Unit = 'unit';

    /** How an edge of it holds where nothing else is said. */
    public function edge(): Edge
    {
        return match ($this) {
            self::Sheet, self::Metal, self::Board, self::Unit => Edge::Open,
            self::Membrane, self::Tape, self::Formable, self::Corner, self::Moulded => Edge::Adhered,
            self::Fluid, self::Sealant => Edge::Sealed,
        };
    }
}

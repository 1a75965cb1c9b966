<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Detail\Piece;
use Apron\Detail\Rect;

/** Two pieces that touch on a facet, or a piece and what the wall has there, and from which step on. */
final readonly class PieceTouch
{
    public function __construct(
        public Touch $touch,
        /** the outer one */
        public Piece $piece,
        /** null where it goes through the facet: a fastener */
        public ?string $facet = null,
        /** a stretch on which they touch */
        public ?Rect $rect = null,
        public int $step = 1,
    ) {
    }
}

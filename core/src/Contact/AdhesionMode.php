<?php

declare(strict_types=1);

namespace Apron\Contact;

/** How a strip pulled off a face by hand came away: the modes of ASTM C1521 (from memory). */
enum AdhesionMode: string
{
    /** the product tore, and stayed on the face */
    case Cohesive = 'cohesive';
    /** it let go of the face */
    case Adhesive = 'adhesive';
    /** the face came off with it */
    case Substrate = 'substrate';

    public function holds(): bool
    {
        return $this !== self::Adhesive;
    }
}

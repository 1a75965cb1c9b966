<?php

declare(strict_types=1);

namespace Apron\Contact;

/** How two materials meet. */
enum How: string
{
    case Bonded = 'bonded';
    case Lapped = 'lapped';
    case Pressed = 'pressed';
    /** the first is a fastener that goes through the second */
    case Fastened = 'fastened';
    /** the first is above the second, which its water runs onto */
    case DrainsOnto = 'drains-onto';
    /** not touching, in one closed space */
    case Near = 'near';
    case Touches = 'touches';

    /** Whether one is meant to stick to the other, where it can. */
    public function sticks(): bool
    {
        return $this === self::Bonded || $this === self::Lapped;
    }

    /** Whether it matters which of the two is the first. */
    public function isOrdered(): bool
    {
        return $this === self::DrainsOnto;
    }
}

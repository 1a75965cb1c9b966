<?php

declare(strict_types=1);

namespace Apron\Contact;

/** What a crew can count on in the mean air of a month, for one product. */
enum Weather: string
{
    case Fair = 'fair';
    /** colder than it is laid without a primer */
    case Primed = 'primed';
    /** faces are wet in the morning, and it takes none */
    case Damp = 'damp';
    case Frost = 'frost';
    case Cold = 'cold';
    case Hot = 'hot';
}

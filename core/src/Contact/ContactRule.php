<?php

declare(strict_types=1);

namespace Apron\Contact;

/** One row of `core/data/contacts.json`. */
final readonly class ContactRule
{
    /**
     * @param  list<How>  $how  the ways of meeting that it speaks of
     * @param  array<string, string>  $when  `cure` or `coating` => what a data sheet must say
     */
    public function __construct(
        public string $id,
        /** the family, or the sticker, that lies over, above or through */
        public string $a,
        public string $b,
        public array $how,
        public ContactVerdict $verdict,
        public string $why,
        public string $do,
        public array $when = [],
    ) {
    }
}

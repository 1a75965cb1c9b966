<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Assembly\Control;
use Apron\Material\Material;

/** Products that were tested, or are warranted, together, and by whom: what a stranger among them voids. */
final readonly class System
{
    /** @param  list<string>  $products  ids of materials */
    public function __construct(
        public string $id,
        public string $name,
        /** who says so */
        public string $by,
        /** the control layer that it is for; null where nobody has said */
        public ?Control $plane,
        public array $products,
    ) {
    }

    public function has(Material $material): bool
    {
        return in_array($material->id, $this->products, true);
    }
}

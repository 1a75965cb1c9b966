<?php

declare(strict_types=1);

namespace Apron\Material;

/** A film, foil, paper or coating on one face of a board or batt: a layer of its own to vapour, none to heat. */
final readonly class Facer
{
    public function __construct(
        public Face $face,
        public string $name,
        public Family $family,
        /** m, by the dry cup */
        public float $sd,
        /** m, by the wet cup; as the dry one where it does not differ */
        public float $sdWet,
    ) {
    }

    /** The same on the other face: of a batt that is turned round. */
    public function turned(): self
    {
        return new self($this->face->other(), $this->name, $this->family, $this->sd, $this->sdWet);
    }
}

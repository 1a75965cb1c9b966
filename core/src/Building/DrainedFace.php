<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\DrainEnd;

/** What runs behind the cladding of one wall, from where it begins to where it comes out. */
final readonly class DrainedFace
{
    /**
     * @param  list<string>  $past  level members that cross the space, by name
     * @param  list<string>  $over  openings on the way, over whose heads it must come out
     */
    public function __construct(
        public string $part,
        /** the kind of joint that it begins under; null where nothing lies over it */
        public ?JointKind $from,
        public array $past,
        public array $over,
        public ?DrainEnd $heads,
        /** the kind of joint at its foot */
        public ?JointKind $to,
        /** the wall that it runs on down behind; null where it ends */
        public ?string $onto,
        public ?DrainEnd $base,
        /** whether it comes out; null where nobody has said */
        public ?bool $out,
        public DrainedWhy $why,
    ) {
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'part' => $this->part,
            'from' => $this->from?->value,
            'past' => $this->past,
            'over' => $this->over,
            'heads' => $this->heads?->value,
            'to' => $this->to?->value,
            'onto' => $this->onto,
            'base' => $this->base?->value,
            'out' => $this->out,
            'why' => $this->why->value,
        ];
    }
}

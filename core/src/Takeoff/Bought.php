<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** What one layer of one part, or one piece of a detail, takes of a material. */
final readonly class Bought
{
    /**
     * @param  string  $from  id of a part, or place of a detail
     * @param  array<string, float|int|string>  $why  how gross follows from net
     * @param  array<string, float>  $by  the share of each part in it; empty where no part has it
     */
    public function __construct(
        public string $material,
        public Counted $counted,
        public float $net,
        public float $gross,
        /** what it is bought in */
        public string $unit,
        /** how much of it one of those holds */
        public float $holds,
        public string $from,
        public array $why,
        public array $by = [],
        /** it is part of what has been packed, and counted there */
        public bool $isPacked = false,
    ) {
    }

    /** What is bought in one unit is one line. */
    public function key(): string
    {
        return sprintf('%s %s %s %.4F', $this->material, $this->counted->value, $this->unit, $this->holds);
    }
}

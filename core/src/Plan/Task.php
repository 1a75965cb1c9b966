<?php

declare(strict_types=1);

namespace Apron\Plan;

/** A piece of the work that takes some working days. */
final readonly class Task
{
    /**
     * @param  list<Wait>  $after
     * @param  list<string>  $covers  tasks whose product it covers
     * @param  string|null  $product  the material that it lays
     * @param  list<string>  $details  openings and details that it makes
     * @param  array{int, int}|null  $steps  of those, from one to another; all where null
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $days,
        public array $after = [],
        public ?string $area = null,
        public ?string $product = null,
        public array $covers = [],
        public bool $isHold = false,
        public ?int $notBefore = null,
        public bool $needsDry = false,
        public array $details = [],
        public ?array $steps = null,
    ) {
    }

    /** @param  list<Wait>  $after */
    public function waiting(array $after): self
    {
        return new self(
            $this->id,
            $this->title,
            $this->days,
            $after,
            $this->area,
            $this->product,
            $this->covers,
            $this->isHold,
            $this->notBefore,
            $this->needsDry,
            $this->details,
            $this->steps,
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Transient;

/** All that a run needs to go on after a whole year, in another process. */
final readonly class Memory
{
    /**
     * @param  list<MouldIndex>  $mould  by boundary
     * @param  list<float>  $totals  what came and went
     * @param  array<int, float>  $wettest  by layer
     * @param  array<int, bool>  $frozen  by layer
     * @param  list<list<float>>  $grown
     * @param  list<float>  $water  kg/m² at the beginning and at the end of each year
     */
    public function __construct(
        public State $state,
        public array $mould,
        public array $totals,
        public array $wettest,
        public array $frozen,
        public array $grown,
        public array $water,
        public ?int $steady,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** What a project settles for its quantities; with nothing settled all is laid and bought as is usual. */
final readonly class Takeoff
{
    /**
     * @param  list<LayerRule>  $layers
     * @param  list<Moved>  $moved
     * @param  list<Survey>  $surveys
     * @param  list<Transfer>  $transfers
     * @param  list<Delivery>  $deliveries
     * @param  list<Ordered>  $ordered  as it was last sent out
     */
    public function __construct(
        public array $layers = [],
        public array $moved = [],
        public array $surveys = [],
        public array $transfers = [],
        public array $deliveries = [],
        public array $ordered = [],
    ) {
    }

    public function rule(string $assembly, string $layer): LayerRule
    {
        foreach ($this->layers as $rule) {
            if ($rule->assembly === $assembly && $rule->layer === $layer) {
                return $rule;
            }
        }

        return new LayerRule($assembly, $layer);
    }

    /** @return list<Moved> of one layer of one part */
    public function movedIn(string $part, string $layer): array
    {
        return array_values(
            array_filter(
                $this->moved,
                fn (Moved $moved): bool => $moved->part === $part && $moved->layer === $layer,
            ),
        );
    }
}

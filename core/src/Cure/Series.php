<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;

/** One thing that can be changed, from the smallest step to the greatest; and, where it can be any size, its curve. */
final readonly class Series
{
    /**
     * @param  string  $words  the end of the code of its words: `render` of `cure.outer-board.render`; empty for none
     * @param  string  $layer  id of the layer that is changed or put in
     * @param  non-empty-list<Step>  $steps  sizes that are sold, or things that there are
     * @param  float|null  $from  what is there now, in the unit of the steps
     * @param  (\Closure(float): Assembly)|null  $any  with any size of it, sold or not
     * @param  array{float, float}|null  $range  of such sizes, for the curve
     */
    public function __construct(
        public CureKind $kind,
        public string $words,
        public string $layer,
        public array $steps,
        public ?float $from = null,
        public ?\Closure $any = null,
        public ?array $range = null,
    ) {
    }

    /** The code of its words. */
    public function code(): string
    {
        return 'cure.'.$this->kind->value.($this->words === '' ? '' : '.'.$this->words);
    }

    /** One of its steps as a change of its own, without a curve. */
    public function made(Step $step): Cure
    {
        return new Cure(
            $this->kind,
            $this->code(),
            $this->layer,
            $step->figures,
            $this->from,
            $step->to,
            [],
            $step->assembly,
        );
    }

    /** Whether more of it does more: sizes, and not things of one kind. */
    public function monotonic(): bool
    {
        return $this->any !== null && $this->kind !== CureKind::Retarder;
    }

    /** @return non-empty-list<Step> what does if any of it does */
    public function most(): array
    {
        return $this->monotonic() ? [$this->steps[count($this->steps) - 1]] : $this->steps;
    }

    /** @return non-empty-list<Step> of sizes three: a small one, a middling, the most */
    public function few(): array
    {
        $last = count($this->steps) - 1;

        return array_map(
            fn (int $k): Step => $this->steps[$k],
            array_values(array_unique([intdiv($last, 3), intdiv(2 * $last, 3), $last])),
        );
    }
}

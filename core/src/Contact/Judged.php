<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Rules\Source;

/** What comes of a touch: the verdict, by which rule, why, and what clears it. */
final readonly class Judged
{
    public function __construct(
        public ContactVerdict $verdict,
        /** the id of a rule, or what else settles it: `condition.frost`, `product.tested-with` */
        public string $rule,
        public string $why,
        public string $do,
        public Source $source,
    ) {
    }

    /** Of several reasons the worst gives the verdict; of equals the first. */
    public static function worst(self ...$all): self
    {
        return array_reduce(
            $all,
            fn (?self $worst, self $one): self => $worst !== null && $worst->verdict->rank() <= $one->verdict->rank()
                ? $worst
                : $one,
        ) ?? throw new \InvalidArgumentException('nothing was judged');
    }

    public static function by(ContactRule $rule): self
    {
        return new self($rule->verdict, $rule->id, $rule->why, $rule->do, Source::commonPractice());
    }
}

<?php

declare(strict_types=1);

namespace Apron\Drafting;

/** Which step does what: steps are called by what they do, and numbered only in the order they come in. */
final readonly class StepNumbers
{
    /** @param  array<string, int>  $numbers  by what the step does */
    private function __construct(private array $numbers)
    {
    }

    /** @param  list<string>  $order  what each does */
    public static function inOrder(array $order): self
    {
        return new self(array_map(fn (int $i): int => $i + 1, array_flip($order)));
    }

    public function of(string $does): int
    {
        return $this->numbers[$does] ?? throw new \LogicException("no step does $does");
    }

    public function has(string $does): bool
    {
        return isset($this->numbers[$does]);
    }

    /** The first of several that there is: ways of doing the same; null where there is none. */
    public function firstOf(string ...$ways): ?int
    {
        foreach ($ways as $does) {
            if (isset($this->numbers[$does])) {
                return $this->numbers[$does];
            }
        }

        return null;
    }
}

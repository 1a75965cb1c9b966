<?php

declare(strict_types=1);

namespace Apron\Drafting;

/** What was chosen between schools, of those that a method leaves open. */
final readonly class Choices
{
    /** @param  array<string, string>  $chosen */
    public function __construct(private array $chosen)
    {
    }

    public function of(string $question): string
    {
        return $this->chosen[$question] ?? throw new \LogicException("nobody is asked for $question");
    }

    /** Whether that was chosen; no where the method does not ask. */
    public function is(string $question, string $answer): bool
    {
        return ($this->chosen[$question] ?? null) === $answer;
    }
}

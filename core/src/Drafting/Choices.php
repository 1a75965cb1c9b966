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

    /** The plane of the wall that a junction is made in. */
    public function plane(): WallPlane
    {
        return WallPlane::from($this->of('plane'));
    }

    /** Whether it is made on boards that stand before it. */
    public function stands(): bool
    {
        return isset($this->chosen['plane']) && $this->plane()->standsFirst();
    }

    /** Whether that was chosen; no where the method does not ask. */
    public function is(string $question, string $answer): bool
    {
        return ($this->chosen[$question] ?? null) === $answer;
    }
}

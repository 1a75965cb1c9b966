<?php

declare(strict_types=1);

namespace Apron\Drafting;

/**
 * The sizes and figures a detail is drawn by, each held to its range: asked by name, and a name that is not there is a
 * mistake in the method.
 */
final readonly class Sizes
{
    /** @param  array<string, float>  $sizes  as parameters are called: lengths end in `_mm` */
    public function __construct(private array $sizes)
    {
    }

    /** A length, mm. */
    public function mm(string $name): float
    {
        return $this->figure("{$name}_mm");
    }

    /** A length where it is asked, else 0. */
    public function mmIfAsked(string $name): float
    {
        return $this->sizes["{$name}_mm"] ?? 0.0;
    }

    /** Whatever is no length: a bevel in degrees, a number of courses. */
    public function figure(string $name): float
    {
        return $this->sizes[$name] ?? throw new \LogicException("no size is called $name");
    }

    /** Whether the method has a length of that name at all. */
    public function has(string $name): bool
    {
        return isset($this->sizes["{$name}_mm"]);
    }

    /** What one size may not reach because of another; one that is not asked reaches nothing. */
    public function demandBelow(string $name, float $most, string $why): void
    {
        if (isset($this->sizes[$name]) && $this->figure($name) >= $most) {
            throw new CannotGenerate($name, $this->figure($name), sprintf('less than %g mm, %s', $most, $why));
        }
    }
}

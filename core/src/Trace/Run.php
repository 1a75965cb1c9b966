<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Rules\Severity;

/** One release of water followed to its end: the worst that happens, the severity of it all, and the path. */
final class Run
{
    public Outcome $outcome = Outcome::Shed;

    public Severity $severity = Severity::Pass;

    /**
     * @var list<array{outcome: Outcome, code: string, at: string, elevation: float, point: int}> `point`: where on the
     *   route
     */
    public array $path = [];

    /** @var list<array{string, float, float}> the way it takes, as facet, u and v */
    public array $route = [];

    /** @param  int|null  $lines  edges that must fail before harm; null where no failure of an edge does any */
    public function __construct(public readonly ?int $lines)
    {
    }

    public function add(Outcome $outcome, string $code, string $at, float $elevation): void
    {
        $this->path[] = [
            'outcome' => $outcome,
            'code' => $code,
            'at' => $at,
            'elevation' => $elevation,
            'point' => max(0, count($this->route) - 1),
        ];
        $this->outcome = $this->outcome->worse($outcome);
        $severity = $outcome->severity($this->lines);
        $this->severity = $severity->rank() < $this->severity->rank() ? $severity : $this->severity;
    }

    /** @return array{string, float, float} where on its way the worst happens */
    public function worstAt(): array
    {
        foreach ($this->path as $event) {
            if ($event['outcome'] === $this->outcome && $this->outcome !== Outcome::Shed) {
                return $this->route[$event['point']];
            }
        }

        return $this->route[count($this->route) - 1];
    }
}

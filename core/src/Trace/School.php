<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Rules\Severity;

/** What a project's schools change in the verdicts on a detail. */
final readonly class School
{
    /**
     * @param  bool  $weatherSealed  it seals the outer joint on all four sides
     * @param  int  $bonds  by how many steps what relies on a bond or a seal is judged harder, below nothing milder
     * @param  array<string, string>  $answers  question => answer, for the words that depend on them
     */
    public function __construct(
        public bool $weatherSealed = false,
        public int $bonds = 0,
        public array $answers = [],
    ) {
    }

    /** @param  array<string, string>  $schools  question => answer, as the project has them */
    public static function of(array $schools): self
    {
        return new self(
            ($schools['outer-sill'] ?? '') === 'weather-sealed',
            ['trusted' => -1, 'distrusted' => 1][$schools['bonds'] ?? ''] ?? 0,
            $schools,
        );
    }

    /** The severity of an outcome in this school: bond and seal moved between note and fail. */
    public function judged(Outcome $outcome, Severity $severity): Severity
    {
        if ($outcome !== Outcome::ReliesOnBond && $outcome !== Outcome::ReliesOnSeal) {
            return $severity;
        }
        $scale = [Severity::Note, Severity::Caution, Severity::Fail];
        $at = array_search($severity, $scale, true);

        return $at === false ? $severity : $scale[max(0, min(2, $at + $this->bonds))];
    }
}

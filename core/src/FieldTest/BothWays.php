<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/**
 * One house blown into and drawn out of on one day, at one stage: it is told by the mean of both (ISO 9972:2015 lets
 * either way stand alone and asks for the mean where both were done, from memory).
 */
final readonly class BothWays
{
    private const FIGURES = ['q50_m3_h', 'n50_1_h', 'q50_m3_h_m2', 'q75_l_s_m2'];

    private function __construct(
        public FanAssessment $other,
        /** @var array<string, float|null> by figure; null where either has none */
        public array $means,
    ) {
    }

    /** Whether two are a house blown into and drawn out of on one day, at one stage. */
    private static function are(FanSheet $one, FanSheet $other): bool
    {
        return $one->way() * $other->way() === -1 && $one->head->isOneOccasionWith($other->head);
    }

    /** Null where they are no pair, or either is no test: half of a mean would be what is not valid. */
    public static function of(FanAssessment $one, FanAssessment $other): ?self
    {
        $isTest = $one->verdict() !== TestVerdict::NotValid && $other->verdict() !== TestVerdict::NotValid;
        if (! $isTest || ! self::are($one->sheet, $other->sheet)) {
            return null;
        }
        [$a, $b] = [$one->told(), $other->told()];
        $means = [];
        foreach (self::FIGURES as $figure) {
            $means[$figure] = $a[$figure] === null || $b[$figure] === null ? null : ($a[$figure] + $b[$figure]) / 2;
        }

        return new self($other, $means);
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return ['with' => $this->other->sheet->id, 'title' => $this->other->sheet->head->title] + $this->means;
    }
}

<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;
use Apron\Rules\Words;

/**
 * A fan test reckoned, and whether it is one: outside of what its standard allows it is not valid, and its figures are
 * told for what they are worth. A target is judged by the figure; where its interval holds the target, that is said.
 */
final readonly class FanAssessment implements Assessed
{
    /** Zero-flow pressure above which a test is none, Pa (ISO 9972:2015, 5.3.3, from memory). */
    private const MOST_OFFSET = 5.0;

    private const LEAST_R2 = 0.98;

    private const LEAST_POINTS = 5;

    /** A hair beyond 0.5 and 1, for arithmetic. */
    private const HAIR = 1e-9;

    public ?FanTest $test;

    /** @var list<string> why it is not valid, by code */
    public array $wrong;

    /** @param  FanSheet|null  $other  the same house tested the other way, with what it leaves open filled */
    public function __construct(public FanSheet $sheet, private ?FanSheet $other = null)
    {
        $points = array_map(
            fn (array $point): array => ['flow' => $point['flow'] / 3600] + $point,
            $sheet->points,
        );
        $signs = array_unique(array_map(fn (array $point): int => $point['pressure'] <=> 0.0, $points));
        $test = null;
        $wrong = [];
        foreach ($sheet->offsets() as $offset) {
            if ($offset !== null && abs($offset) > self::MOST_OFFSET) {
                $wrong['offset'] = true;
            }
        }
        if (count($points) < self::LEAST_POINTS) {
            $wrong['points'] = true;
        }
        if (count($signs) > 1) {
            $wrong['signs'] = true;
        }
        try {
            $test = isset($wrong['signs']) ? null : new FanTest(
                $points,
                array_values(array_filter($sheet->offsets(), fn (?float $o): bool => $o !== null)),
                $sheet->indoors,
                $sheet->outdoors,
                $sheet->convention,
                $sheet->barometer,
                $sheet->indoorHumidity,
                $sheet->outdoorHumidity,
            );
        } catch (CannotTest) {
            $wrong['readings'] = ! isset($wrong['points']);
        }
        if ($test !== null && ($test->exponent < 0.5 - self::HAIR || $test->exponent > 1.0 + self::HAIR)) {
            $wrong['exponent'] = true;
        }
        if ($test !== null && $test->determination < self::LEAST_R2) {
            $wrong['r2'] = true;
        }
        $this->test = $test;
        $this->wrong = array_keys(array_filter($wrong));
    }

    public function verdict(): TestVerdict
    {
        return match (true) {
            $this->wrong !== [] => TestVerdict::NotValid,
            $this->missed() !== [] => TestVerdict::Fail,
            default => TestVerdict::Pass,
        };
    }

    /** @return array<string, float|null> figures that a target may be set for; null where no size is known */
    private function figures(): array
    {
        if ($this->test === null) {
            return [];
        }
        [$volume, $envelope] = [$this->sheet->volume, $this->sheet->envelope];

        return [
            'n50_1_h' => $volume === null ? null : $this->test->airChanges(50.0, $volume),
            'q50_m3_h_m2' => $envelope === null ? null : ($this->test->flow(50.0) * 3600) / $envelope,
            'q75_l_s_m2' => $envelope === null ? null : $this->test->leakage(75.0, $envelope),
        ];
    }

    /** @return array<string, array{float, float}> what was found and what was asked, of targets that are missed */
    private function missed(): array
    {
        $missed = [];
        foreach ($this->figures() as $name => $found) {
            $target = $this->sheet->targets[$name] ?? null;
            if ($target !== null && $found !== null && $found > $target) {
                $missed[$name] = [$found, $target];
            }
        }

        return $missed;
    }

    /** @return list<string> targets that lie within the interval of what was found */
    private function near(): array
    {
        $near = [];
        foreach ($this->figures() as $name => $found) {
            $target = $this->sheet->targets[$name] ?? null;
            if ($target === null || $found === null || $this->test === null) {
                continue;
            }
            $pressure = $name === 'q75_l_s_m2' ? 75.0 : 50.0;
            [$low, $high] = $this->test->interval($pressure);
            $flow = $this->test->flow($pressure);
            if ($target > ($found * $low) / $flow && $target < ($found * $high) / $flow) {
                $near[] = $name;
            }
        }

        return $near;
    }

    public function findings(): array
    {
        $sheet = $this->sheet;
        if ($this->wrong !== []) {
            $offsets = array_map(fn (?float $offset): float => abs($offset ?? 0.0), $sheet->offsets());

            return array_map(
                fn (string $why): Finding => $this->finding("test.not-valid-$why", Severity::Caution, [
                    'points' => count($sheet->points),
                    'offset_pa' => max(0.0, ...$offsets),
                    'exponent' => $this->test->exponent ?? 0.0,
                    'r2' => $this->test->determination ?? 0.0,
                ]),
                $this->wrong,
            );
        }
        $findings = [];
        foreach ($this->missed() as $name => [$found, $target]) {
            // What was made up tells nothing of the building.
            $findings[] = $this->finding(
                $sheet->head->isSimulated ? 'test.simulated-missed' : 'test.missed',
                $sheet->head->isSimulated ? Severity::Note : Severity::Fail,
                ['figure' => $name, 'found' => round($found, 3), 'target' => $target],
                $name,
            );
        }
        foreach ($this->near() as $name) {
            $findings[] = $this->finding('test.near', Severity::Note, ['figure' => $name], $name);
        }
        if ($sheet->otherWay !== null && $this->bothWays() === null) {
            $findings[] = $this->finding('test.no-pair', Severity::Note, ['other' => $sheet->otherWay]);
        }

        return $findings;
    }

    /** @param  array<string, float|int|string>  $figures */
    private function finding(string $code, Severity $severity, array $figures, string $of = ''): Finding
    {
        return new Finding(
            $code,
            $severity,
            "tests/{$this->sheet->head->id}",
            ['test' => $this->sheet->head->title] + $figures,
            Source::of(SourceKind::FromMemory, $this->sheet->convention->name()),
            $of,
        );
    }

    public function bothWays(): ?BothWays
    {
        return $this->other === null ? null : BothWays::of($this, new self($this->other));
    }

    /** @return array<string, float|null> what it comes to, by figure; null where it is none or no size is known */
    public function told(): array
    {
        $flow = $this->test?->flow(50.0);

        return ['q50_m3_h' => $flow === null ? null : $flow * 3600] +
            $this->figures() +
            ['n50_1_h' => null, 'q50_m3_h_m2' => null, 'q75_l_s_m2' => null];
    }

    public function toArray(Words $words): array
    {
        $test = $this->test;
        $figures = $this->told();

        return [
            'id' => $this->sheet->head->id,
            'kind' => $this->sheet->head->kind->value,
            'verdict' => $this->verdict()->value,
            'n' => $test?->exponent,
            'c_m3_h_pan' => $test === null ? null : $test->coefficient * 3600,
            'r2' => $test?->determination,
            'q50_m3_h' => $figures['q50_m3_h'],
            'n50_1_h' => $figures['n50_1_h'],
            'q50_m3_h_m2' => $figures['q50_m3_h_m2'],
            'q75_l_s_m2' => $figures['q75_l_s_m2'],
            'leakage_area_4pa_m2' => $test?->leakageArea(4.0),
            'n_95' => $test === null
                ? null
                : [$test->exponent - $test->exponentInterval, $test->exponent + $test->exponentInterval],
            'q50_95_m3_h' => $test === null
                ? null
                : array_map(fn (float $flow): float => $flow * 3600, $test->interval(50.0)),
            'both_ways' => $this->bothWays()?->toArray(),
            'why' => $this->wrong,
            'simulated' => $this->sheet->head->isSimulated,
        ];
    }
}

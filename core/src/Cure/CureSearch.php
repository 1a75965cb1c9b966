<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyFormat;
use Apron\Brief\Brief;
use Apron\Material\Materials;
use Apron\Rules\Finding;
use Apron\Rules\Words;

/**
 * What would make it pass: for one finding on an assembly, the least of each change a consultant would make that clears
 * it and brings no new fail or caution; where none does alone, the first two that do together. Nothing is solved for:
 * every candidate is assessed by the same functions as the assembly itself.
 */
final class CureSearch
{
    /** Points of a curve. */
    private const POINTS = 25;

    /** How near the least size is found, as a share of it. */
    private const FINE = 0.01;

    /** Cures of one kind that are shown: three boards are enough to choose from. */
    private const MOST_OF_A_KIND = 3;

    /** Pairs of changes that are shown. */
    private const MOST_PAIRS = 3;

    private readonly Trial $trial;

    public function __construct(Brief $brief, Assembly $assembly, Finding $finding, Materials $materials)
    {
        $this->trial = new Trial($brief, $assembly, $finding, $materials);
    }

    /** @return list<Cure> in the order of the trade; one that says so where there is none */
    public function all(): array
    {
        $series = $this->series($this->trial->assembly);
        $cures = $shown = [];
        foreach ($series as $one) {
            $cure = ($shown[$one->kind->value] ?? 0) < self::MOST_OF_A_KIND ? $this->alone($one) : null;
            if ($cure !== null) {
                $cures[] = $cure;
                $shown[$one->kind->value] = ($shown[$one->kind->value] ?? 0) + 1;
            }
        }
        if ($cures === []) {
            $cures = $this->together($series);
        }

        return $cures === [] ? [$this->none($series)] : $cures;
    }

    /** @return array<string, mixed> the cures in their words, and the one figure they are drawn by */
    public function toArray(Words $words): array
    {
        $measure = $this->trial->measure;

        return [
            'title' => $words->of($this->trial->finding)['title'],
            'measure' => $measure === null
                    ? null
                    : [
                        'figure' => $measure->figure,
                        'title' => $words->text('figure.'.$measure->figure, 'title'),
                        'limit' => $measure->limit,
                        'limit_shown' => $words->figure($measure->figure, $measure->limit),
                        'above' => $measure->above,
                    ],
            'cures' => array_map(
                fn (Cure $cure): array => [
                    'kind' => $cure->kind->value,
                    'layer' => $cure->layer,
                    'title' => self::title($cure, $words),
                    'from' => $cure->from,
                    'to' => $cure->to,
                    'curve' => $cure->curve,
                    'content' => $cure->assembly === null ? null : AssemblyFormat::write($cure->assembly),
                ],
                $this->all(),
            ),
        ];
    }

    public static function title(Cure $cure, Words $words): string
    {
        $bounds = array_filter(
            ['least_mm', 'most_ng_pa_s_m2'],
            fn (string $bound): bool => isset($cure->figures[$bound]),
        );

        return $cure->parts === []
            ? $words->text($cure->code, 'title', $cure->figures).
                    implode(
                        array_map(
                            fn (string $b): string => $words->text("cure.$b", 'title', $cure->figures),
                            $bounds,
                        ),
                    )
            : implode(' — and: ', array_map(fn (Cure $part): string => self::title($part, $words), $cure->parts));
    }

    /** The assembly as it is. */
    public function assembly(): Assembly
    {
        return $this->trial->assembly;
    }

    public function measure(): ?Measure
    {
        return $this->trial->measure;
    }

    /** @return list<Series> */
    private function series(Assembly $assembly): array
    {
        return array_merge(
            ...array_map(
                fn (Change $change): array => $change->series($this->trial, $assembly),
                Changes::inOrder($this->trial->fromOutdoors()),
            ),
        );
    }

    /** The first of its steps that clears; null where none does. */
    private function alone(Series $series): ?Cure
    {
        foreach ($series->steps as $step) {
            if ($this->trial->clears($this->trial->assessed($step->assembly))) {
                return $this->cure($series, $step);
            }
        }

        return null;
    }

    private function cure(Series $series, Step $step): Cure
    {
        // Where the smallest that is sold does, the least is of no use to anybody.
        $smallest = $series->monotonic() && $step === $series->steps[0];
        $least = $series->any === null || $step->to === null || $smallest ? null : $this->least($series, $step->to);
        $bound = $series->kind === CureKind::Retarder ? 'most_ng_pa_s_m2' : 'least_mm';

        return new Cure(
            $series->kind,
            $series->code(),
            $series->layer,
            $step->figures + ($least === null ? [] : [$bound => $least]),
            $series->from,
            $step->to,
            $this->curve($series),
            $step->assembly,
        );
    }

    /**
     * Two changes of two kinds, the second made on what the first has made: whether they do at their most, and if so
     * the first sizes at which they do.
     *
     * @param  list<Series>  $series
     * @return list<Cure>
     */
    private function together(array $series): array
    {
        $found = [];
        foreach ($series as $first) {
            foreach ($first->most() as $most) {
                foreach ($this->series($most->assembly) as $second) {
                    if ($second->kind->comesAfter($first->kind) && $this->anyClears($second->most())) {
                        $found[] = $this->smallest($first->monotonic() ? $first->few() : [$most], $first, $second);
                        if (count($found) === self::MOST_PAIRS) {
                            return $found;
                        }

                        continue 3;
                    }
                }
            }
        }

        return $found;
    }

    /** @param  list<Step>  $steps */
    private function anyClears(array $steps): bool
    {
        foreach ($steps as $step) {
            if ($this->trial->clears($this->trial->assessed($step->assembly))) {
                return true;
            }
        }

        return false;
    }

    /** @param  non-empty-list<Step>  $steps  of the first, the last of which is known to do with the second */
    private function smallest(array $steps, Series $first, Series $second): Cure
    {
        foreach ($steps as $step) {
            foreach ($this->series($step->assembly) as $then) {
                foreach ($then->kind === $second->kind ? $then->steps : [] as $other) {
                    if ($this->trial->clears($this->trial->assessed($other->assembly))) {
                        return new Cure(CureKind::Both, '', $first->layer, [], null, null, [], $other->assembly, [
                            $first->made($step),
                            $then->made($other),
                        ]);
                    }
                }
            }
        }

        throw new \LogicException('what cleared at its most clears no more');
    }

    /**
     * Where the finding stands, with the curve of the first thing that has one.
     *
     * @param  list<Series>  $series
     */
    private function none(array $series): Cure
    {
        foreach ($series as $one) {
            if ($one->any !== null) {
                return new Cure(
                    $one->kind,
                    'cure.none',
                    $one->layer,
                    [],
                    $one->from,
                    null,
                    $this->curve($one),
                    null,
                );
            }
        }

        return Cure::none();
    }

    /** The size at which it first clears, between what is there and what is sold. */
    private function least(Series $series, float $clears): ?float
    {
        if ($series->any === null) {
            return null;
        }
        $before = $series->from ?? ($series->kind === CureKind::Retarder ? 1e5 : 1.0);
        while (abs(log($clears / $before)) > self::FINE) {
            $middle = sqrt($clears * $before);
            if ($this->trial->clears($this->trial->assessed(($series->any)($middle)))) {
                $clears = $middle;
            } else {
                $before = $middle;
            }
        }

        return $clears;
    }

    /** @return list<array{x: float, y: float, clears: bool}> */
    private function curve(Series $series): array
    {
        if ($series->any === null || $series->range === null) {
            return [];
        }
        [$from, $to] = $series->range;
        $curve = [];
        for ($k = 0; $k < self::POINTS; $k++) {
            $share = $k / (self::POINTS - 1);
            $x =
                $series->kind === CureKind::Retarder
                    ? $from * ($to / $from) ** $share
                    : $from + ($to - $from) * $share;
            $assessed = $this->trial->assessed(($series->any)($x));
            $curve[] = [
                'x' => $x,
                'y' => $this->trial->measure?->of($assessed) ?? 0.0,
                'clears' => $this->trial->clears($assessed),
            ];
        }

        return $curve;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Control;

/** What is to be built, drawn and agreed before the work: the mock-up list, what has no detail, who is to decide. */
final readonly class Gathered
{
    public function __construct(private Envelope $envelope, private Threads $threads)
    {
    }

    /**
     * The worst joint of each kind once, and each sort of corner point once.
     *
     * @return array{joints: list<array<string, mixed>>, corners: list<array<string, mixed>>}
     */
    public function mockUps(): array
    {
        $worst = [];
        foreach ($this->threads->worst as $joint) {
            $worst[$joint->kind->value] ??= [
                'kind' => $joint->kind->value,
                'joint' => $joint->id,
                'states' => $this->states($joint),
            ];
        }

        return ['joints' => array_values($worst), 'corners' => $this->corners()];
    }

    /** @return list<array{at_mm: array{float, float, float}, worst: string, kinds: list<string>, count: int}> */
    private function corners(): array
    {
        $joints = array_column($this->envelope->joints, null, 'id');
        $corners = [];
        foreach (Corners::of($this->envelope, $this->threads) as $corner) {
            $kinds = array_values(
                array_unique(array_map(fn (string $id): string => $joints[$id]->kind->value, $corner['joints'])),
            );
            sort($kinds);
            $key = implode(' ', $kinds);
            $loss = $this->threads->loss($joints[$corner['worst']]);
            [$row, $least] = $corners[$key] ?? [null, $loss];
            $isWorse = $row === null || $loss < $least;
            $corners[$key] = [
                [
                    'at_mm' => $isWorse ? $corner['at_mm'] : $row['at_mm'],
                    'worst' => $isWorse ? $corner['worst'] : $row['worst'],
                    'kinds' => $kinds,
                    'count' => ($row['count'] ?? 0) + 1,
                ],
                $isWorse ? $loss : $least,
            ];
        }

        return array_column($corners, 0);
    }

    /**
     * @return list<array{kind: string, between: array{string, string}, upright: bool, count: int, length_m: float}>
     *   the longest first
     */
    public function undetailed(): array
    {
        $rows = [];
        foreach ($this->envelope->joints as $joint) {
            if ($this->threads->detail($joint) !== null || $this->isNotNeeded($joint)) {
                continue;
            }
            [$a, $b] = $this->threads->between($joint);
            $between = $a < $b ? [$a, $b] : [$b, $a];
            $key = "{$joint->kind->value} {$between[0]} {$between[1]} {$joint->isUpright()}";
            $rows[$key] = [
                'kind' => $joint->kind->value,
                'between' => $between,
                'upright' => $joint->isUpright(),
                'count' => ($rows[$key]['count'] ?? 0) + 1,
                'length_m' => round(($rows[$key]['length_m'] ?? 0.0) + $joint->length, 4),
            ];
        }
        $rows = array_values($rows);
        usort($rows, fn (array $a, array $b): int => [$b['length_m'], $b['count']] <=> [$a['length_m'], $a['count']]);

        return $rows;
    }

    /**
     * What the meeting before the work has to settle, thread by thread: what breaks, and what nobody has said, by kind.
     *
     * @return list<array{control: string, state: string, kind: string, count: int, length_m: float, why: string}>
     */
    public function toSettle(): array
    {
        $rows = [];
        foreach (Control::cases() as $control) {
            foreach ([ThreadState::Broken, ThreadState::Undecided] as $state) {
                foreach ($this->threads->worst as $joint) {
                    if ($this->threads->states[$joint->id][$control->value] !== $state) {
                        continue;
                    }
                    $why = $this->threads->why($joint, $control);
                    $key = "$control->value $state->value {$joint->kind->value} $why";
                    $rows[$key] ??= [
                        'control' => $control->value,
                        'state' => $state->value,
                        'kind' => $joint->kind->value,
                        'count' => 0,
                        'length_m' => 0.0,
                        'why' => $why,
                    ];
                    $rows[$key]['count']++;
                    $rows[$key]['length_m'] = round($rows[$key]['length_m'] + $joint->length, 4);
                }
            }
        }

        return array_values($rows);
    }

    /** @return array<string, float> share of the length that somebody has decided, by control, 0 to 1 */
    public function done(): array
    {
        $done = [];
        foreach (Control::cases() as $control) {
            $all = array_sum(
                array_map(
                    fn (ThreadState $s): float => $this->threads->metres($control, $s),
                    [ThreadState::Carried, ThreadState::Broken, ThreadState::Undecided],
                ),
            );
            $open = $this->threads->metres($control, ThreadState::Undecided);
            $done[$control->value] = $all > 0 ? round(1 - $open / $all, 4) : 1.0;
        }

        return $done;
    }

    private function isNotNeeded(Joint $joint): bool
    {
        return array_filter(
            $this->threads->states[$joint->id],
            fn (ThreadState $s): bool => $s !== ThreadState::NotNeeded,
        ) === [];
    }

    /** @return array<string, string> */
    private function states(Joint $joint): array
    {
        return array_map(fn (ThreadState $s): string => $s->value, $this->threads->states[$joint->id]);
    }
}

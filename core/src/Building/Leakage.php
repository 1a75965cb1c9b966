<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Brief\AirTarget;
use Apron\Rules\RuleFigures;

/**
 * The air leakage that a target leaves, spread over parts and joints by classes: an estimate, of which joints decide.
 * Flows are L/s at 75 Pa.
 */
final readonly class Leakage
{
    /** L/s by assembly; `openings` for units
     * @var array<string, float> */
    public array $parts;

    /** L/s by kind of joint
     * @var array<string, float> */
    public array $joints;

    /** L/s that the target leaves; null where none is set */
    public ?float $allowed;

    /** @param  array<string, Assembly>  $assemblies  by id */
    public function __construct(
        private Envelope $envelope,
        private Threads $threads,
        array $assemblies,
        ?AirTarget $target,
    ) {
        $figures = RuleFigures::of('leakage');
        $parts = $joints = [];
        foreach ($envelope->parts as $part) {
            $isOpening = $part->kind === PartKind::Opening;
            $assembly = $assemblies[$part->assembly ?? ''] ?? null;
            $each = match (true) {
                $isOpening => $figures->figure('unit_l_s_m2'),
                $assembly?->airLeakage !== null => $assembly->airLeakage,
                $assembly !== null && $this->threads->carries($part, Control::Air) => $figures->figure('part_l_s_m2'),
                default => $figures->figure('bare_l_s_m2'),
            };
            $name = $isOpening ? 'openings' : $part->assembly ?? '';
            $parts[$name] = ($parts[$name] ?? 0.0) + $each * $part->net;
        }
        foreach ($envelope->joints as $joint) {
            $kind = $joint->kind->value;
            $joints[$kind] = ($joints[$kind] ?? 0.0) + $this->at($joint);
        }
        [$this->parts, $this->joints] = [array_filter($parts), array_filter($joints)];
        $this->allowed = $target?->flowAt75($envelope->volume, $envelope->area());
    }

    /** The class that a joint is counted by: `tight`, `foamed`, `undecided`, `open`; null where air is not asked. */
    public function class(Joint $joint): ?string
    {
        $by = $this->threads->by($joint, Control::Air);

        return match ($this->threads->states[$joint->id][Control::Air->value]) {
            ThreadState::NotNeeded => null,
            ThreadState::Broken => 'open',
            ThreadState::Undecided => 'undecided',
            ThreadState::Carried => $by === HandedOver::Foam ? 'foamed' : 'tight',
        };
    }

    /** L/s at a joint: by its length, a thing through a part by its number. */
    public function at(Joint $joint): float
    {
        $class = $this->class($joint);
        $figures = RuleFigures::of('leakage');

        return match (true) {
            $class === null => 0.0,
            $joint->kind === JointKind::Penetration => $figures->cell('classes', $class, 'each_l_s') ?? 0.0,
            default => ($figures->cell('classes', $class, 'l_s_m') ?? 0.0) * $joint->length,
        };
    }

    public function total(): float
    {
        return array_sum($this->parts) + array_sum($this->joints);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $round = fn (float $value): float => round($value, 2);
        $decide = array_filter($this->envelope->joints, fn (Joint $joint): bool => $this->at($joint) > 0);
        usort($decide, fn (Joint $a, Joint $b): int => [$this->at($b), $a->id] <=> [$this->at($a), $b->id]);

        return [
            'pressure_pa' => 75,
            'allowed_l_s' => $this->allowed === null ? null : $round($this->allowed),
            'estimate_l_s' => $round($this->total()),
            'parts_l_s' => (object) array_map($round, $this->parts),
            'joints_l_s' => (object) array_map($round, $this->joints),
            'worst' => array_map(
                fn (Joint $joint): array => [
                    'joint' => $joint->id,
                    'class' => $this->class($joint),
                    'l_s' => $round($this->at($joint)),
                ],
                array_slice($decide, 0, 5),
            ),
        ];
    }
}

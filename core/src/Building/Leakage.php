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
    /** So many of the joints that decide are named. */
    private const NAMED = 5;

    /** L/s by assembly; `openings` for units
     * @var array<string, float> */
    public array $parts;

    /** L/s by kind of joint
     * @var array<string, float> */
    public array $joints;

    /** @var array<string, float> L/s by joint */
    private array $flows;

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
        $classes = $figures->table('classes');
        $flows = [];
        foreach ($envelope->joints as $joint) {
            $class = $this->class($joint);
            $flow = match (true) {
                $class === null => 0.0,
                // By its length, a thing through a part by its number.
                $joint->kind === JointKind::Penetration => $classes[$class]['each_l_s'],
                default => $classes[$class]['l_s_m'] * $joint->length,
            };
            $flows[$joint->id] = $flow;
            $joints[$joint->kind->value] = ($joints[$joint->kind->value] ?? 0.0) + $flow;
        }
        $this->flows = $flows;
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

    public function total(): float
    {
        return array_sum($this->parts) + array_sum($this->joints);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $round = fn (float $value): float => round($value, 2);
        $flows = array_filter($this->flows);
        arsort($flows);
        $decide = array_slice($flows, 0, self::NAMED);
        $joints = array_column($this->envelope->joints, null, 'id');

        return [
            'pressure_pa' => 75,
            'allowed_l_s' => $this->allowed === null ? null : $round($this->allowed),
            'estimate_l_s' => $round($this->total()),
            'parts_l_s' => (object) array_map($round, $this->parts),
            'joints_l_s' => (object) array_map($round, $this->joints),
            'worst' => array_map(
                fn (string $id, float $flow): array => [
                    'joint' => $id,
                    'class' => $this->class($joints[$id]),
                    'l_s' => $round($flow),
                ],
                array_keys($decide),
                $decide,
            ),
        ];
    }
}

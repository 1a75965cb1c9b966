<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;

/** Each control layer followed round: at every joint it is carried over, or broken, or nobody has said. */
final readonly class Threads
{
    /** @var array<string, array<string, ThreadState>> by joint and control */
    public array $states;

    /** @var list<Joint> what has the most to lose first */
    public array $worst;

    /** @var array<string, int> its number among those, by joint */
    private array $losses;

    /** @var array<string, string> why it is broken, by joint and control with a space between */
    private array $why;

    /**
     * @param  array<string, Assembly>  $assemblies  by id
     * @param  bool  $asksVapour  whether this climate asks for a vapour layer at all
     */
    public function __construct(
        private Envelope $envelope,
        private array $assemblies,
        private Proofs $proofs,
        private bool $asksVapour,
    ) {
        $states = $why = [];
        foreach ($envelope->joints as $joint) {
            foreach (Control::cases() as $control) {
                [$state, $reason] = $this->judge($joint, $control);
                $states[$joint->id][$control->value] = $state;
                if ($state === ThreadState::Broken) {
                    $why["$joint->id $control->value"] = $reason;
                }
            }
        }
        [$this->states, $this->why] = [$states, $why];
        $this->worst = self::sorted($envelope->joints, $states);
        $this->losses = array_flip(array_column($this->worst, 'id'));
    }

    /**
     * @param  list<Joint>  $joints
     * @param  array<string, array<string, ThreadState>>  $states
     * @return list<Joint> what has the most to lose first: by the worst state, then the longest
     */
    private static function sorted(array $joints, array $states): array
    {
        $ranks = $lengths = $ids = [];
        foreach ($joints as $joint) {
            $worst = 9;
            foreach ($states[$joint->id] as $state) {
                $worst = min($worst, $state->rank());
            }
            [$ranks[], $lengths[], $ids[]] = [$worst, -$joint->length, $joint->id];
        }
        $at = array_keys($joints);
        array_multisort($ranks, $lengths, $ids, $at);

        return array_map(fn (int $i): Joint => $joints[$i], $at);
    }

    /** By what a control is said to be handed over there; null where nobody has said. */
    public function by(Joint $joint, Control $control): ?HandedOver
    {
        return $this->claim($joint, $control)?->by;
    }

    /** The detail that speaks for a joint: of its place, or of the most particular connection that names one. */
    public function detail(Joint $joint): ?string
    {
        $named = null;
        $rank = 0;
        foreach ($this->connections($joint) as $connection) {
            if ($connection->detail !== null && $connection->rank() >= $rank) {
                [$named, $rank] = [$connection->detail, $connection->rank()];
            }
        }

        return $named ?? $joint->detail;
    }

    /** What is computed or stated of the heat that it adds, by the most particular connection that says it. */
    public function psi(Joint $joint): ?JointPsi
    {
        $said = null;
        $rank = 0;
        foreach ($this->connections($joint) as $connection) {
            $section = $this->proofs->sections[$connection->section ?? ''] ?? null;
            $psi = $connection->psi ?? $section?->psi;
            if ($psi !== null && $connection->rank() >= $rank) {
                $said = new JointPsi($psi, $section === null ? null : $connection->section, $section->isWet ?? false);
                $rank = $connection->rank();
            }
        }

        return $said;
    }

    /** Why a thread is broken there; empty where it is not. */
    public function why(Joint $joint, Control $control): string
    {
        return $this->why["$joint->id $control->value"] ?? '';
    }

    /** @return array{string, string} ids of the assemblies on either side, `opening` for a unit, empty where none is */
    public function between(Joint $joint): array
    {
        [$a, $b] = $this->parts($joint);
        $name = fn (?Part $part): string => $part?->kind === PartKind::Opening ? 'opening' : $part->assembly ?? '';

        return [$name($a), $name($b)];
    }

    /** Whether it goes right round: nothing broken, nothing left to say, and every part has the layer. */
    public function isClosed(Control $control): bool
    {
        foreach ($this->states as $states) {
            if (in_array($states[$control->value], [ThreadState::Broken, ThreadState::Undecided], true)) {
                return false;
            }
        }
        foreach ($this->envelope->parts as $part) {
            if ($this->isAsked($control) && ! $this->carries($part, $control)) {
                return false;
            }
        }

        return true;
    }

    public function metres(Control $control, ThreadState $state): float
    {
        $metres = 0.0;
        foreach ($this->envelope->joints as $joint) {
            $metres += $this->states[$joint->id][$control->value] === $state ? $joint->length : 0.0;
        }

        return $metres;
    }

    /** Which of all joints it is by what there is to lose, the most first. */
    public function loss(Joint $joint): int
    {
        return $this->losses[$joint->id];
    }

    /** @return list<array{joint: string, length_m: float, why: string}> the longest first */
    public function breaks(Control $control): array
    {
        $breaks = [];
        foreach ($this->envelope->joints as $joint) {
            if ($this->states[$joint->id][$control->value] === ThreadState::Broken) {
                $breaks[] = [
                    'joint' => $joint->id,
                    'length_m' => round($joint->length, 4),
                    'why' => $this->why["$joint->id $control->value"] ?? '',
                ];
            }
        }
        usort($breaks, fn (array $a, array $b): int => [$b['length_m'], $a['joint']] <=> [$a['length_m'], $b['joint']]);

        return $breaks;
    }

    private function isAsked(Control $control): bool
    {
        return $control !== Control::Vapour || $this->asksVapour;
    }

    /** @return array{ThreadState, string} */
    private function judge(Joint $joint, Control $control): array
    {
        [$a, $b] = $this->parts($joint);
        if ($this->isNotNeeded($joint, $a, $b, $control)) {
            return [ThreadState::NotNeeded, ''];
        }
        foreach ([$a, $b] as $part) {
            if ($part !== null && ! $this->carries($part, $control)) {
                return [ThreadState::Broken, "$part->id has no layer that carries {$control->value}"];
            }
        }
        $claim = $this->claim($joint, $control);
        $proof = $this->proof($joint, $control);
        if ($claim !== null) {
            $wrong = $this->wrong($joint, $claim, $control);

            return match (true) {
                $wrong !== null => [ThreadState::Broken, $wrong],
                $proof !== null && $proof !== '' => [ThreadState::Broken, $proof],
                default => [ThreadState::Carried, ''],
            };
        }

        return match (true) {
            $proof === null => [ThreadState::Undecided, ''],
            $proof === '' => [ThreadState::Carried, ''],
            default => [ThreadState::Broken, $proof],
        };
    }

    private function isNotNeeded(Joint $joint, ?Part $a, ?Part $b, Control $control): bool
    {
        if (! $this->isAsked($control)) {
            return true;
        }
        $bothWarm = $a?->faces === Faces::Unconditioned && $b?->faces === Faces::Unconditioned;

        return match ($control) {
            Control::Water => $joint->kind === JointKind::FoundationToSlab || $bothWarm,
            Control::Vapour => $bothWarm,
            default => false,
        };
    }

    /** @return array{Part|null, Part|null} */
    private function parts(Joint $joint): array
    {
        return [$this->envelope->parts[$joint->parts[0]] ?? null, $this->envelope->parts[$joint->parts[1]] ?? null];
    }

    /** A part has a layer that carries it; an opening carries it by its unit. */
    public function carries(Part $part, Control $control): bool
    {
        return $part->kind === PartKind::Opening || $this->carrier($part->assembly, $control) !== null;
    }

    /** @return list<string> controls that it has a layer for */
    public function carriedBy(Part $part): array
    {
        $carried = array_filter(Control::cases(), fn (Control $control): bool => $this->carries($part, $control));

        return array_values(array_map(fn (Control $control): string => $control->value, $carried));
    }

    private function carrier(?string $assembly, Control $control): ?Layer
    {
        foreach ($this->assemblies[$assembly ?? '']->layers ?? [] as $layer) {
            if (in_array($control, $layer->controls, true)) {
                return $layer;
            }
        }

        return null;
    }

    /** @return list<Connection> */
    private function connections(Joint $joint): array
    {
        return array_values(
            array_filter(
                $this->envelope->building->connections,
                fn (Connection $c): bool => $c->speaksOf($joint, $this->between($joint)),
            ),
        );
    }

    /** The most particular that is said of a thread there; of equal ones the later. */
    private function claim(Joint $joint, Control $control): ?Claim
    {
        $said = null;
        $rank = 0;
        foreach ($this->connections($joint) as $connection) {
            $claim = $connection->claims[$control->value] ?? null;
            if ($claim !== null && $connection->rank() >= $rank) {
                [$said, $rank] = [$claim, $connection->rank()];
            }
        }

        return $said;
    }

    /** Null where its detail and section prove nothing, or there are none; empty where it carries; else why not. */
    private function proof(Joint $joint, Control $control): ?string
    {
        $proof = $this->proofs->details[$this->detail($joint) ?? ''] ?? null;

        return match ($control) {
            Control::Water => $proof?->water,
            Control::Air => $proof?->air,
            Control::Heat => $this->psi($joint)?->proves(),
            Control::Vapour => null,
        };
    }

    /** Why a claim carries nothing; null where it does. */
    private function wrong(Joint $joint, Claim $claim, Control $control): ?string
    {
        if (! $claim->by->carries($control)) {
            return $claim->by === HandedOver::None
                ? "nothing hands {$control->value} over"
                : "a {$claim->by->value} does not carry {$control->value}";
        }
        [$a, $b] = $this->parts($joint);
        foreach (array_filter([$claim->from, $claim->to]) as $id) {
            $layer = $this->layer($a, $id) ?? $this->layer($b, $id);
            if ($layer === null) {
                return "neither side has a layer $id";
            }
            if (! in_array($control, $layer->controls, true)) {
                return "the layer $id does not carry {$control->value}";
            }
        }

        return null;
    }

    private function layer(?Part $part, string $id): ?Layer
    {
        foreach ($this->assemblies[$part->assembly ?? '']->layers ?? [] as $layer) {
            if ($layer->id === $id) {
                return $layer;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Control;
use Apron\Rules\RuleFigures;

/**
 * What the envelope loses, W/K: its parts by their U, and each joint by its length and its ψ, or the class of its heat
 * layer where nobody has computed or stated one.
 * What faces something unheated, or the ground, is counted as though it faced the outside: on the safe side.
 */
final readonly class Losses
{
    /** @var array<string, float> W/K by assembly; `openings` for units */
    public array $parts;

    /** @var array<string, float> W/K by kind of joint */
    public array $joints;

    /** m² of parts that nobody knows the U of */
    public float $unknown;

    /** @param  array<string, float>  $u  W/(m²K) by assembly, and of openings by their part */
    public function __construct(private Envelope $envelope, private Threads $threads, array $u)
    {
        $parts = $joints = [];
        $unknown = 0.0;
        $usual = RuleFigures::of('building')->figure('unit_u_w_m2k');
        foreach ($envelope->parts as $part) {
            $isOpening = $part->kind === PartKind::Opening;
            $value = $isOpening ? $u[$part->id] ?? $usual : $u[$part->assembly ?? ''] ?? null;
            $name = $isOpening ? 'openings' : $part->assembly ?? '';
            $unknown += $value === null ? $part->net : 0.0;
            $parts[$name] = ($parts[$name] ?? 0.0) + ($value ?? 0.0) * $part->net;
        }
        foreach ($envelope->joints as $joint) {
            $kind = $joint->kind->value;
            $joints[$kind] = ($joints[$kind] ?? 0.0) + $this->psi($joint) * $joint->length;
        }
        [$this->parts, $this->joints, $this->unknown] = [array_filter($parts), array_filter($joints), $unknown];
    }

    /** `continuous`, `thinned` or `bridged`; null where a joint of the kind is no line to be counted. */
    public function class(Joint $joint): ?string
    {
        $known = $this->threads->psi($joint);
        if ($known !== null) {
            return $known->class();
        }
        $figures = RuleFigures::of('building');
        if ($figures->lists('no_psi', $joint->kind->value)) {
            return null;
        }
        $by = $this->threads->by($joint, Control::Heat);

        return match ($this->threads->states[$joint->id][Control::Heat->value]) {
            ThreadState::NotNeeded => null,
            ThreadState::Broken => 'bridged',
            ThreadState::Undecided => 'thinned',
            ThreadState::Carried => $figures->lists('thinned_by', $by?->value) ? 'thinned' : 'continuous',
        };
    }

    /** W/(m·K): as computed or stated, else by its class */
    public function psi(Joint $joint): float
    {
        $known = $this->threads->psi($joint);
        if ($known !== null) {
            return $known->psi;
        }
        $class = $this->class($joint);

        return $class === null ? 0.0 : RuleFigures::of('building')->cell('psi_w_mk', $class, 'psi') ?? 0.0;
    }

    public function total(): float
    {
        return array_sum($this->parts) + array_sum($this->joints);
    }

    /** W/(m²K) over the whole envelope, joints in it */
    public function mean(): float
    {
        $area = $this->envelope->area();

        return $area > 0 ? $this->total() / $area : 0.0;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $round = fn (float $value): float => round($value, 4);

        return [
            'loss_w_k' => $round($this->total()),
            'u_w_m2k' => $round($this->mean()),
            'parts_w_k' => (object) array_map($round, $this->parts),
            'joints_w_k' => (object) array_map($round, $this->joints),
            'unknown_m2' => $round($this->unknown),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\ThermalResistance;
use Apron\Brief\AirTarget;
use Apron\Building\Drawn\Cut;
use Apron\Building\Drawn\Cuts;
use Apron\Building\Drawn\Elevations;
use Apron\Building\Drawn\Flats;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** A building with its parts, its joints and its four threads, and what is said of them. */
final readonly class BuildingAssessment
{
    public Threads $threads;

    public Losses $losses;

    public Leakage $leakage;

    public Gathered $gathered;

    /** @var list<DrainedFace> */
    public array $drained;

    /** @var list<array{joint: string, part: string, beside: string, share: float}> */
    public array $thin;

    /**
     * @param  array<string, Assembly>  $assemblies  by id
     */
    public function __construct(
        public Envelope $envelope,
        private array $assemblies,
        private Proofs $proofs,
        bool $asksVapour,
        ?AirTarget $airTarget = null,
    ) {
        $this->threads = new Threads($envelope, $assemblies, $proofs, $asksVapour);
        $u = [];
        foreach ($assemblies as $assembly) {
            $u[$assembly->id] = (new ThermalResistance($assembly))->u();
        }
        foreach ($envelope->parts as $part) {
            if ($part->u !== null) {
                $u[$part->id] = $part->u;
            }
        }
        $known = array_filter($u, fn (?float $value): bool => $value !== null);
        $this->losses = new Losses($envelope, $this->threads, $known);
        $this->leakage = new Leakage($envelope, $this->threads, $assemblies, $airTarget);
        $this->gathered = new Gathered($envelope, $this->threads);
        $this->drained = DrainedFaces::of($envelope, $assemblies);
        $this->thin = ThinHeat::of($envelope, $known);
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'volume_m3' => round($this->envelope->volume, 6),
            'envelope_m2' => round($this->envelope->area(), 6),
            'parts' => array_map(
                fn (Part $part): array => $part->toArray() + ['carries' => $this->threads->carriedBy($part)],
                array_values($this->envelope->parts),
            ),
            'joints' => array_map(
                fn (Joint $joint): array => [
                    'id' => $joint->id,
                    'kind' => $joint->kind->value,
                    'length_m' => round($joint->length, 6),
                    'parts' => $joint->parts,
                    'between' => $this->threads->between($joint),
                    'detail' => $this->threads->detail($joint),
                    'by' => $this->by($joint),
                    'heat_class' => $this->losses->class($joint),
                    'psi_w_mk' => $this->losses->psi($joint),
                    'psi_by' => $this->threads->psi($joint) === null
                        ? 'class'
                        : $this->threads->psi($joint)->section ?? 'stated',
                    'threads' => array_map(
                        fn (ThreadState $s): string => $s->value,
                        $this->threads->states[$joint->id],
                    ),
                ],
                $this->envelope->joints,
            ),
            'threads' => $this->told(),
            'heat' => $this->losses->toArray(),
            'corners' => Corners::of($this->envelope, $this->threads),
            'walk' => Walk::round($this->envelope),
            'drained' => array_map(fn (DrainedFace $face): array => $face->toArray(), $this->drained),
            'leakage' => $this->leakage->toArray(),
            'thin' => $this->thin,
            'done' => $this->gathered->done(),
            'mock_ups' => $this->gathered->mockUps(),
            'undetailed' => $this->gathered->undetailed(),
            'to_settle' => $this->gathered->toSettle(),
            'cuts' => array_map(
                fn (Cut $cut): array => $cut->toArray(),
                Cuts::of($this->envelope, $this->threads),
            ),
            'elevations' => Elevations::of($this->envelope),
            'flats' => Flats::of($this->envelope),
            'vapour_sides' => VapourSides::of($this->envelope, $this->assemblies),
        ];
    }

    /** @return array<string, string|null> what hands each control over there, as far as somebody has said */
    private function by(Joint $joint): array
    {
        $by = [];
        foreach (Control::cases() as $control) {
            $by[$control->value] = $this->threads->by($joint, $control)?->value;
        }

        return $by;
    }

    /** @return array<string, array<string, mixed>> */
    private function told(): array
    {
        $told = [];
        foreach (Control::cases() as $control) {
            $metres = fn (ThreadState $state): float => round($this->threads->metres($control, $state), 6);
            $told[$control->value] = [
                'closed' => $this->threads->isClosed($control),
                'carried_m' => $metres(ThreadState::Carried),
                'broken_m' => $metres(ThreadState::Broken),
                'undecided_m' => $metres(ThreadState::Undecided),
                'not_needed_m' => $metres(ThreadState::NotNeeded),
                'breaks' => $this->threads->breaks($control),
            ];
        }

        return $told;
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [
            ...$this->parts(),
            ...$this->breaks(),
            ...array_map(
                fn (Placed $placed): Finding => self::finding(
                    'building.no-such-opening',
                    Severity::Fail,
                    ['opening' => $placed->detail, 'block' => $placed->block],
                    "$placed->detail $placed->block",
                ),
                $this->envelope->waiting,
            ),
            ...array_map(
                fn (CannotPlace $wrong): Finding => self::finding(
                    'building.cannot-place',
                    Severity::Fail,
                    ['what' => $wrong->found, 'expected' => $wrong->expected],
                    "$wrong->list $wrong->at",
                ),
                $this->envelope->misplaced,
            ),
            ...array_map(
                fn (array $at): Finding => self::finding(
                    'building.touch',
                    Severity::Caution,
                    ['x_mm' => $at[0], 'y_mm' => $at[1], 'z_mm' => $at[2]],
                    vsprintf('%.0F %.0F %.0F', $at),
                ),
                $this->envelope->hairs,
            ),
            ...$this->nowhere(),
            ...$this->ontoSolid(),
            ...array_map(
                fn (array $thin): Finding => self::finding(
                    'building.thin',
                    Severity::Caution,
                    [
                        'part' => $this->partName($thin['part']),
                        'beside' => $this->partName($thin['beside']),
                        'share_pct' => 100 * $thin['share'],
                    ],
                    "$thin[part] $thin[beside]",
                ),
                $this->thin,
            ),
            ...$this->unproved(),
            ...$this->leaky(),
            ...$this->vapourSides(),
        ];
    }

    /** @return list<Finding> parts of no assembly, or of one that the project does not have */
    private function parts(): array
    {
        $findings = [];
        foreach ($this->envelope->parts as $part) {
            $known = $part->assembly !== null && isset($this->assemblies[$part->assembly]);
            if ($part->kind !== PartKind::Opening && ! $known) {
                $findings[] = self::finding(
                    $part->assembly === null ? 'building.no-assembly' : 'building.no-such-assembly',
                    Severity::Fail,
                    [
                        'part' => $part->name(),
                        'assembly' => $part->assembly ?? '',
                        'part_area_m2' => round($part->gross, 2),
                    ],
                    $part->id,
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> one for each thread that breaks, with the longest break */
    private function breaks(): array
    {
        $findings = [];
        foreach (Control::cases() as $control) {
            $breaks = $this->threads->breaks($control);
            if ($breaks !== []) {
                $findings[] = self::finding(
                    'building.thread-broken',
                    $this->isShortGap($control, $breaks[0]['length_m']) ? Severity::Caution : Severity::Fail,
                    [
                        'control' => $control->value,
                        'count' => count($breaks),
                        'over_m' => $this->threads->metres($control, ThreadState::Broken),
                        'joint' => $this->named($breaks[0]['joint']),
                        'why' => $breaks[0]['why'],
                    ],
                    $control->value,
                );
            }
        }

        return $findings;
    }

    /** Vapour creeps: a short gap lets little through, and what gets through is spread. */
    private function isShortGap(Control $control, float $metres): bool
    {
        $most = $this->envelope->building->vapourGap ?? RuleFigures::of('building')->figure('vapour_gap_mm');

        return $control === Control::Vapour && 1000 * $metres <= $most;
    }

    /** @return list<Finding> joints at which the vapour layer would have to cross the insulation */
    private function vapourSides(): array
    {
        return array_map(
            fn (array $row): Finding => self::finding(
                'building.vapour-side',
                Severity::Caution,
                [
                    'one' => $row['between'][0],
                    'other' => $row['between'][1],
                    'over_m' => $row['length_m'],
                    'joint' => $this->named($row['joint']),
                ],
                implode(' ', $row['between']),
            ),
            VapourSides::of($this->envelope, $this->assemblies),
        );
    }

    /** @return list<Finding> walls whose water comes down onto one that has no space for it */
    private function ontoSolid(): array
    {
        return array_values(
            array_map(
                fn (DrainedFace $face): Finding => self::finding(
                    'building.onto-solid',
                    Severity::Caution,
                    ['part' => $this->partName($face->part)],
                    $face->part,
                ),
                array_filter($this->drained, fn (DrainedFace $face): bool => $face->why === DrainedWhy::OntoSolid),
            ),
        );
    }

    /** @return list<Finding> a target that the joints as they are decided would not keep */
    private function leaky(): array
    {
        $allowed = $this->leakage->allowed;
        if ($allowed === null || $this->leakage->total() <= $allowed) {
            return [];
        }

        return [
            self::finding(
                'building.leaky',
                Severity::Caution,
                ['estimate_l_s' => $this->leakage->total(), 'allowed_l_s' => $allowed],
                'leakage',
            ),
        ];
    }

    /** @return list<Finding> sections that are named and say nothing of what a joint loses */
    private function unproved(): array
    {
        $named = array_unique(array_filter(array_map(
            fn (Connection $connection): ?string => $connection->section,
            $this->envelope->building->connections,
        )));
        $silent = array_filter($named, fn (string $id): bool => ($this->proofs->sections[$id] ?? null)?->psi === null);

        return array_values(array_map(
            fn (string $id): Finding => self::finding('building.no-psi', Severity::Caution, ['section' => $id], $id),
            $silent,
        ));
    }

    /** The parts that meet at a joint, as they are called. */
    private function named(string $id): string
    {
        $names = [];
        foreach ($this->envelope->joints as $joint) {
            if ($joint->id === $id) {
                $names = array_map($this->partName(...), $joint->parts);
            }
        }

        return implode(' and ', array_unique($names));
    }

    /** A thing that goes through is no part: it is called by its detail. */
    private function partName(string $id): string
    {
        return ($this->envelope->parts[$id] ?? null)?->name() ?? $id;
    }

    /** @return list<Finding> connections that speak of no joint there is */
    private function nowhere(): array
    {
        $findings = [];
        $ids = array_column($this->envelope->joints, null, 'id');
        foreach ($this->envelope->building->connections as $connection) {
            $kinds = array_filter($ids, fn (Joint $joint): bool => $joint->kind === $connection->kind);
            if ($connection->joint === null ? $kinds === [] : ! isset($ids[$connection->joint])) {
                $names = $connection->joint ?? $connection->kind->value ?? '';
                $findings[] = self::finding('building.connection-nowhere', Severity::Note, ['joint' => $names], $names);
            }
        }

        return $findings;
    }

    /** @param  array<string, float|int|string>  $figures */
    private static function finding(string $code, Severity $severity, array $figures, string $of): Finding
    {
        return new Finding($code, $severity, 'building', $figures, Source::computed('the building'), $of);
    }
}

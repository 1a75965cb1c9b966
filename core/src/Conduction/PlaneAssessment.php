<?php

declare(strict_types=1);

namespace Apron\Conduction;

use Apron\Brief\Brief;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;
use Apron\Vapour\SurfaceAsked;

/** What a section loses, how cold it gets inside, and whether that is too cold for the airs of the project. */
final readonly class PlaneAssessment implements Assessed
{
    public PlaneHeat $heat;

    /** @throws \Apron\Budget\TakesTooLong */
    public function __construct(public PlaneSection $section, private Brief $brief)
    {
        $this->heat = HeatCatalogue::solved($section);
    }

    public function findings(): array
    {
        $changed = $this->heat->changed;
        $coarse = $changed !== null && $changed >= PlaneHeat::ENOUGH
            ? [$this->finding('section.coarse', Severity::Caution, ['changed' => 100 * $changed], 'ISO 10211, 6.3.2')]
            : [];

        return [...$coarse, ...$this->surface()];
    }

    public function toArray(Words $words): array
    {
        $field = $this->heat->field;

        return [
            'id' => $this->section->id,
            'heat_flow_w_m' => $this->heat->flow,
            'l2d_w_mk' => $this->heat->coupling(),
            'psi_w_mk' => $this->heat->psi(),
            'surface_min_c' => $this->heat->coldest()['temperature'] ?? null,
            'frsi' => $this->heat->factor(),
            'points_c' => array_map(fn (array $at): float => $field->at(...$at), $this->section->points),
            'nodes' => $field->grid->nodes(),
            'halving_changes_pct' => $this->heat->changed === null ? null : 100 * $this->heat->changed,
        ];
    }

    /** @return list<Finding> */
    private function surface(): array
    {
        $factor = $this->heat->factor();
        if ($factor === null || $this->brief->climate === null || $this->brief->indoors === null) {
            return [];
        }
        $mould = SurfaceAsked::below(
            RuleFigures::of('physics')->figure('mould_rh_pct') / 100,
            $this->brief->climate,
            $this->brief->indoors,
        );
        $water = self::dew($this->brief);
        if ($mould->factor === null || $water?->factor === null) {
            return [];
        }
        // No face is warmer than its room: one that is that damp is told by every wall.
        if ($mould->factor >= 1) {
            return [];
        }
        $figures = ['frsi' => $factor, 'least' => $mould->factor, 'month' => (int) $mould->month + 1];
        // Glass and its frame hold no water and are wiped: for them the standard asks for no more than no dew.
        [$code, $severity] = match (true) {
            $factor < $water->factor => ['section.wet', Severity::Fail],
            $factor < $mould->factor => ['section.mould', Severity::Caution],
            default => ['section.warm', Severity::Pass],
        };
        $dew = $code === 'section.wet' ? ['least' => $water->factor, 'month' => (int) $water->month + 1] : [];

        return [$this->finding($code, $severity, $dew + $figures, 'ISO 13788:2012, clause 5')];
    }

    /** Whether an inside face of that factor is wet with the water of the air, in a month of these. */
    public static function isWet(?float $factor, Brief $brief): bool
    {
        $least = self::dew($brief)?->factor;

        // No face is warmer than its room: where the room itself is as damp as that, it is not the joint's doing.
        return $factor !== null && $least !== null && $least < 1 && $factor < $least;
    }

    private static function dew(Brief $brief): ?SurfaceAsked
    {
        return $brief->climate === null || $brief->indoors === null
            ? null
            : SurfaceAsked::below(1.0, $brief->climate, $brief->indoors);
    }

    /** @param  array<string, float|int>  $figures */
    private function finding(string $code, Severity $severity, array $figures, string $published): Finding
    {
        return new Finding(
            $code,
            $severity,
            "plane_sections/{$this->section->id}",
            $figures,
            Source::published($published),
        );
    }
}

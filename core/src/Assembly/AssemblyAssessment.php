<?php

namespace Apron\Assembly;

use Apron\Finding;
use Apron\Project;
use Apron\Severity;
use Apron\Source;
use Apron\SourceKind;
use Apron\Vapour\MoistureFindings;
use Apron\Vapour\MoistureYear;
use Apron\Vapour\Path;
use Apron\Vapour\Profile;
use Apron\Vapour\SurfaceFactor;

/** One assembly in its project: figures and findings. What the project does not say is left out. */
final class AssemblyAssessment
{
    public readonly ThermalResistance $heat;

    /** @var list<Profile> the coldest month, then each condition */
    public readonly array $profiles;

    public readonly ?MoistureYear $year;

    public readonly ?SurfaceFactor $surface;

    public function __construct(private readonly Project $project, public readonly Assembly $assembly)
    {
        $this->heat = new ThermalResistance($assembly);
        $path = new Path($this->heat);
        $this->profiles = $this->profiles($path);
        [$climate, $indoors] = [$project->climate, $project->indoors];
        $this->year = $climate !== null && $indoors !== null ? new MoistureYear($path, $climate, $indoors) : null;
        $this->surface = $climate !== null && $indoors !== null ? new SurfaceFactor($this->heat, $climate, $indoors) : null;
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $rules = new ControlRules;
        $moisture = new MoistureFindings($rules);
        $findings = [...$this->method(), ...(new ControlFindings($rules))->of($this->assembly)];
        foreach ($this->profiles as $profile) {
            $findings = [...$findings, ...$moisture->ofProfile($this->assembly, $profile)];
        }
        if ($this->year !== null && $this->surface !== null) {
            $findings = [...$findings, ...$moisture->ofYear($this->assembly, $this->year), ...$moisture->ofSurface($this->assembly, $this->surface)];
        }

        return [...$findings, ...$this->recalled()];
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        $figures = [
            'id' => $this->assembly->id,
            'r_total_m2k_w' => $this->heat->total(),
            'u_w_m2k' => $this->heat->u(),
            'r_main_path_m2k_w' => $this->heat->mainPath,
            'r_upper_m2k_w' => $this->heat->upperLimit,
            'r_lower_m2k_w' => $this->heat->lowerLimit,
            'fasteners_add_u_w_m2k' => $this->heat->fastenersAddU,
            'rsi_m2k_w' => $this->assembly->rsi(),
            'rse_m2k_w' => $this->assembly->rse(),
            'thickness_mm' => $this->assembly->thicknessMm(),
            'layers' => array_map($this->layer(...), array_keys($this->assembly->layers)),
            'profiles' => array_map(fn (Profile $profile): array => $profile->toArray(), $this->profiles),
        ];
        if ($this->year !== null) {
            $figures['year'] = $this->year->toArray();
        }
        if ($this->surface !== null) {
            $figures['surface'] = $this->surface->toArray();
        }

        return $figures;
    }

    /** @return list<Profile> */
    private function profiles(Path $path): array
    {
        $profiles = [];
        [$climate, $indoors] = [$this->project->climate, $this->project->indoors];
        if ($climate !== null && $indoors !== null) {
            $outdoors = $climate->months[$climate->coldest()];
            $air = $indoors->during($climate->coldest(), $outdoors);
            $profiles[] = new Profile($path, 'coldest month', $air['celsius'], $air['pressure'], $outdoors->celsius, $outdoors->vapourPressure());
        }
        foreach ($this->project->conditions as $condition) {
            $profiles[] = new Profile(
                $path, $condition->name, $condition->indoors->celsius, $condition->indoors->vapourPressure(),
                $condition->outdoors->celsius, $condition->outdoors->vapourPressure(),
            );
        }

        return $profiles;
    }

    /** @return array<string, mixed> */
    private function layer(int $index): array
    {
        $layer = $this->assembly->layers[$index];

        return [
            'id' => $layer->id,
            'r_m2k_w' => $this->heat->layers[$index] ?? null,
            'sd_m' => $layer->sd(),
            'permeance_ng_pa_s_m2' => $layer->permeance(),
            'vapour_class' => $layer->vapourClass()->value,
            'reckoned' => isset($this->heat->layers[$index]),
        ];
    }

    /** @return list<Finding> */
    private function method(): array
    {
        if ($this->heat->withinMethod()) {
            return [];
        }
        foreach ($this->assembly->reckonedLayers() as $layer) {
            if ($layer->framing !== null) {
                return [new Finding('heat.method-out-of-range', Severity::Fail, "assemblies/{$this->assembly->id}/layers/{$layer->id}", [
                    'ratio' => $this->heat->upperLimit / $this->heat->lowerLimit, 'most' => ThermalResistance::WIDEST_RATIO,
                    'framing' => $layer->framing->material->name,
                ], Source::published('ISO 6946:2017, 6.7.2.1'))];
            }
        }
        throw new \LogicException('limits differ without framing');
    }

    /** @return list<Finding> */
    private function recalled(): array
    {
        $recalled = array_filter($this->assembly->layers, fn (Layer $layer): bool => $layer->material->source->kind === SourceKind::FromMemory);

        return $recalled === [] ? [] : [new Finding('material.from-memory', Severity::Note, 'assemblies/'.$this->assembly->id, [
            'count' => count($recalled), 'of' => count($this->assembly->layers),
        ], Source::of(SourceKind::FromMemory, 'catalogue of generic materials'))];
    }
}

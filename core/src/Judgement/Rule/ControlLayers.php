<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** Which layer carries each of the four controls: what is missing, doubled, or contradicted by its own figures. */
final class ControlLayers implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$assembly, $subject] = [$assessed->assembly, $assessed->subject()];
        $carriers = [];
        foreach ($assembly->layers as $layer) {
            foreach ($layer->controls as $control) {
                $carriers[$control->value][] = $layer;
            }
        }
        if ($carriers === []) {
            return [new Finding('control.none-named', Severity::Note, $subject, [], Source::commonPractice())];
        }
        $findings = [];
        foreach (Control::cases() as $control) {
            $layers = $carriers[$control->value] ?? [];
            if ($layers === [] && $control === Control::Vapour && ! self::asked($assessed)) {
                array_push($findings, ...self::byRatio($assessed));
            } elseif ($layers === []) {
                $findings[] = new Finding(
                    'control.missing',
                    Severity::Caution,
                    $subject,
                    ['control' => $control->value],
                    Source::commonPractice(),
                    $control->value,
                );
            }
            // Insulation in two layers is ordinary; a second water, air or vapour layer is a choice to be made
            // knowingly.
            if (count($layers) > 1 && $control !== Control::Heat) {
                $findings[] = new Finding(
                    'control.doubled',
                    $control === Control::Vapour ? Severity::Caution : Severity::Note,
                    $subject,
                    [
                        'control' => $control->value,
                        'first' => $layers[0]->material->name,
                        'second' => $layers[count($layers) - 1]->material->name,
                    ],
                    Source::commonPractice(),
                    $control->value,
                );
            }
            foreach ($layers as $layer) {
                $findings = [...$findings, ...self::contradiction($control, $layer, $assessed)];
            }
        }
        if (array_filter($findings, fn (Finding $f): bool => $f->code !== 'control.vapour-by-ratio') === []) {
            $all = count($carriers) === count(Control::cases());
            $findings[] = new Finding(
                $all ? 'control.complete' : 'control.complete-but-vapour',
                Severity::Pass,
                $subject,
                [],
                Source::commonPractice(),
            );
        }

        return $findings;
    }

    /** In the warm zones nobody needs one, and where the project settled on none, the reserve answers for it. */
    private static function asked(AssemblyAssessment $assessed): bool
    {
        $zone = $assessed->climate?->zone;

        return ! self::settledOnNone($assessed) &&
            ! ($zone !== null && RuleFigures::of('practice')->lists('vapour_layer_not_asked_in', $zone[0]));
    }

    private static function settledOnNone(AssemblyAssessment $assessed): bool
    {
        return ($assessed->schools['vapour-layer'] ?? 'named') === 'by-ratio';
    }

    /** @return list<Finding> what the drying reserve says of an assembly that is open throughout */
    private static function byRatio(AssemblyAssessment $assessed): array
    {
        if (! self::settledOnNone($assessed) || $assessed->drying === []) {
            return [];
        }
        $least = null;
        foreach ($assessed->drying as $drying) {
            $wetted = $drying->run->material()->harmedByWater();
            $least = $wetted && ($least === null || $drying->reserve < $least->reserve) ? $drying : $least;
        }
        $physics = RuleFigures::of('physics');
        $name = $assessed->assembly->kind === AssemblyKind::Roof ? 'reserve_roof_g_m2' : 'reserve_wall_g_m2';
        $figures = [
            'share_pct' => 100 * $assessed->airPath->share(),
            'layer' => $least?->run->material()->name ?? '',
            'reserve_g_m2' => 1000 * ($least->reserve ?? 0.0),
            'asked_g_m2' => $physics->figure($name),
        ];
        $code = match (true) {
            $least === null => 'control.vapour-by-ratio-none',
            $figures['reserve_g_m2'] < $figures['asked_g_m2'] => 'control.vapour-by-ratio-short',
            default => 'control.vapour-by-ratio',
        };

        return [
            new Finding(
                $code,
                $code === 'control.vapour-by-ratio-short' ? Severity::Caution : Severity::Note,
                $assessed->subject(),
                $figures,
                $physics->source($name),
            ),
        ];
    }

    /** @return list<Finding> */
    private static function contradiction(Control $control, Layer $layer, AssemblyAssessment $assessed): array
    {
        $rules = RuleFigures::of('controls');
        $material = $layer->material;
        $subject = $assessed->subject($layer);
        $name = ['layer' => $material->name];
        switch ($control) {
            case Control::Vapour:
                $most = $rules->permeance('vapour_permeance_most');

                return $layer->permeance() <= $most
                    ? []
                    : [
                        new Finding(
                            'control.vapour-too-open',
                            Severity::Fail,
                            $subject,
                            $name + [
                                'permeance_ng_pa_s_m2' => $layer->permeance(),
                                'most_ng_pa_s_m2' => $most,
                            ],
                            $rules->source('vapour_permeance_most'),
                        ),
                    ];
            case Control::Air:
                $most = $rules->figure('air_permeance_most_l_s_m2');
                if ($material->airPermeance === null) {
                    return [new Finding('control.air-unknown', Severity::Note, $subject, $name, $material->source)];
                }

                return $material->airPermeance <= $most
                    ? []
                    : [
                        new Finding(
                            'control.air-too-leaky',
                            Severity::Fail,
                            $subject,
                            $name + [
                                'leakage_l_s_m2' => $material->airPermeance,
                                'most_l_s_m2' => $most,
                            ],
                            $rules->source('air_permeance_most_l_s_m2'),
                        ),
                    ];
            case Control::Water:
                return $material->shedsWater === false
                    ? [new Finding('control.water-soaks', Severity::Fail, $subject, $name, $material->source)]
                    : [];
            case Control::Heat:
                $most = RuleFigures::of('practice')->figure('insulation_w_mk');
                $conductivity = $material->conductivity;

                return $conductivity === null || $conductivity > $most
                    ? [
                        new Finding(
                            'control.heat-no-insulation',
                            Severity::Caution,
                            $subject,
                            $name + [
                                'resistance_m2k_w' => $layer->resistance($assessed->assembly->heatFlow()),
                            ],
                            RuleFigures::of('practice')->source('insulation_w_mk'),
                        ),
                    ]
                    : [];
        }
    }
}

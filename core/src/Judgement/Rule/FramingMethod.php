<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\MetalFraming;
use Apron\Assembly\ThermalResistance;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;

/** How the framing was reckoned, where it was not by the combined method within its range. */
final class FramingMethod implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $method = $assessed->heat->method;
        if ($method === 'combined') {
            return [];
        }
        foreach ($assessed->assembly->reckonedLayers() as $layer) {
            if ($layer->framing !== null && ($method === null || $layer->framing->material->isMetal())) {
                $figures = [
                    'ratio' => $assessed->heat->upperLimit / $assessed->heat->lowerLimit,
                    'most' => ThermalResistance::WIDEST_RATIO,
                    'framing' => $layer->framing->material->name,
                ];
                $steel = $method === null ? null : MetalFraming::from($method);

                return [
                    $steel === null
                        ? new Finding(
                            'heat.no-method',
                            Severity::Fail,
                            $assessed->subject($layer),
                            $figures,
                            Source::published('ISO 6946:2017, 6.7.2.1'),
                        )
                        : new Finding(
                            'heat.metal-method',
                            Severity::Note,
                            $assessed->subject($layer),
                            $figures + ['method' => $steel->value, 'r_m2k_w' => (float) $assessed->heat->total()],
                            Source::of(SourceKind::FromMemory, MetalFraming::SOURCES[$steel->value]),
                        ),
                ];
            }
        }

        return [];
    }
}

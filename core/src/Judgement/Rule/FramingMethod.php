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
        if ($assessed->heat->withinMethod() && ! $assessed->heat->methodChosen()) {
            return [];
        }
        foreach ($assessed->assembly->reckonedLayers() as $layer) {
            if ($layer->framing !== null) {
                $subject = $assessed->subject($layer);
                $figures = [
                    'ratio' => $assessed->heat->upperLimit / $assessed->heat->lowerLimit,
                    'most' => ThermalResistance::WIDEST_RATIO,
                    'framing' => $layer->framing->material->name,
                ];
                $method = $assessed->heat->method === null ? null : MetalFraming::tryFrom($assessed->heat->method);
                $combined = Source::published('ISO 6946:2017, 6.7.2.1');
                if ($method === null) {
                    return [new Finding('heat.no-method', Severity::Fail, $subject, $figures, $combined)];
                }
                $figures += ['method' => $method->value, 'r_m2k_w' => (float) $assessed->heat->total()];

                return [
                    $assessed->heat->methodChosen()
                        ? new Finding(
                            'heat.metal-method',
                            Severity::Note,
                            $subject,
                            $figures,
                            Source::of(SourceKind::FromMemory, MetalFraming::SOURCES[$method->value]),
                        )
                        : new Finding('heat.method-out-of-range', Severity::Fail, $subject, $figures, $combined),
                ];
            }
        }
        throw new \LogicException('limits differ without framing');
    }
}

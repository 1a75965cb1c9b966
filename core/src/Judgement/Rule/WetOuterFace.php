<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** Air outside that condenses on the outer face itself: a cold store in summer. */
final class WetOuterFace implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $wet = $assessed->year->outerFaceWet ?? [];

        return $wet === [] || $assessed->assembly->soil !== null
            ? []
            : [
                new Finding(
                    'surface.outer-wet',
                    Severity::Note,
                    $assessed->subject(),
                    ['month' => $wet[0] + 1, 'months' => count($wet)],
                    Source::computed('ISO 13788:2012, 6.4, monthly means'),
                ),
            ];
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** A room stated by humidity class that would be wetter than saturated in some month: reckoned at saturation there. */
final class RoomCapped implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $month = $assessed->cappedMonth();

        return $month === null
            ? []
            : [
                new Finding(
                    'room.capped',
                    Severity::Note,
                    $assessed->subject(),
                    ['month' => $month + 1],
                    Source::published('ISO 13788:2012, annex A'),
                ),
            ];
    }
}

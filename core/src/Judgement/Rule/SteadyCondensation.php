<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\Profile;

/** What one steady pair of airs comes to: the coldest month, and each case of the brief. */
final class SteadyCondensation implements Rule
{
    private const HOURS_OF_A_MONTH = 730;

    private const STEADY = 'ISO 13788:2012, 6.4, one steady pair of airs';

    public function findings(AssemblyAssessment $assessed): array
    {
        $findings = [];
        foreach ($assessed->profiles as $profile) {
            array_push($findings, ...self::of($assessed, $profile));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function of(AssemblyAssessment $assessed, Profile $profile): array
    {
        $subject = $assessed->subject();
        $findings = [];
        if ($profile->surfaceWet) {
            $findings[] = new Finding(
                'surface.wet',
                Severity::Fail,
                $subject,
                [
                    'condition' => $profile->name,
                    'surface_c' => $profile->temperatures[0],
                    'dew_point_c' => Air::dewPoint($profile->indoorPressure),
                ],
                Source::computed(self::STEADY),
                $profile->name,
            );
        }
        $month = $profile->totalRate() * self::HOURS_OF_A_MONTH;
        if ($profile->condensation !== [] && $month >= RuleFigures::of('physics')->figure('worth_a_word_g_m2')) {
            $node = (int) array_search(max($profile->condensation), $profile->condensation, true);
            [$suffix, $place] = Place::of($profile->path, $node);
            $findings[] = new Finding(
                "steady.condenses.$suffix",
                Severity::Note,
                $subject,
                $place + [
                    'condition' => $profile->name,
                    'rate_g_m2_h' => $profile->totalRate(),
                    'outdoor_c' => $profile->outdoors,
                ],
                Source::computed(self::STEADY),
                $profile->name,
            );
        }

        return $findings;
    }
}

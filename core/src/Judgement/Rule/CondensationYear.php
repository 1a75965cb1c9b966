<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\YearVerdict;

/** What a year of months comes to: dry, wet and dry again, or wetter every year. */
final class CondensationYear implements Rule
{
    private const YEAR = 'ISO 13788:2012, clause 6, monthly balance';

    public function findings(AssemblyAssessment $assessed): array
    {
        [$assembly, $year, $subject] = [$assessed->assembly, $assessed->year, $assessed->subject()];
        if ($year === null) {
            return [];
        }
        $source = Source::computed(self::YEAR);
        $verdict = $year->verdict();
        $wettest = $year->wettest();
        $water = self::waterLayer($assembly);
        if (
            $assembly->soil !== null &&
            $wettest !== null &&
            $water !== null &&
            $year->path->layer[$wettest] >= $water
        ) {
            // Outside of the waterproofing the ground keeps everything damp, and what stands there is made for it.
            return [
                new Finding(
                    'year.damp-ground',
                    Severity::Note,
                    $subject,
                    ['water' => $assembly->layers[$water]->material->name],
                    $source,
                ),
            ];
        }
        if ($verdict === YearVerdict::Dry || $wettest === null) {
            return [new Finding('year.dry', Severity::Pass, $subject, [], $source)];
        }
        [$suffix, $place] = Place::of($assembly, $year->path, $wettest);
        $peak = $year->peak($wettest) * 1000;
        $figures = $place + ['peak_g_m2' => $peak, 'residue_g_m2' => $year->accumulated[$wettest][11] * 1000];
        if ($verdict === YearVerdict::Accumulates) {
            return [new Finding("year.accumulates.$suffix", Severity::Fail, $subject, $figures, $source)];
        }
        $runs = $peak > RuleFigures::of('controls')->figure('runoff_g_m2');

        return [
            new Finding("year.dries.$suffix", $runs ? Severity::Caution : Severity::Note, $subject, $figures, $source),
        ];
    }

    private static function waterLayer(Assembly $assembly): ?int
    {
        foreach ($assembly->layers as $i => $layer) {
            if (in_array(Control::Water, $layer->controls, true)) {
                return $i;
            }
        }

        return null;
    }
}

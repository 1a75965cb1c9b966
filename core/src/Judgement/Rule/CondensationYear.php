<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Cladding;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\Gathering;

/**
 * What a year of months comes to in each zone: dry, wet and dry again, more than its materials bear though it dries,
 * or wetter every year.
 */
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
        $zones = array_filter($assessed->gatherings(), fn (Gathering $zone): bool => $zone->worthAWord());
        $water = self::waterLayer($assembly);
        $findings = [];
        foreach ($zones as $zone) {
            if ($assembly->soil !== null && $water !== null && $zone->path->layer[$zone->wettest] >= $water) {
                // Outside of the waterproofing the ground keeps everything damp, and what stands there is made for it.
                $findings[] = new Finding(
                    'year.damp-ground',
                    Severity::Note,
                    $subject,
                    ['water' => $assembly->layers[$water]->material->name],
                    $source,
                );

                continue;
            }
            $findings[] = self::againstWall($assessed, $zone) ?? self::of($assessed, $zone, count($findings) === 0);
        }

        return $findings === [] ? [new Finding('year.dry', Severity::Pass, $subject, [], $source)] : $findings;
    }

    /** What gathers below grade between closed foam and masonry, both of which bear it: the wall is damp anyway. */
    private static function againstWall(AssemblyAssessment $assessed, Gathering $zone): ?Finding
    {
        [$inside, $outside] = [$zone->path->inside($zone->wettest), $zone->path->outside($zone->wettest)];
        if (
            $assessed->assembly->soil === null ||
            $inside === null ||
            $outside === null ||
            ! Cladding::solid($assessed->assembly->whole($outside->at)) ||
            $assessed->assembly->whole($inside->at)->letsAirThrough() ||
            $inside->family()?->harmedByWater === true
        ) {
            return null;
        }

        return new Finding(
            'year.damp-wall',
            Severity::Note,
            $assessed->subject(),
            ['inner' => $inside->name(), 'outer' => $outside->name(), 'peak_g_m2' => $zone->peak * 1000],
            Source::computed(self::YEAR),
        );
    }

    private static function of(AssemblyAssessment $assessed, Gathering $zone, bool $first): Finding
    {
        [$suffix, $place] = Place::of($zone->path, $zone->wettest);
        $wets = $zone->wets === [] ? [0] : $zone->wets;
        $figures = $place + [
            'peak_g_m2' => $zone->peak * 1000,
            'residue_g_m2' => $zone->residue * 1000,
            'bears_g_m2' => $zone->bears * 1000,
            'borne_g_m2' => $zone->borne * 1000,
            'tender' => $zone->tender?->material()->name ?? '',
            'from_month' => $wets[0] + 1,
            'to_month' => $wets[count($wets) - 1] + 1,
        ];
        $near = self::figure('near_limit_pct') / 100;
        $spared = self::tableHolds($assessed) && $zone->borne <= self::figure('table_stands_for') * $zone->bears;
        [$code, $severity] = match (true) {
            $zone->tooMuch() && ! $zone->accumulates() && $spared => ['over-in-table', Severity::Note],
            $zone->accumulates() => ['accumulates', Severity::Fail],
            $zone->tooMuch() => [$zone->tender === null ? 'over-common' : 'over', Severity::Fail],
            $zone->borne > $near * $zone->bears && ! $spared => ['dries', Severity::Caution],
            default => ['dries', Severity::Note],
        };
        $source = match (true) {
            ! str_starts_with($code, 'over') => Source::computed(self::YEAR),
            $zone->tender?->material()->family?->timber !== null => RuleFigures::of('physics')->source(
                'wood_bears_pct',
            ),
            default => RuleFigures::of('physics')->source('gathers_most_g_m2'),
        };
        // Vapour that comes from outdoors is cured on the other side.
        $from = $zone->inSummer() ? '.inward' : '';

        return new Finding(
            "year.$code.$suffix$from",
            $severity,
            $assessed->subject(),
            $figures,
            $source,
            $first ? '' : $assessed->assembly->layers[$zone->path->layer[$zone->wettest]]->id,
        );
    }

    private static function figure(string $name): float
    {
        return RuleFigures::of('physics')->figure($name);
    }

    /**
     * The code’s table asks for no more insulation outside of this sheathing. It rests on walls that were opened and
     * looked into, and a balance of monthly means with nothing stored does not outweigh it by a little.
     */
    private static function tableHolds(AssemblyAssessment $assessed): bool
    {
        foreach (
            [...(new WallRetarder)->findings($assessed), ...(new RoofExteriorInsulation)->findings($assessed)] as $f
        ) {
            if (in_array($f->code, ['practice.exterior-r-enough', 'practice.roof-r-enough'], true)) {
                return true;
            }
        }

        return false;
    }

    private static function waterLayer(Assembly $assembly): ?int
    {
        [$sheds, $solid] = [null, false];
        foreach ($assembly->layers as $i => $layer) {
            if (in_array(Control::Water, $layer->controls, true)) {
                return $i;
            }
            // Where nobody has named it, the first coat or sheet outside of the wall itself keeps the ground out.
            $sheds ??= $solid && $layer->material->shedsWater === true && ! $layer->insulates() ? $i : null;
            $solid = $solid || Cladding::solid($assembly->whole($i));
        }

        return $sheds;
    }
}

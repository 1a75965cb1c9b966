<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Ply;
use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Cladding;
use Apron\Judgement\Rule;
use Apron\Material\Families;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\Profile;

/** A wet cladding in sun drives vapour inward onto a film that is tight. */
final class InwardDrive implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $cladding = $assessed->cladding;
        $film =
            $cladding === null
                ? null
                : Ply::tightest(array_filter($assessed->plies, fn (Ply $ply): bool => $ply->at < $cladding->at));
        if ($cladding === null || ! $cladding->reservoir || $film === null || ! self::anyHarmed($assessed, $cladding)) {
            return [];
        }
        $name = [
            'cladding' => $cladding->layer->material->name,
            'film' => $film->name(),
            'film_ng_pa_s_m2' => $film->permeance(),
        ];
        if ($cladding->ventilated || $cladding->drained) {
            return [
                new Finding(
                    'practice.reservoir-drained',
                    Severity::Pass,
                    $assessed->subject(),
                    $name,
                    Families::source('reservoir'),
                ),
            ];
        }
        $rules = RuleFigures::of('practice');
        $rate = self::rate($assessed, $cladding);
        $figures = $name + [
            'rate_g_m2_h' => $rate,
            'sun_c' => $rules->figure('sunlit_reservoir_c'),
            'room_c' => $rules->figure('summer_indoor_c'),
        ];
        $source = Source::computed(
            'ISO 13788:2012, 6.4, one steady pair of airs; the cladding wet through at its sunlit temperature (common practice)',
        );

        return [
            new Finding(
                $rate > 0 ? 'practice.inward-drive' : 'practice.inward-drive-dry',
                $rate > 0 ? Severity::Caution : Severity::Pass,
                $assessed->subject(),
                $figures,
                $source,
            ),
        ];
    }

    /** g/(m²h) that comes to rest against something that water harms */
    private static function rate(AssemblyAssessment $assessed, Cladding $cladding): float
    {
        $rules = RuleFigures::of('practice');
        $hot = $rules->figure('sunlit_reservoir_c');
        [$room, $humidity] = [$rules->figure('summer_indoor_c'), $rules->figure('summer_indoor_rh_pct')];
        $profile = new Profile(
            $assessed->path,
            'sun on a wet cladding',
            $room,
            ($humidity / 100) * Air::saturation($room),
            $hot,
            Air::saturation($hot),
        );
        $rate = 0.0;
        foreach ($profile->condensation as $node => $kg) {
            [$inside, $outside] = [$assessed->path->inside($node), $assessed->path->outside($node)];
            // What runs down between concrete and foam harms nothing; what lies against wood or gypsum does.
            $harms =
                $inside?->family()?->harmedByWater === true ||
                $outside?->family()?->harmedByWater === true ||
                ($outside?->family()?->letsAirThrough === true && self::anyTimber($assessed));
            $rate += $inside !== null && $inside->at < $cladding->at && $harms ? $kg * 3.6e6 : 0.0;
        }

        return $rate;
    }

    /** Wool lies between studs, and what runs down in it ends on their plate. */
    private static function anyTimber(AssemblyAssessment $assessed): bool
    {
        foreach ($assessed->plies as $ply) {
            if ($ply->family()?->timber !== null || $ply->layer->framing?->material->family?->timber !== null) {
                return true;
            }
        }

        return false;
    }

    private static function anyHarmed(AssemblyAssessment $assessed, Cladding $cladding): bool
    {
        foreach ($assessed->plies as $ply) {
            if ($ply->at < $cladding->at && $ply->family()?->harmedByWater === true) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Climate\Air;
use Apron\Judgement\AssemblyAssessment;
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
        $rules = RuleFigures::of('practice');
        $layers = $assessed->assembly->layers;
        $reservoir = null;
        foreach ($assessed->assembly->layers as $i => $layer) {
            if ($layer->material->isReservoir() && $layer->material->shedsWater !== true) {
                $reservoir = $i;
            }
        }
        $film = $reservoir === null ? null : Layer::tightest(array_slice($assessed->assembly->layers, 0, $reservoir));
        $harmed = array_filter(
            range(0, max(0, (int) $reservoir - 1)),
            fn (int $i): bool => self::harmed($layers[$i] ?? null),
        );
        if (
            $reservoir === null ||
            $reservoir === 0 ||
            $film === null ||
            $harmed === [] ||
            $assessed->assembly->kind !== AssemblyKind::Wall ||
            $assessed->assembly->soil !== null
        ) {
            return [];
        }
        $name = [
            'cladding' => $assessed->assembly->layers[$reservoir]->material->name,
            'film' => $film->material->name,
            'film_ng_pa_s_m2' => $film->permeance(),
        ];
        if ($assessed->assembly->ventilatedAt() !== null && $assessed->assembly->ventilatedAt() < $reservoir) {
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
            $layer = $assessed->path->layer[$node];
            // What runs down between concrete and foam harms nothing; what lies against wood, wool or gypsum does.
            $harms =
                self::harmed($layers[$layer] ?? null) ||
                self::harmed($layers[$layer + ($assessed->path->interface[$node] >= 0 ? 1 : 0)] ?? null);
            $rate += $layer < $reservoir && $harms ? $kg * 3.6e6 : 0.0;
        }
        $figures = $name + ['rate_g_m2_h' => $rate, 'sun_c' => $hot, 'room_c' => $room];
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

    private static function harmed(?Layer $layer): bool
    {
        return $layer !== null && $layer->material->harmedByWater();
    }
}

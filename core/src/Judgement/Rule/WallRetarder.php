<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Ply;
use Apron\Climate\Air;
use Apron\Climate\ClimateZone;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Material\Families;
use Apron\Material\VapourClass;
use Apron\Quantity\Conversion;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/**
 * The retarder inside a framed wall by the tables of the code: which class a zone lets be, and how much insulation
 * outside stands in for one. By labelled R, as the code counts; for ordinary rooms only.
 */
final class WallRetarder implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        [$zone, $plane] = [$assessed->climate?->zone, $assessed->airPath->interface];
        if ($zone === null || $plane === null || $assessed->assembly->kind !== AssemblyKind::Wall) {
            return [];
        }
        // Wool is no retarder, however thick: what air blows through slows no vapour.
        $tightest = Ply::tightest(
            array_filter(
                $assessed->plies,
                fn (Ply $ply): bool => $ply->at < $plane &&
                    ($ply->facer !== null || ! $assessed->assembly->whole($ply->at)->letsAirThrough()),
            ),
        );
        // The tables are for walls that are framed and sheathed: solid masonry has no sheathing to keep warm.
        $masonry = in_array(
            $assessed->assembly->layers[$plane]->material->family?->id,
            ['brick', 'block', 'stone', 'concrete', 'aerated-concrete', 'render', 'gypsum', 'metal'],
            true,
        );
        if ($tightest === null || $masonry) {
            return [];
        }
        $rules = RuleFigures::of('practice');
        $class = $tightest->vapourClass();
        $figures = [
            'zone' => $zone,
            'inner' => $tightest->name(),
            'class' => $class->value,
            'permeance_ng_pa_s_m2' => $tightest->permeance(),
        ];
        if (
            ($class === VapourClass::I && $rules->lists('wall_class_i_not_in', $zone)) ||
            ($class === VapourClass::II && $rules->lists('wall_class_ii_not_in', $zone))
        ) {
            return [
                new Finding(
                    'practice.retarder-wrong-side',
                    Severity::Caution,
                    $assessed->subject($tightest->layer),
                    $figures,
                    $rules->source('wall_class_i_not_in'),
                ),
            ];
        }

        $ordinary = self::ordinary($assessed, $figures);
        if ($ordinary !== []) {
            return $ordinary;
        }

        // Where vapour comes from outdoors, as in a cold store, a retarder inside is no merit.
        if ($assessed->year?->fromOutdoors() === true) {
            return [];
        }

        return match ($class) {
            VapourClass::I => self::inside($assessed, $figures),
            VapourClass::II => self::classTwo($assessed, $zone, $figures),
            default => self::openInside($assessed, $zone, $class, $figures),
        };
    }

    /**
     * @param  array<string, float|int|string>  $figures
     * @return list<Finding> where the room is damper than those the tables are made for
     */
    private static function ordinary(AssemblyAssessment $assessed, array $figures): array
    {
        $rules = RuleFigures::of('practice');
        $profile = $assessed->profiles[0] ?? null;
        $dew = $profile === null || $profile->indoorPressure <= 0 ? null : Air::dewPoint($profile->indoorPressure);
        $most = $rules->figure('ordinary_room_dew_point_c');

        return $dew === null || $dew <= $most
            ? []
            : [
                new Finding(
                    'practice.table-not-for-room',
                    Severity::Note,
                    $assessed->subject(),
                    $figures + ['dew_point_c' => $dew, 'most_c' => $most],
                    $rules->source('ordinary_room_dew_point_c'),
                ),
            ];
    }

    /**
     * @param  array<string, float|int|string>  $figures
     * @return list<Finding>
     */
    private static function inside(AssemblyAssessment $assessed, array $figures): array
    {
        return [
            new Finding(
                'practice.retarder-inside',
                Severity::Pass,
                $assessed->subject(),
                $figures,
                RuleFigures::of('practice')->source('wall_exterior_r'),
            ),
        ];
    }

    /**
     * Class II with foam outside: the sheathing between them has to be kept warm as well.
     *
     * @param  array<string, float|int|string>  $figures
     * @return list<Finding>
     */
    private static function classTwo(AssemblyAssessment $assessed, string $zone, array $figures): array
    {
        $rules = RuleFigures::of('practice');
        $path = $assessed->airPath;
        $asked = $rules->cell('wall_exterior_r_class_ii', ClimateZone::row($zone), self::cavity($assessed));
        if (! self::foamOutside($assessed) || $asked === null) {
            return self::inside($assessed, $figures);
        }
        $least = $asked * Conversion::RSI_PER_R;
        $figures += ['exterior_m2k_w' => $path->exteriorLabelR, 'least_m2k_w' => $least];
        $enough = self::enough($path->exteriorLabelR, $least);

        return [
            new Finding(
                $enough ? 'practice.exterior-r-enough-2' : 'practice.exterior-r-short-2',
                $enough ? Severity::Pass : Severity::Caution,
                $assessed->subject(),
                $figures,
                $rules->source('wall_exterior_r_class_ii'),
            ),
        ];
    }

    /**
     * @param  array<string, float|int|string>  $figures
     * @return list<Finding>
     */
    private static function openInside(
        AssemblyAssessment $assessed,
        string $zone,
        VapourClass $class,
        array $figures,
    ): array {
        $rules = RuleFigures::of('practice');
        $path = $assessed->airPath;
        $asked = $rules->cell('wall_exterior_r', ClimateZone::row($zone), self::cavity($assessed));
        if ($asked === null) {
            return [];
        }
        $least = $asked * Conversion::RSI_PER_R;
        $figures += ['exterior_m2k_w' => $path->exteriorLabelR, 'least_m2k_w' => $least];
        $enough = self::enough($path->exteriorLabelR, $least);
        $vented = ! $enough && $class === VapourClass::III && self::ventedInstead($assessed, $zone);
        [$code, $severity, $source] = match (true) {
            $vented => ['vented-cladding-instead', Severity::Note, Families::source('vented_sheathing')],
            $class === VapourClass::Open && $enough => ['open-inside-enough', Severity::Note, null],
            $class === VapourClass::Open => ['no-retarder-inside', Severity::Caution, null],
            $enough => ['exterior-r-enough', Severity::Pass, null],
            default => ['exterior-r-short', Severity::Caution, null],
        };

        return [
            new Finding(
                "practice.$code",
                $severity,
                $assessed->subject(),
                $figures,
                $source ?? $rules->source('wall_exterior_r'),
            ),
        ];
    }

    /** Boards are sold by whole R: a hundredth short by rounding of inches is not short. */
    private static function enough(float $there, float $least): bool
    {
        return $there >= $least * (1 - RuleFigures::of('practice')->figure('label_rounding'));
    }

    private static function ventedInstead(AssemblyAssessment $assessed, string $zone): bool
    {
        $rules = RuleFigures::of('practice');
        $sheathing = $assessed->assembly->layers[(int) $assessed->airPath->interface]->material->family;

        return $assessed->assembly->ventilatedAt() !== null &&
            ! self::foamOutside($assessed) &&
            $sheathing?->ventedSheathing === true &&
            ($rules->lists('wall_vented_zones', $zone) ||
                ($sheathing->timber === null && $rules->lists('wall_vented_zones_no_wood', $zone)));
    }

    /** Insulation outside of the sheathing that vapour hardly passes: then no gap outside of it dries the sheathing. */
    private static function foamOutside(AssemblyAssessment $assessed): bool
    {
        $most = RuleFigures::of('practice')->permeance('foam_outside');
        foreach ($assessed->plies as $ply) {
            if (
                $ply->at >= (int) $assessed->airPath->interface &&
                $ply->layer->insulates() &&
                ($ply->facer === null ? $assessed->assembly->whole($ply->at) : $ply)->permeance() <= $most
            ) {
                return true;
            }
        }

        return false;
    }

    private static function cavity(AssemblyAssessment $assessed): string
    {
        return $assessed->airPath->cavityMm > RuleFigures::of('practice')->figure('deep_cavity_mm')
            ? 'deep'
            : 'shallow';
    }
}

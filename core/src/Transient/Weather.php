<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Exposure;
use Apron\Assembly\RainLoad;
use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\Hour;
use Apron\Climate\HourlyYear;
use Apron\Climate\IndoorAir;
use Apron\Climate\Month;
use Apron\Climate\WallSun;
use Apron\Rules\RuleFigures;

/** What both faces of an assembly meet, and what rain strikes it, in every hour of a year. */
final class Weather
{
    /** the same year every time: what changes between two runs is the wall */
    private const SEED = 1;

    /** W/(m²K) of ground against a face: as good as none between them */
    private const GROUND_FILM = 1000.0;

    /** degrees between facings that are tried for the most rain */
    private const FACINGS = 15;

    /** @var list<Beyond> by hour */
    public array $outside = [];

    /** @var list<Beyond> by hour */
    public array $inside = [];

    /** @var list<Hour> */
    public array $hours = [];

    /** @var list<float> kg/m² in the hour that strike the wall */
    public array $rain = [];

    /** degrees from north */
    public readonly ?float $facing;

    /** whose hours they are; null where they were made from the months */
    public readonly ?string $of;

    public function __construct(Assembly $assembly, Climate $climate, IndoorAir $indoors, ?float $facing)
    {
        $year = $climate->hours ?? HourlyYear::synthesise($climate, self::SEED);
        $this->hours = $year->hours;
        $this->of = $climate->hours?->name;
        $isUpright = $assembly->kind === AssemblyKind::Wall;
        $this->facing = $isUpright ? $facing ?? self::rainiest($year) : null;
        $rules = RuleFigures::of('transient');
        $films = fn (string $side): float => (float) $rules->cell('vapour_film_s_m', $side, 'beta');
        $rse = $assembly->statedRse ?? $assembly->films->outside();
        $share = $assembly->soil === null ? RainLoad::share($assembly->exposure ?? new Exposure) : 0.0;
        $sun = $this->facing === null ? null : new WallSun(
            $this->facing,
            $year->latitude ?? $climate->latitude ?? $rules->figure('latitude_deg'),
            $rules->figure('ground_reflects'),
        );
        $face = $this->face($assembly);
        $ground = $assembly->soil?->months($climate);
        foreach ($this->hours as $h => $hour) {
            $m = self::monthOf($h);
            $air = $indoors->during($m, $climate->months[$m]);
            $this->inside[] = Beyond::air(
                $air['celsius'],
                min(1.0, $air['pressure'] / Air::saturation($air['celsius'])),
                1 / $assembly->rsi(),
                $films('inside'),
            );
            if ($ground !== null) {
                $this->outside[] = Beyond::air($ground->months[$m]->celsius, 1.0, self::GROUND_FILM, $films('outside'));
                $this->rain[] = 0.0;

                continue;
            }
            $strikes = $hour->sun === null ? null : ($sun?->on($h, $hour->sun) ?? $hour->sun);
            $this->outside[] = Beyond::air(
                $hour->celsius,
                min(1.0, $hour->vapourPressure / Air::saturation($hour->celsius)),
                1 / $rse,
                $films('outside'),
                $strikes === null ? 0.0 : $face['absorbs'] * $strikes - $face['loses'],
            );
            $this->rain[] = $isUpright ? $share * $this->driving($hour) : ($hour->rain ?? 0.0);
        }
    }

    /** 0 for January */
    public static function monthOf(int $hour): int
    {
        $before = 0;
        foreach (Month::DAYS as $m => $days) {
            $before += 24 * $days;
            if ($hour < $before) {
                return $m;
            }
        }

        return 11;
    }

    /** @return array{absorbs: float, loses: float} share of the sun, and W/m² to the sky */
    private function face(Assembly $assembly): array
    {
        $physics = RuleFigures::of('physics');
        $rules = RuleFigures::of('transient');

        return $this->facing === null
            ? [
                'absorbs' => $assembly->roofFace === null
                    ? $rules->figure('wall_absorptance')
                    : (float) $physics->cell('roof_absorptance', $assembly->roofFace->value, 'share'),
                'loses' => $physics->figure('roof_sky_loss_w_m2'),
            ]
            : ['absorbs' => $rules->figure('wall_absorptance'), 'loses' => $rules->figure('wall_sky_loss_w_m2')];
    }

    /** kg/m² in the hour that would pass an upright plane so turned: ISO 15927-3:2009, formula (1) */
    private function driving(Hour $hour): float
    {
        return $hour->rain === null || $hour->wind === null || $hour->windFrom === null || $this->facing === null
            ? 0.0
            : (2 / 9) * $hour->wind * $hour->rain ** (8 / 9)
                * max(0.0, cos(deg2rad($hour->windFrom - $this->facing)));
    }

    /** Where most of the rain comes from; north where none is driven. */
    private static function rainiest(HourlyYear $year): float
    {
        [$at, $most] = [0.0, 0.0];
        for ($facing = 0; $facing < 360; $facing += self::FACINGS) {
            $gets = $year->drivingRain($facing) ?? 0.0;
            [$at, $most] = $gets > $most ? [(float) $facing, $gets] : [$at, $most];
        }

        return $at;
    }
}

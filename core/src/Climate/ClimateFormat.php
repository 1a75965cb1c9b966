<?php

declare(strict_types=1);

namespace Apron\Climate;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;

/** Climate, indoor air and conditions as `apron-project/1` writes them. */
final class ClimateFormat
{
    private const COLDEST = Air::COLDEST;

    private const WARMEST = 60.0;

    /** @throws FileRefused */
    public static function climate(Node $node): Climate
    {
        $node->object(['name', 'zone', 'design_winter_c', 'latitude_deg', 'months'], ['name', 'months']);
        $zone = $node->optional('zone')?->text(2);
        if ($zone !== null && preg_match('/^([1-6][ABC]|[78])$/D', $zone) !== 1) {
            $node->get('zone')->refuse('a climate zone: 1 to 6 with A, B or C, or 7 or 8');
        }
        $months = array_map(function (Node $month): Month {
            $month->object(
                ['mean_c', 'rh_pct', 'rain_mm', 'wind_m_s', 'sun_w_m2', 'daily_swing_k', 'worst_facing'],
                ['mean_c', 'rh_pct'],
            );

            return new Month(
                self::celsius($month->get('mean_c')),
                self::humidity($month->get('rh_pct')),
                $month->optional('rain_mm')?->between(0, 5000, 'mm'),
                $month->optional('wind_m_s')?->between(0, 60, 'm/s'),
                $month->optional('sun_w_m2')?->between(0, 600, 'W/m²'),
                $month->optional('daily_swing_k')?->between(0, 30, 'K'),
                $month->optional('worst_facing')?->between(0, 10, 'times the rain of a wall facing anywhere'),
            );
        }, $node->get('months')->items(12, 12));

        return new Climate(
            $node->get('name')->text(),
            $months,
            $zone,
            $node->optional('design_winter_c')?->between(self::COLDEST, self::WARMEST, '°C'),
            $node->optional('latitude_deg')?->between(-90, 90, 'degrees'),
        );
    }

    /** @throws FileRefused also where the indoor air would be wetter than saturated in some month of the climate */
    public static function indoors(Node $node, ?Climate $climate): IndoorAir
    {
        $indoors = match ($node->get('kind')->word(['fixed', 'monthly', 'humidity-class', 'moisture-production'])) {
            'fixed' => self::fixed($node->object(['kind', 'temperature_c', 'rh_pct'], ['temperature_c', 'rh_pct'])),
            'monthly' => new StatedIndoorAir(
                self::months($node->object(['kind', 'months'], ['months'])->get('months')),
            ),
            'moisture-production' => self::production(
                $node->object(
                    ['kind', 'temperature_c', 'production_kg_day', 'volume_m3', 'air_changes_h'],
                    ['temperature_c', 'production_kg_day', 'volume_m3', 'air_changes_h'],
                ),
            ),
            default => self::humidityClass(
                $node->object(['kind', 'class', 'temperature_c', 'margin'], ['class', 'temperature_c']),
            ),
        };
        foreach ($climate->months ?? [] as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            if ($air['pressure'] > Air::saturation($air['celsius']) * (1 + 1e-9)) {
                $node->refuse(
                    'an indoor dew point at or below the indoor temperature in every month; a warmer room, or a lower class or margin',
                    sprintf(
                        'in month %d an indoor dew point of %.1f °C in air of %.1f °C',
                        $m + 1,
                        Air::dewPoint($air['pressure']),
                        $air['celsius'],
                    ),
                );
            }
        }

        return $indoors;
    }

    /** @throws FileRefused */
    public static function condition(Node $node): Condition
    {
        $node->object(
            ['name', 'indoor_c', 'indoor_rh_pct', 'outdoor_c', 'outdoor_rh_pct'],
            ['name', 'indoor_c', 'indoor_rh_pct', 'outdoor_c', 'outdoor_rh_pct'],
        );

        return new Condition(
            $node->get('name')->text(),
            new Month(self::celsius($node->get('indoor_c')), self::humidity($node->get('indoor_rh_pct'))),
            new Month(self::celsius($node->get('outdoor_c')), self::humidity($node->get('outdoor_rh_pct'))),
        );
    }

    /** @return array<string, mixed> */
    public static function writeClimate(Climate $climate): array
    {
        return Written::without([
            'name' => $climate->name,
            'zone' => $climate->zone,
            'design_winter_c' => $climate->designWinter,
            'latitude_deg' => $climate->latitude,
            'months' => self::writeMonths($climate->months),
        ]);
    }

    /** @return array<string, mixed> */
    public static function writeIndoors(IndoorAir $indoors): array
    {
        return match (true) {
            $indoors instanceof HumidityClass => [
                'kind' => 'humidity-class',
                'class' => $indoors->class,
                'temperature_c' => $indoors->celsius,
                'margin' => $indoors->margin,
            ],
            $indoors instanceof MoistureProduction => [
                'kind' => 'moisture-production',
                'temperature_c' => $indoors->celsius,
                'production_kg_day' => $indoors->production,
                'volume_m3' => $indoors->volume,
                'air_changes_h' => $indoors->airChanges,
            ],
            $indoors instanceof StatedIndoorAir && count($indoors->months) === 1 => [
                'kind' => 'fixed',
                'temperature_c' => $indoors->months[0]->celsius,
                'rh_pct' => $indoors->months[0]->humidity,
            ],
            $indoors instanceof StatedIndoorAir => [
                'kind' => 'monthly',
                'months' => self::writeMonths($indoors->months),
            ],
            default => throw new \LogicException('an indoor air that the file has no words for'),
        };
    }

    /** @return array<string, mixed> */
    public static function writeCondition(Condition $condition): array
    {
        return [
            'name' => $condition->name,
            'indoor_c' => $condition->indoors->celsius,
            'indoor_rh_pct' => $condition->indoors->humidity,
            'outdoor_c' => $condition->outdoors->celsius,
            'outdoor_rh_pct' => $condition->outdoors->humidity,
        ];
    }

    /** @return list<Month> */
    private static function months(Node $node): array
    {
        return array_map(function (Node $month): Month {
            $month->object(['mean_c', 'rh_pct'], ['mean_c', 'rh_pct']);

            return new Month(self::celsius($month->get('mean_c')), self::humidity($month->get('rh_pct')));
        }, $node->items(12, 12));
    }

    /**
     * @param  list<Month>  $months
     * @return list<array<string, mixed>>
     */
    private static function writeMonths(array $months): array
    {
        return array_map(
            fn (Month $month): array => Written::without([
                'mean_c' => $month->celsius,
                'rh_pct' => $month->humidity,
                'rain_mm' => $month->rain,
                'wind_m_s' => $month->wind,
                'sun_w_m2' => $month->sun,
                'daily_swing_k' => $month->dailySwing,
                'worst_facing' => $month->worstFacing,
            ]),
            $months,
        );
    }

    private static function fixed(Node $node): StatedIndoorAir
    {
        return new StatedIndoorAir([
            new Month(self::celsius($node->get('temperature_c')), self::humidity($node->get('rh_pct'))),
        ]);
    }

    private static function production(Node $node): MoistureProduction
    {
        return new MoistureProduction(
            self::celsius($node->get('temperature_c')),
            $node->get('production_kg_day')->between(0, 1e5, 'kg of water a day'),
            $node->get('volume_m3')->positive(1e7, 'm³', 1),
            $node->get('air_changes_h')->between(0.01, 100, 'air changes an hour'),
        );
    }

    private static function humidityClass(Node $node): HumidityClass
    {
        return new HumidityClass(
            $node->get('class')->integer(1, 5),
            self::celsius($node->get('temperature_c')),
            $node->optional('margin')?->positive(3, 'times the upper limit', 0.01) ?? 1.0,
        );
    }

    private static function celsius(Node $node): float
    {
        return $node->between(self::COLDEST, self::WARMEST, '°C');
    }

    private static function humidity(Node $node): float
    {
        return $node->positive(100, '% relative humidity', 0.1);
    }
}

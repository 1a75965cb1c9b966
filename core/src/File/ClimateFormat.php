<?php

namespace Apron\File;

use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\Condition;
use Apron\Climate\HumidityClass;
use Apron\Climate\IndoorAir;
use Apron\Climate\Month;
use Apron\Climate\StatedIndoorAir;

/** Climate, indoor air and conditions as `apron-project/1` writes them. */
final class ClimateFormat
{
    private const COLDEST = -70.0;

    private const WARMEST = 60.0;

    /** @throws FileRefused */
    public static function climate(Node $node): Climate
    {
        $node->object(['name', 'months'], ['name', 'months']);

        return new Climate($node->get('name')->text(), self::months($node->get('months')));
    }

    /** @throws FileRefused also where the indoor air would be wetter than saturated in some month of the climate */
    public static function indoors(Node $node, ?Climate $climate): IndoorAir
    {
        $indoors = match ($node->get('kind')->word(['fixed', 'monthly', 'humidity-class'])) {
            'fixed' => self::fixed($node->object(['kind', 'temperature_c', 'rh_pct'], ['temperature_c', 'rh_pct'])),
            'monthly' => new StatedIndoorAir(self::months($node->object(['kind', 'months'], ['months'])->get('months'))),
            default => self::humidityClass($node->object(['kind', 'class', 'temperature_c', 'margin'], ['class', 'temperature_c'])),
        };
        foreach ($climate->months ?? [] as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            if ($air['pressure'] > Air::saturation($air['celsius']) * (1 + 1e-9)) {
                $node->refuse(
                    'an indoor dew point at or below the indoor temperature in every month; a warmer room, or a lower class or margin',
                    sprintf('in month %d an indoor dew point of %.1f °C in air of %.1f °C', $m + 1, Air::dewPoint($air['pressure']), $air['celsius']),
                );
            }
        }

        return $indoors;
    }

    /** @throws FileRefused */
    public static function condition(Node $node): Condition
    {
        $node->object(['name', 'indoor_c', 'indoor_rh_pct', 'outdoor_c', 'outdoor_rh_pct'], ['name', 'indoor_c', 'indoor_rh_pct', 'outdoor_c', 'outdoor_rh_pct']);

        return new Condition(
            $node->get('name')->text(),
            new Month(self::celsius($node->get('indoor_c')), self::humidity($node->get('indoor_rh_pct'))),
            new Month(self::celsius($node->get('outdoor_c')), self::humidity($node->get('outdoor_rh_pct'))),
        );
    }

    /** @return array<string, mixed> */
    public static function writeClimate(Climate $climate): array
    {
        return ['name' => $climate->name, 'months' => self::writeMonths($climate->months)];
    }

    /** @return array<string, mixed> */
    public static function writeIndoors(IndoorAir $indoors): array
    {
        return match (true) {
            $indoors instanceof HumidityClass => ['kind' => 'humidity-class', 'class' => $indoors->class, 'temperature_c' => $indoors->celsius, 'margin' => $indoors->margin],
            $indoors instanceof StatedIndoorAir && count($indoors->months) === 1 => ['kind' => 'fixed', 'temperature_c' => $indoors->months[0]->celsius, 'rh_pct' => $indoors->months[0]->humidity],
            $indoors instanceof StatedIndoorAir => ['kind' => 'monthly', 'months' => self::writeMonths($indoors->months)],
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
        return array_map(
            function (Node $month): Month {
                $month->object(['mean_c', 'rh_pct'], ['mean_c', 'rh_pct']);

                return new Month(self::celsius($month->get('mean_c')), self::humidity($month->get('rh_pct')));
            },
            $node->items(12, 12),
        );
    }

    /**
     * @param  list<Month>  $months
     * @return list<array{mean_c: float, rh_pct: float}>
     */
    private static function writeMonths(array $months): array
    {
        return array_map(fn (Month $month): array => ['mean_c' => $month->celsius, 'rh_pct' => $month->humidity], $months);
    }

    private static function fixed(Node $node): StatedIndoorAir
    {
        return new StatedIndoorAir([new Month(self::celsius($node->get('temperature_c')), self::humidity($node->get('rh_pct')))]);
    }

    private static function humidityClass(Node $node): HumidityClass
    {
        return new HumidityClass(
            $node->get('class')->integer(1, 5),
            self::celsius($node->get('temperature_c')),
            $node->optional('margin')?->positive(3, 'times the upper limit') ?? 1.0,
        );
    }

    private static function celsius(Node $node): float
    {
        return $node->between(self::COLDEST, self::WARMEST, '°C');
    }

    private static function humidity(Node $node): float
    {
        return $node->positive(100, '% relative humidity');
    }
}

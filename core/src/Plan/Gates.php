<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Drafting\Uses;
use Apron\Material\Material;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;

/** What the weather of a day stops: by the data sheet of what is laid, else by what is usual of its family. */
final class Gates
{
    /** @param  float  $before  mm of rain on the day before */
    public static function of(?Material $product, bool $needsDry, DayWeather $on, float $before = 0.0): Gate
    {
        $figures = RuleFigures::of('plan');
        $isSticky = $product !== null && Usual::sticker($product) !== null;
        $isWet = $on->rain >= $figures->figure('rain_mm');
        if ($isWet && ($needsDry || $isSticky)) {
            return Gate::Rain;
        }
        if ($product === null) {
            return Gate::Open;
        }
        $isSheet = ! $isSticky && ! $product->isStrip() && Uses::takes('sheet_strip_material', $product);
        if ($isSheet && ($on->wind ?? 0.0) >= $figures->figure('sheet_wind_m_s')) {
            return Gate::Wind;
        }

        return $isSticky ? self::ofSticky($product, $on, $before) : Gate::Open;
    }

    private static function ofSticky(Material $product, DayWeather $on, float $before): Gate
    {
        $sheet = Usual::of($product);
        [$least, $most] = $sheet->applicationC ?? [-INF, INF];
        $least = min($least, $sheet->primedC ?? INF);
        $isMoist = ($on->humidity ?? 0.0) >= RuleFigures::of('checks')->figure('moist_pct');
        $isWet = $isMoist || $before >= RuleFigures::of('plan')->figure('rain_before_mm');

        return match (true) {
            $on->high < $least => Gate::Cold,
            $on->high > $most => Gate::Hot,
            $isMoist && $on->high <= 0 => Gate::Frost,
            $isWet && $sheet->dampFace !== true => Gate::Damp,
            $on->low < $least => Gate::WarmHours,
            default => Gate::Open,
        };
    }
}

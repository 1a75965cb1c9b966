<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\Layer;
use Apron\Assembly\ThermalResistance;
use Apron\Rules\RuleFigures;

/**
 * Temperature factor of the inside surface at the coldest metal: a stud in the insulation, a girt or bracket outside of
 * it. An estimate on the safe side of two-dimensional conduction, within 0.04 of it for studs of 92 mm.
 */
final class SurfaceAtBridge
{
    /** mm of steel, where it is not said */
    private const DEFAULT_GAUGE_MM = 1.1;

    /** null where there is no metal in or through the insulation, or R is not known */
    public static function factor(ThermalResistance $heat): ?float
    {
        $factors = [];
        foreach ($heat->assembly->reckonedLayers() as $i => $layer) {
            $framing = $layer->framing;
            if ($framing !== null && $framing->material->isMetal() && $layer->insulates()) {
                $factors[] = self::atStud($heat, $i, $layer);
            }
            foreach ($layer->bridges as $bridge) {
                $factors[] = self::atBridge($heat, $bridge->addedU());
            }
        }
        $factors = array_filter($factors, fn (?float $factor): bool => $factor !== null);

        return $factors === [] ? null : min($factors);
    }

    /**
     * Heat gathers in the web from about its depth on either side and leaves at the mean temperature of what is
     * outside of the stud.
     */
    private static function atStud(ThermalResistance $heat, int $at, Layer $layer): ?float
    {
        $framing = $layer->framing;
        $total = $heat->total();
        if ($framing === null || $total === null) {
            return null;
        }
        $rsi = RuleFigures::of('physics')->figure('mould_rsi_m2k_w');
        $depth = ($framing->depthMm ?? $layer->thicknessMm) / 1000;
        $gauge = ($framing->gaugeMm ?? self::DEFAULT_GAUGE_MM) / 1000;
        $gathers = min(2 * $depth, ($framing->spacingMm ?? INF) / 2000);
        $web = ($depth * $gathers) / ((float) $framing->material->conductivity * $gauge);
        $inside = array_sum(array_slice($heat->layers, 0, $at));
        $outside = array_sum(array_slice($heat->layers, $at + 1)) + $heat->assembly->rse();
        $behind = $outside / ($total - $heat->assembly->rsi() + $rsi);

        return 1 - ((1 - min(1.0, $behind)) * $rsi) / ($rsi + $inside + $web);
    }

    /**
     * What a girt or bracket takes comes from a strip or disc as wide as twice what lies inside of it; spread over the
     * area it is spread over in U, and gathered there again.
     */
    private static function atBridge(ThermalResistance $heat, float $addedU): float
    {
        $rsi = RuleFigures::of('physics')->figure('mould_rsi_m2k_w');
        $gathered = RuleFigures::of('practice')->figure('bridge_gathers');
        $plain = $heat->mainPath - $heat->assembly->rsi() + $rsi;

        return 1 - $rsi * (1 / $plain + $gathered * max(0.0, $addedU));
    }
}

<?php

declare(strict_types=1);

namespace Apron\Conduction;

/** The catalogue of results that this process uses. */
final class HeatCatalogue
{
    private static ?HeatKeeper $keeper = null;

    /** @var \WeakMap<PlaneSection, PlaneHeat>|null */
    private static ?\WeakMap $solved = null;

    /**
     * A section solved, once however many ask: it stays as long as the section does.
     *
     * @throws \Apron\Budget\TakesTooLong
     */
    public static function solved(PlaneSection $section): PlaneHeat
    {
        /** @var \WeakMap<PlaneSection, PlaneHeat> $solved */
        $solved = self::$solved ?? new \WeakMap;
        self::$solved = $solved;

        return $solved[$section] ??= new PlaneHeat($section);
    }

    /** @param  HeatKeeper|null  $keeper  null computes anew */
    public static function keepIn(?HeatKeeper $keeper): void
    {
        self::$keeper = $keeper;
    }

    public static function keeper(): ?HeatKeeper
    {
        return self::$keeper;
    }
}

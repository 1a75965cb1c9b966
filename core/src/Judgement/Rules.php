<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Judgement\Rule\ClosedFoam;
use Apron\Judgement\Rule\ColdPlane;
use Apron\Judgement\Rule\CondensationYear;
use Apron\Judgement\Rule\ControlLayers;
use Apron\Judgement\Rule\DoubleBarriers;
use Apron\Judgement\Rule\DryingLayers;
use Apron\Judgement\Rule\FiguresFromMemory;
use Apron\Judgement\Rule\FramingMethod;
use Apron\Judgement\Rule\InsideSurface;
use Apron\Judgement\Rule\InwardDrive;
use Apron\Judgement\Rule\NailBase;
use Apron\Judgement\Rule\RoofExteriorInsulation;
use Apron\Judgement\Rule\SteadyCondensation;
use Apron\Judgement\Rule\TightOverFilm;
use Apron\Judgement\Rule\WallExteriorInsulation;

/** Every rule of an assembly, in the order in which they are told. */
final class Rules
{
    private const ALL = [
        FramingMethod::class,
        ControlLayers::class,
        SteadyCondensation::class,
        CondensationYear::class,
        InsideSurface::class,
        WallExteriorInsulation::class,
        RoofExteriorInsulation::class,
        ColdPlane::class,
        DoubleBarriers::class,
        InwardDrive::class,
        TightOverFilm::class,
        DryingLayers::class,
        ClosedFoam::class,
        NailBase::class,
        FiguresFromMemory::class,
    ];

    /** @return list<Rule> */
    public static function all(): array
    {
        /** @var list<Rule>|null $all */
        static $all = null;

        return $all ??= array_map(fn (string $rule): Rule => new $rule, self::ALL);
    }
}

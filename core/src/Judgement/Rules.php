<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Judgement\Rule\BuiltInWater;
use Apron\Judgement\Rule\ClosedFoam;
use Apron\Judgement\Rule\ColdPlane;
use Apron\Judgement\Rule\CondensationYear;
use Apron\Judgement\Rule\ControlLayers;
use Apron\Judgement\Rule\DrainedOut;
use Apron\Judgement\Rule\DryingLayers;
use Apron\Judgement\Rule\DryingReserve;
use Apron\Judgement\Rule\FiguresFromMemory;
use Apron\Judgement\Rule\FramingMethod;
use Apron\Judgement\Rule\HeatBridges;
use Apron\Judgement\Rule\HumidFaces;
use Apron\Judgement\Rule\InsideSurface;
use Apron\Judgement\Rule\InwardDrive;
use Apron\Judgement\Rule\MasonryInsulatedInside;
use Apron\Judgement\Rule\NailBase;
use Apron\Judgement\Rule\OutsideInGround;
use Apron\Judgement\Rule\RoofExteriorInsulation;
use Apron\Judgement\Rule\RoomCapped;
use Apron\Judgement\Rule\SteadyCondensation;
use Apron\Judgement\Rule\UndrainedCladding;
use Apron\Judgement\Rule\WallRetarder;
use Apron\Judgement\Rule\WarmAirInward;
use Apron\Judgement\Rule\WetOuterFace;
use Apron\Judgement\Rule\WoolBelowGrade;

/**
 * Every rule of an assembly, in the order in which they are told: what water and heat do to it first, what nobody has
 * named yet last.
 */
final class Rules
{
    private const ALL = [
        CondensationYear::class,
        HumidFaces::class,
        DryingReserve::class,
        BuiltInWater::class,
        InsideSurface::class,
        WallRetarder::class,
        RoofExteriorInsulation::class,
        ColdPlane::class,
        WarmAirInward::class,
        InwardDrive::class,
        UndrainedCladding::class,
        DrainedOut::class,
        WoolBelowGrade::class,
        OutsideInGround::class,
        MasonryInsulatedInside::class,
        DryingLayers::class,
        SteadyCondensation::class,
        WetOuterFace::class,
        RoomCapped::class,
        HeatBridges::class,
        FramingMethod::class,
        ClosedFoam::class,
        NailBase::class,
        ControlLayers::class,
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

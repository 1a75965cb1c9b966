<?php

namespace Apron\Sequence;

/** Every way of dressing an opening that is built, and every other detail. */
final class Generators
{
    private const OPENINGS = [
        FlangedUnitInFastenedSheet::class, FlangedUnitOverUnderSillSheet::class, FlangedUnitInSelfAdhered::class, FlangedUnitInFluid::class, FlangedUnitInFacedSheathing::class,
        FlangedUnitInTapedInsulation::class, FlangedUnitInFlappedPanels::class, StrappedUnitInFastenedSheet::class, StrappedUnitInSelfAdhered::class, StrappedUnitInFluid::class,
        ThreeStageJoint::class, UnitInBuck::class, UnitInSolidWall::class, DoorWithFlushThreshold::class,
    ];

    private const JOINTS = [
        RoundUnit::class, TriangularUnit::class, RoundPenetration::class, RectangularPenetration::class, WallCorner::class, BoardJoint::class, MovementJoint::class, SheathingToFoundation::class,
        BelowGradeToWall::class, SillPlate::class, OverhangingFoot::class, WallToRoof::class, Parapet::class, ApronFlashing::class, ThroughWallFlashing::class, SecondPan::class, CladdingBracket::class, DamagePatch::class,
    ];

    /** @return array<string, Generator> by name: openings first, as the words list them */
    public static function all(): array
    {
        /** @var array<string, Generator> $all */
        static $all = [];
        if ($all === []) {
            foreach ([...self::OPENINGS, ...self::JOINTS] as $class) {
                $all[$class::NAME] = new $class;
            }
        }

        return $all;
    }

    public static function named(string $name): ?Generator
    {
        return self::all()[$name] ?? null;
    }
}

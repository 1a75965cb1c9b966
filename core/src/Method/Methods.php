<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Brief\Brief;
use Apron\Detail\Detail;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Generator;
use Apron\Junction\ApronFlashing;
use Apron\Junction\BelowGradeToWall;
use Apron\Junction\BoardJoint;
use Apron\Junction\CladdingBracket;
use Apron\Junction\DamagePatch;
use Apron\Junction\MissedScrew;
use Apron\Junction\MovementJoint;
use Apron\Junction\OverhangingFoot;
use Apron\Junction\PanelJoint;
use Apron\Junction\Parapet;
use Apron\Junction\PipeThroughBoard;
use Apron\Junction\RectangularPenetration;
use Apron\Junction\RoundPenetration;
use Apron\Junction\SecondPan;
use Apron\Junction\SheathingToFoundation;
use Apron\Junction\SillPlate;
use Apron\Junction\ThroughWallFlashing;
use Apron\Junction\WallCorner;
use Apron\Junction\WallToRoof;
use Apron\Material\Materials;
use Apron\Opening\DoorWithFlushThreshold;
use Apron\Opening\DressedOpening;
use Apron\Opening\FlangedUnitInFacedSheathing;
use Apron\Opening\FlangedUnitInFastenedSheet;
use Apron\Opening\FlangedUnitInFlappedPanels;
use Apron\Opening\FlangedUnitInFluid;
use Apron\Opening\FlangedUnitInSelfAdhered;
use Apron\Opening\FlangedUnitInTapedInsulation;
use Apron\Opening\FlangedUnitInTwoPlanes;
use Apron\Opening\FlangedUnitOverUnderSillSheet;
use Apron\Opening\RoundUnit;
use Apron\Opening\StrappedUnitInFastenedSheet;
use Apron\Opening\StrappedUnitInFluid;
use Apron\Opening\StrappedUnitInSelfAdhered;
use Apron\Opening\ThreeStageJoint;
use Apron\Opening\TriangularUnit;
use Apron\Opening\UnitInBuck;
use Apron\Opening\UnitInSolidWall;
use Apron\Opening\UnitInTwoPlanes;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Schools;

/** Every way of dressing an opening that is built, and every other detail. */
final class Methods
{
    private const OPENINGS = [
        FlangedUnitInFastenedSheet::class,
        FlangedUnitOverUnderSillSheet::class,
        FlangedUnitInSelfAdhered::class,
        FlangedUnitInFluid::class,
        FlangedUnitInFacedSheathing::class,
        FlangedUnitInTapedInsulation::class,
        FlangedUnitInFlappedPanels::class,
        StrappedUnitInFastenedSheet::class,
        StrappedUnitInSelfAdhered::class,
        StrappedUnitInFluid::class,
        ThreeStageJoint::class,
        UnitInBuck::class,
        UnitInSolidWall::class,
        DoorWithFlushThreshold::class,
        UnitInTwoPlanes::class,
        FlangedUnitInTwoPlanes::class,
    ];

    private const JOINTS = [
        RoundUnit::class,
        TriangularUnit::class,
        RoundPenetration::class,
        RectangularPenetration::class,
        WallCorner::class,
        BoardJoint::class,
        PanelJoint::class,
        MovementJoint::class,
        SheathingToFoundation::class,
        BelowGradeToWall::class,
        SillPlate::class,
        OverhangingFoot::class,
        WallToRoof::class,
        Parapet::class,
        ApronFlashing::class,
        ThroughWallFlashing::class,
        SecondPan::class,
        PipeThroughBoard::class,
        CladdingBracket::class,
        DamagePatch::class,
        MissedScrew::class,
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

    /** @return list<string> the names of those that dress an opening */
    public static function openings(): array
    {
        return array_map(fn (string $class): string => $class::NAME, [
            ...self::OPENINGS,
            RoundUnit::class,
            TriangularUnit::class,
        ]);
    }

    /**
     * What the project has already settled and a method asks: its wind, and the schools it chose. How deep a unit sits
     * follows from its opening.
     *
     * @param  array<string, string>  $schools  question => choice
     * @param  float|null  $headOfWater  mm
     * @param  array<string, float|string>  $stated  of the opening itself
     * @return array<string, float|string> parameters
     */
    public static function settled(
        Generator $generator,
        array $schools,
        ?float $headOfWater,
        array $stated = [],
        UnitSystem $units = UnitSystem::SI,
    ): array {
        $takes = array_column($generator->parameters(), 'of', 'name');
        $settled =
            isset($takes['head_of_water_mm']) && $headOfWater !== null ? ['head_of_water_mm' => $headOfWater] : [];
        foreach ($schools as $question => $answer) {
            $name = str_replace('-', '_', $question);
            if (in_array($answer, $takes[$name] ?? [], true)) {
                $settled[$name] = $answer;
            }
            // They speak of flashing an opening: a strip elsewhere may be another thing.
            $settled +=
                $generator instanceof DressedOpening
                    ? array_intersect_key(Schools::materials($question, $answer), $takes)
                    : [];
        }
        $usual = array_column($generator->parameters(), 'value', 'name');
        [$depth, $frame] = [
            $stated['depth_mm'] ?? null,
            $stated['frame_depth_mm'] ?? ($usual['frame_depth_mm'] ?? null),
        ];
        // Behind a board of its own the unit stays at the sheathing.
        if (
            isset($takes['setback_mm'], $schools['unit-depth']) &&
            ! isset($takes['insulation_mm']) &&
            is_float($depth) &&
            is_float($frame)
        ) {
            $setback = UnitDepths::setback($schools['unit-depth'], $depth, $frame);
            $settled += $setback === null ? [] : ['setback_mm' => $setback];
        }

        return $settled + ($units === UnitSystem::US ? $generator->inInches() : []);
    }

    /**
     * A detail by a method from what is given, the rest as the project has settled it.
     *
     * @param  string|null  $method  the most usual one where null
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate
     */
    public static function make(
        ?string $method,
        string $id,
        string $title,
        array $given,
        Brief $brief,
        Materials $materials,
    ): Detail {
        $method ??= FlangedUnitInFastenedSheet::NAME;
        $generator = self::named($method) ?? throw new CannotGenerate('generator', $method, 'a method there is');
        $settled = self::settled($generator, $brief->schools, $brief->headOfWater(), $given, $brief->units);

        return $generator->make($id, $title, $given + $settled, $materials);
    }

    public static function named(string $name): ?Generator
    {
        return self::all()[$name] ?? null;
    }
}

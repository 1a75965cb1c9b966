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
use Apron\Junction\TemporaryTie;
use Apron\Junction\ThroughWallFlashing;
use Apron\Junction\WallCorner;
use Apron\Junction\WallToMasonry;
use Apron\Junction\WallToRoof;
use Apron\Material\Materials;
use Apron\Opening\ComposedOpening;
use Apron\Opening\Presets;
use Apron\Opening\RoundOutline;
use Apron\Opening\ShapedUnit;
use Apron\Opening\TriangularOutline;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Schools;

/** Every way of dressing an opening that is built, and every other detail. */
final class Methods
{
    private const JOINTS = [
        RoundPenetration::class,
        RectangularPenetration::class,
        WallCorner::class,
        BoardJoint::class,
        PanelJoint::class,
        MovementJoint::class,
        WallToMasonry::class,
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
        TemporaryTie::class,
    ];

    /** @return array<string, Generator> by name: openings first, as the words list them */
    public static function all(): array
    {
        /** @var array<string, Generator> $all */
        static $all = [];
        if ($all === []) {
            $all = Presets::all();
            foreach ([new RoundOutline, new TriangularOutline] as $outline) {
                $all[$outline->name()] = new ShapedUnit($outline);
            }
            foreach (self::JOINTS as $class) {
                $all[$class::NAME] = new $class;
            }
        }

        return $all;
    }

    /** @return list<string> the names of those that dress an opening */
    public static function openings(): array
    {
        return [...array_keys(Presets::all()), (new RoundOutline)->name(), (new TriangularOutline)->name()];
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
        $settled = self::ofSchools($generator, $schools, $stated);
        $parameters = $generator->parameters($stated + $settled);
        $usual = array_column($parameters, 'value', 'name');
        if (array_key_exists('head_of_water_mm', $usual) && $headOfWater !== null) {
            $settled['head_of_water_mm'] = $headOfWater;
        }
        [$depth, $frame] = [
            $stated['depth_mm'] ?? null,
            $stated['frame_depth_mm'] ?? ($usual['frame_depth_mm'] ?? null),
        ];
        // Behind a board of its own the unit stays at the sheathing.
        if (
            isset($usual['setback_mm'], $schools['unit-depth']) &&
            ! isset($usual['insulation_mm']) &&
            is_float($depth) &&
            is_float($frame)
        ) {
            $setback = UnitDepths::setback($schools['unit-depth'], $depth, $frame);
            $settled += $setback === null ? [] : ['setback_mm' => $setback];
        }

        return $settled + ($units === UnitSystem::US ? $generator->inInches($stated + $settled) : []);
    }

    /**
     * The choices and materials that follow from the schools: a choice where the method's own answer is one of the
     * school's, so that no buck comes into an opening that has none.
     *
     * @param  array<string, string>  $schools
     * @param  array<string, float|string>  $stated
     * @return array<string, string>
     */
    private static function ofSchools(Generator $generator, array $schools, array $stated): array
    {
        $settled = [];
        foreach ($schools as $question => $answer) {
            $name = str_replace('-', '_', $question);
            $parameters = $generator->parameters($stated + $settled);
            $takes = array_column($parameters, 'of', 'name');
            $usual = array_column($parameters, 'value', 'name')[$name] ?? null;
            $answers = is_string($usual) ? array_column(self::answersOf($question), 'value') : [];
            $fixed = $generator instanceof ComposedOpening && $generator->isA($name);
            $asked = ! isset($stated[$name]) && ! $fixed && in_array($usual, $answers, true);
            if ($asked && in_array($answer, $takes[$name] ?? [], true)) {
                $settled[$name] = $answer;
            }
            // They speak of flashing an opening: a strip elsewhere may be another thing.
            $settled +=
                $generator instanceof ComposedOpening
                    ? array_intersect_key(Schools::materials($question, $answer), $takes)
                    : [];
        }

        return $settled;
    }

    /** @return list<array{value: string, title: string}> what a school may be answered with */
    private static function answersOf(string $question): array
    {
        foreach (Schools::all() as $school) {
            if ($school['question'] === $question) {
                return $school['of'];
            }
        }

        return [];
    }

    /**
     * A detail by a method from what is given, the rest as the project has settled it.
     *
     * @param  string|null  $method  the most usual one where null
     * @param  array<string, float|string>  $given
     * @param  Wall|null  $wall  it stands in, which gives what is not given here
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
        ?Wall $wall = null,
    ): Detail {
        $method ??= Presets::USUAL;
        $generator = self::named($method) ?? throw new CannotGenerate('generator', $method, 'a method there is');
        $given += (new InWall($generator, $given, $wall))->given();
        $settled = self::settled($generator, $brief->schools, $brief->headOfWater(), $given, $brief->units);

        return $generator->make($id, $title, $given + $settled, $materials);
    }

    public static function named(string $name): ?Generator
    {
        return self::all()[$name] ?? null;
    }
}

<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Climate\Climate;
use Apron\Climate\HourlyYear;
use Apron\Climate\WeatherFormat;
use Apron\Json\Node;
use Apron\Project\LongDocument;
use Apron\Project\OneSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Told;
use Apron\Rules\Words;

/**
 * The hours that a weather file brought: one document; null where the project has none.
 *
 * @extends OneSection<HourlyYear>
 */
final class WeatherSection extends OneSection implements LongDocument
{
    public function kind(): string
    {
        return 'weather';
    }

    public function definition(): string
    {
        return 'Weather';
    }

    public function read(Node $file, Reading $reading): ?HourlyYear
    {
        $node = $file->optional($this->section());

        return $node === null
            ? null
            : $reading->rows->one($this->section(), $node, fn (): HourlyYear => WeatherFormat::read($node));
    }

    public function write(Project $project): array
    {
        $year = $project->of(self::class);

        return $year === null ? [] : [$this->section() => WeatherFormat::write($year)];
    }

    public function standsOn(\stdClass $content): array
    {
        return [];
    }

    public function shortened(\stdClass $content): \stdClass
    {
        $short = clone $content;
        unset($short->hours);

        return $short;
    }

    /** The climate of the brief, with its hours where they are kept: those of another say nothing of this one. */
    public static function climate(Project $project): ?Climate
    {
        $climate = $project->brief->climate;
        $year = $project->of(self::class);

        return $climate !== null && $year !== null && $year->name === $climate->name
            ? $climate->withHours($year)
            : $climate;
    }

    public function findings(Project $project): array
    {
        return [];
    }

    public function told(Project $project, string $key, Words $words): ?Told
    {
        return $project->of(self::class) === null ? null : new Told([], [], [], title: 'the hours of its weather');
    }
}

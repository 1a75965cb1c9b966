<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Contact\Contacts;
use Apron\Contact\PieceContacts;
use Apron\Detail\Detail;
use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Detail\Layout;
use Apron\Inspection\DetailChecks;
use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Method\InWall;
use Apron\Method\Methods;
use Apron\Method\Wall;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Rules\Finding;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;
use Apron\Trace\Rain;
use Apron\Trace\Releases;
use Apron\Trace\RunsInARing;
use Apron\Trace\School;

/**
 * Details that the file gives piece by piece.
 *
 * @extends ListSection<Detail>
 */
final class DetailsSection extends ListSection
{
    public function kind(): string
    {
        return 'detail';
    }

    public function section(): string
    {
        return 'details';
    }

    public function figuresIn(): string
    {
        return 'details';
    }

    /** The path of every strip of every detail is most of an assessment, and long to put in words. */
    public function figuresAreShort(): bool
    {
        return false;
    }

    public function definition(): string
    {
        return 'Detail';
    }

    /**
     * An opening of the schedule becomes a detail when a piece of it is changed by hand, and one again when that is
     * undone, under the key it had.
     */
    public function sharing(): array
    {
        return ['detail', 'opening'];
    }

    public function replace(array $file, ?string $key, Node $content): array
    {
        return ['openings' => self::without($file['openings'] ?? [], $key)] + parent::replace($file, $key, $content);
    }

    protected function readRow(Node $node, Reading $reading): Detail
    {
        $detail = DetailFormat::read($node, $reading->materials());
        if ($detail->opening !== null && $detail->folds !== []) {
            self::demandFoot($node->get('folds'), $detail);
        }

        return $detail;
    }

    /**
     * Folds of one's own on an opening, whose facets lead into each other by themselves, must not close a ring with
     * them.
     */
    private static function demandFoot(Node $folds, Detail $detail): void
    {
        try {
            Releases::of(new Rain(new Layout($detail)));
        } catch (RunsInARing $ring) {
            $folds->refuse('folds that lead water to a foot', $ring->getMessage());
        }
    }

    protected function writeRow(object $row): array
    {
        return DetailWriter::write($row);
    }

    protected function title(object $row): string
    {
        return $row->title;
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function assess(Project $project, object $row): DetailAssessment
    {
        return new DetailAssessment($row, School::of($project->brief->schools), self::inWall($project, $row));
    }

    /**
     * A detail is kept piece by piece and does not follow its wall by itself: what it was made for and the wall no
     * longer is, is said.
     *
     * @return list<Finding>
     */
    public static function inWall(Project $project, Detail $row): array
    {
        $method = Methods::named($row->generated->generator ?? '');
        if ($method === null || $row->generated === null) {
            return [];
        }
        foreach ($project->assemblies as $assembly) {
            if ($assembly->id === ($row->between[0] ?? null)) {
                $wall = Wall::of($assembly);

                return (new InWall($method, $row->generated->parameters, $wall))->findings("details/$row->id");
            }
        }

        return [];
    }

    protected function materials(object $row): array
    {
        return $row->materials();
    }

    protected function contacts(Project $project, object $row): Contacts
    {
        return self::contactsOf($project, $row, $row->between);
    }

    /**
     * What touches in a detail; what it lies on is that of the wall it stands in.
     *
     * @param  list<string>  $between
     */
    public static function contactsOf(Project $project, Detail $detail, array $between): Contacts
    {
        return PieceContacts::of($detail, self::substrate($project, $detail, $between));
    }

    /**
     * What the wall has under the pieces, by facet: under its plane, and at the sides of the hole.
     *
     * @param  list<string>  $between
     * @return array<string, Material>
     */
    public static function substrate(Project $project, Detail $detail, array $between): array
    {
        $wall = null;
        foreach ($project->assemblies as $assembly) {
            $wall = $assembly->id === ($between[0] ?? null) ? Wall::of($assembly) : $wall;
        }
        $sides = $detail->opening === null ? [] : ['sill', 'jamb-left', 'jamb-right', 'head'];

        return array_filter(['face' => $wall?->substrate] + array_fill_keys($sides, $wall?->reveal));
    }

    protected function checks(Project $project, object $row): array
    {
        return DetailChecks::of($row);
    }
}

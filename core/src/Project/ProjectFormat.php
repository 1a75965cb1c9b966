<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Rows;
use Apron\Json\Written;
use Apron\Material\Catalogue;

/** The one door: a project file in, a Project out, and back; each section reads and writes its own. */
final class ProjectFormat
{
    public const FORMAT = 'apron-project/1';

    /** @throws FileRefused */
    public static function parse(string $json, Catalogue $catalogue, ?Sections $sections = null): Project
    {
        return self::read(Node::parse($json), $catalogue, $sections);
    }

    /** A file as somebody brings it: one part that cannot be used refuses it. @throws FileRefused */
    public static function read(Node $node, Catalogue $catalogue, ?Sections $sections = null): Project
    {
        return self::readSections($node, new Reading(Rows::refusing(), $catalogue), $sections ?? Sections::usual());
    }

    /**
     * What is stored of a project, parts of which a later release may no longer read: those are named in `broken` and
     * left out.
     */
    public static function stored(Node $node, Catalogue $catalogue, ?Sections $sections = null): Project
    {
        return self::readSections($node, new Reading(Rows::settingAside(), $catalogue), $sections ?? Sections::usual());
    }

    private static function readSections(Node $node, Reading $reading, Sections $sections): Project
    {
        $node->object(['format', ...$sections->keys()], ['format', 'project']);
        $node->get('format')->word([self::FORMAT]);
        foreach ($sections->all as $section) {
            $reading->add($section::class, $section->read($node, $reading));
        }

        return new Project($sections, $reading);
    }

    public static function write(Project $project): string
    {
        return Written::json(self::document($project));
    }

    /** @return array<string, mixed> */
    public static function document(Project $project): array
    {
        $document = ['format' => self::FORMAT];
        foreach ($project->sections->all as $section) {
            $document += $section->write($project);
        }

        return $document;
    }
}

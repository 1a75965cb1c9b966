<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Document;
use App\Models\Project;
use Apron\Json\Broken;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Project\DocumentSection;
use Apron\Project\ListSection;
use Apron\Project\Project as CoreProject;
use Apron\Project\ProjectFormat;
use Illuminate\Support\Collection;

/** A document's new content as the file writes it, once it and all that stands on it have been read. */
final class CanonicalContent
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    /**
     * @param  DocumentSection<mixed>  $section
     * @return array{array<string, mixed>, CoreProject} the content, and the part of the project it was read in
     *
     * @throws FileRefused also where something that stands on it would no longer read
     */
    public function of(Project $project, DocumentSection $section, string $key, Node $content): array
    {
        $base = $this->stored->base($project);
        $wide = $this->standsUnderOthers($section, $base, $key, $content);
        $raw = $content->raw();
        $walls = $raw instanceof \stdClass ? $this->stored->walls($project, [[$section->kind(), $raw]]) : [];
        $file = $this->stored->file($project, $wide ? $project->documents()->get() : [...$base, ...$walls]);
        $drafted = $section->replace($file, $key, $content);
        $this->demandOwnId($section, $key, $content);
        $read = $this->stored->refusing($wide ? $this->baseOf($drafted) : $drafted);
        if ($wide) {
            $this->demandNoneBroken(self::brokenNames($this->stored->read($file)), $this->stored->read($drafted));
        }
        $written = $section->documents(ProjectFormat::document($read));

        return [$written[$key] ?? reset($written) ?: [], $read];
    }

    /**
     * What stands on a material, and on the brief, is read again with it: nothing else may break by a save.
     *
     * @param  DocumentSection<mixed>  $section
     * @param  Collection<int, Document>  $base
     */
    private function standsUnderOthers(DocumentSection $section, Collection $base, string $key, Node $content): bool
    {
        $stored = $section->isBase()
            ? $base->first(fn (Document $d): bool => $d->kind === $section->kind() && $d->key === $key)
            : null;

        return $stored !== null && self::bearing($stored->decoded()) !== self::bearing($content->raw());
    }

    /** What of a content others stand on: of a brief not its name, its units or the cases to try. */
    private static function bearing(mixed $content): string
    {
        $content = json_decode(json_encode($content, JSON_THROW_ON_ERROR), true);
        unset($content['project']['name'], $content['project']['units'], $content['conditions']);

        return json_encode($content, JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<string, mixed>  $file
     * @return array<string, mixed> what every document stands on, alone
     */
    private function baseOf(array $file): array
    {
        foreach ($this->stored->sections->documents() as $section) {
            $file = $section->isBase() ? $file : array_diff_key($file, $section->schema());
        }

        return $file;
    }

    /** @param  DocumentSection<mixed>  $section */
    private function demandOwnId(DocumentSection $section, string $key, Node $content): void
    {
        $id = $content->optional('id')?->raw();
        if ($section instanceof ListSection && $id !== $key) {
            throw new FileRefused(
                "/{$section->section()}/0/id",
                json_encode($id, JSON_THROW_ON_ERROR),
                "the id “{$key}” it is saved under",
            );
        }
    }

    /** @return array<string, true> what is broken already, which no save is to be blamed for */
    public static function brokenNames(CoreProject $core): array
    {
        return array_fill_keys(array_map(fn (Broken $b): string => "$b->section/$b->id", $core->broken), true);
    }

    /**
     * @param  array<string, true>  $before
     *
     * @throws FileRefused
     */
    public static function demandNoneBroken(array $before, CoreProject $core): void
    {
        foreach ($core->broken as $broken) {
            if (! isset($before["$broken->section/$broken->id"])) {
                throw new FileRefused(
                    "/$broken->section/$broken->id",
                    "{$broken->why->value} ({$broken->why->pointer})",
                    $broken->why->expected,
                );
            }
        }
    }
}

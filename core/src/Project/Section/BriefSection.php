<?php

declare(strict_types=1);

namespace Apron\Project\Section;

use Apron\Brief\Brief;
use Apron\Brief\BriefFormat;
use Apron\Json\Node;
use Apron\Project\DocumentSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Project\Told;
use Apron\Rules\Words;

/**
 * The brief: one document that is several keys of the file.
 *
 * @implements DocumentSection<Brief>
 */
final class BriefSection implements DocumentSection
{
    public function kind(): string
    {
        return 'brief';
    }

    public function definition(): string
    {
        return 'BriefContent';
    }

    public function section(): string
    {
        return 'brief';
    }

    public function schema(): array
    {
        return [
            'project' => ['$ref' => '#/$defs/ProjectHead'],
            'climate' => ['$ref' => '#/$defs/Climate'],
            'indoor' => ['$ref' => '#/$defs/IndoorAir'],
            'conditions' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/Condition']],
        ];
    }

    public function read(Node $file, Reading $reading): Brief
    {
        return BriefFormat::read($file, $reading->rows);
    }

    public function write(Project $project): array
    {
        return BriefFormat::write($project->brief);
    }

    public function findings(Project $project): array
    {
        return [];
    }

    public function standsOn(\stdClass $content): array
    {
        return [];
    }

    public function isBase(): bool
    {
        return true;
    }

    public function sharing(): array
    {
        return [$this->kind()];
    }

    public function place(array $file, \stdClass $content): array
    {
        /** @var array<string, mixed> $keys */
        $keys = get_object_vars($content);

        return [...$file, ...$keys];
    }

    public function replace(array $file, ?string $key, Node $content): array
    {
        $content->object(BriefFormat::KEYS, ['project']);

        /** @var array<string, mixed> $keys */
        $keys = (array) $content->raw();

        return [...array_diff_key($file, array_flip(BriefFormat::KEYS)), ...$keys];
    }

    public function documents(array $file): array
    {
        return [$this->kind() => array_intersect_key($file, array_flip(BriefFormat::KEYS))];
    }

    public function told(Project $project, string $key, Words $words): Told
    {
        $months = $project->brief->months();

        return new Told(figures: $months === null ? [] : ['climate' => ['months' => $months]]);
    }
}

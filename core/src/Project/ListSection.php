<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Contact\Contacts;
use Apron\Inspection\Check;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Rules\Assessed;
use Apron\Rules\Words;

/**
 * A list of things with ids, each a document of its own.
 *
 * @template TRow of object{id: string}
 *
 * @implements DocumentSection<array<string, TRow>>
 */
abstract class ListSection implements DocumentSection
{
    /** The list in the file, and what of `apron-assessment/1` its rows stand in unless `told` says otherwise. */
    abstract public function section(): string;

    /**
     * @return TRow
     *
     * @throws FileRefused
     */
    abstract protected function readRow(Node $node, Reading $reading): object;

    /**
     * @param  TRow  $row
     * @return array<string, mixed>
     */
    abstract protected function writeRow(object $row): array;

    /** @return array<string, TRow> by id */
    abstract public function rows(Project $project): array;

    /**
     * @param  TRow  $row
     * @return Assessed|null null where nothing is said of a row
     */
    protected function assess(Project $project, object $row): ?Assessed
    {
        return null;
    }

    /** The list of `apron-assessment/1` that figures of its rows stand in. */
    public function figuresIn(): ?string
    {
        return null;
    }

    /** Whether figures of its rows are short enough to be kept and sent with the findings of a project. */
    public function figuresAreShort(): bool
    {
        return true;
    }

    /** @return list<Assessed> its rows, in their order */
    public function assessed(Project $project): array
    {
        return array_values(
            array_filter(
                array_map(fn (object $row): ?Assessed => $this->assess($project, $row), $this->rows($project)),
            ),
        );
    }

    /** @return array<string, Material> what its rows are made of, by id */
    public function used(Project $project): array
    {
        $used = [];
        foreach ($this->rows($project) as $row) {
            $used += $this->materials($row);
        }

        return $used;
    }

    /**
     * @param  TRow  $row
     * @return array<string, Material> what it is made of, by id
     */
    protected function materials(object $row): array
    {
        return [];
    }

    /** @param  TRow  $row */
    protected function title(object $row): string
    {
        return $row->id;
    }

    /**
     * What touches in a row.
     *
     * @param  TRow  $row
     */
    protected function contacts(Project $project, object $row): Contacts
    {
        return new Contacts;
    }

    /** @return list<Contacts> what touches in each of its rows, in their order */
    public function touching(Project $project): array
    {
        return array_values(
            array_map(
                fn (object $row): Contacts => $this->contacts($project, $row)->in($project->settled()),
                $this->rows($project),
            ),
        );
    }

    /**
     * @param  TRow  $row
     * @return list<Check>
     */
    protected function checks(Project $project, object $row): array
    {
        return [];
    }

    public function schema(): array
    {
        return [$this->section() => ['type' => 'array', 'items' => ['$ref' => '#/$defs/'.$this->definition()]]];
    }

    public function read(Node $file, Reading $reading): mixed
    {
        return $reading->rows->byId(
            $this->section(),
            $file->optional($this->section()),
            fn (Node $n): object => $this->readRow($n, $reading),
            $this->taken($reading),
        );
    }

    /** @return array<string, object> rows of other lists whose ids are taken */
    protected function taken(Reading $reading): array
    {
        return [];
    }

    public function write(Project $project): array
    {
        $rows = $this->written($project);

        return $rows === [] ? [] : [$this->section() => array_map($this->writeRow(...), array_values($rows))];
    }

    /** @return array<string, TRow> those that the file gives */
    protected function written(Project $project): array
    {
        return $this->rows($project);
    }

    public function findings(Project $project): array
    {
        return [];
    }

    public function isBase(): bool
    {
        return false;
    }

    public function standsOn(\stdClass $content): array
    {
        $between = $content->between ?? [];

        return is_array($between) ? array_values(array_filter($between, is_string(...))) : [];
    }

    public function sharing(): array
    {
        return [$this->kind()];
    }

    public function place(array $file, \stdClass $content): array
    {
        /** @var list<mixed> $rows */
        $rows = $file[$this->section()] ?? [];
        // Let go first, so that adding to a long list does not copy it each time.
        unset($file[$this->section()]);
        $rows[] = $content;

        return [...$file, $this->section() => $rows];
    }

    public function replace(array $file, ?string $key, Node $content): array
    {
        $raw = $content->raw();
        if (! ($raw instanceof \stdClass)) {
            $content->refuse('an object');
        }
        $file[$this->section()] = [$raw, ...self::without($file[$this->section()] ?? [], $key)];

        return $file;
    }

    /**
     * @param  mixed  $rows  of a list as decoded
     * @return list<mixed> all but the one of an id
     */
    public static function without(mixed $rows, ?string $id): array
    {
        return array_values(
            array_filter(
                is_array($rows) ? $rows : [],
                fn (mixed $row): bool => ! ($row instanceof \stdClass) || ($row->id ?? null) !== $id,
            ),
        );
    }

    public function documents(array $file): array
    {
        $documents = [];
        foreach ((array) ($file[$this->section()] ?? []) as $row) {
            /** @var array{id: string} $row */
            $documents[$row['id']] = $row;
        }

        return $documents;
    }

    public function told(Project $project, string $key, Words $words): ?Told
    {
        $row = $this->rows($project)[$key] ?? null;
        if ($row === null) {
            return null;
        }
        $assessed = $this->assess($project, $row);
        $figures =
            $assessed !== null && $this->figuresIn() !== null && $this->figuresAreShort()
                ? [$this->figuresIn() => $assessed->toArray($words)]
                : [];

        return new Told(
            [
                ...$assessed?->findings() ?? [],
                ...$this->contacts($project, $row)->in($project->settled())->findings(),
            ],
            $figures,
            array_map(strval(...), array_keys($this->materials($row))),
            $this->checks($project, $row),
            $this->title($row),
        );
    }
}

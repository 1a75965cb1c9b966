<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Json\Node;

/**
 * A section that is one document, or none: its key in the file is its kind, and its key among the documents.
 *
 * @template T
 *
 * @implements DocumentSection<T|null>
 */
abstract class OneSection implements DocumentSection
{
    public function section(): string
    {
        return $this->kind();
    }

    public function schema(): array
    {
        return [$this->section() => ['$ref' => "#/\$defs/{$this->definition()}"]];
    }

    public function isBase(): bool
    {
        return false;
    }

    public function sharing(): array
    {
        return [$this->kind()];
    }

    public function place(array $file, \stdClass $content): array
    {
        return [...$file, $this->section() => $content];
    }

    public function replace(array $file, ?string $key, Node $content): array
    {
        return [...$file, $this->section() => $content->raw()];
    }

    public function documents(array $file): array
    {
        $document = $file[$this->section()] ?? null;

        /** @var array<string, mixed>|null $document */
        return $document === null ? [] : [$this->kind() => $document];
    }
}

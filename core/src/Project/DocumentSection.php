<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Rules\Words;

/**
 * A section that people edit: the brief, which is one document, or a list, each row of which is one.
 *
 * @template-covariant T
 *
 * @extends Section<T>
 */
interface DocumentSection extends Section
{
    /** What one of its documents is called: in storage, in addresses and on the wire. */
    public function kind(): string;

    /** Whether every other document is read with it. */
    public function isBase(): bool;

    /**
     * @param  \stdClass  $content  of one of its documents
     * @return list<string> ids of the assemblies it is read with
     */
    public function standsOn(\stdClass $content): array;

    /** @return list<string> kinds whose ids are one list with its own, itself among them */
    public function sharing(): array;

    /**
     * @param  array<string, mixed>  $file  sections of a file as decoded
     * @return array<string, mixed> with a stored document of this kind in it, after those that are there
     */
    public function place(array $file, \stdClass $content): array;

    /**
     * @param  array<string, mixed>  $file  as decoded
     * @return array<string, mixed> with a new content in the place of what stood under the key. It goes first, so that
     *   a refusal points at
     *   place 0 of its list and not at a neighbour.
     *
     * @throws FileRefused
     */
    public function replace(array $file, ?string $key, Node $content): array;

    /**
     * @param  array<string, mixed>  $file  as written
     * @return array<string, array<string, mixed>> its documents by key, in their order
     */
    public function documents(array $file): array;

    /** The name of one document's schema among the definitions. */
    public function definition(): string;

    /** What is said of one document; null where the project has none of that key. */
    public function told(Project $project, string $key, Words $words): ?Told;

    /** The name a part that cannot be read is given in `broken`, and the first word of the subjects of its findings. */
    public function section(): string;
}

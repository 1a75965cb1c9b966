<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Rules\Finding;

/**
 * One section of the project file. A section is one class, named once in Sections: the reader, the writer, the
 * assessment, what is stored and the description of the file are built from that list.
 *
 * @template-covariant T what it is once it is read
 */
interface Section
{
    /**
     * @return array<string, array<string, mixed>> keys it has at the top of the file, in their order, each with its
     *   JSON schema
     */
    public function schema(): array;

    /**
     * @param  Node  $file  the whole file
     * @param  Reading  $reading  the sections before this one, and how what cannot be read is taken
     * @return T
     *
     * @throws FileRefused
     */
    public function read(Node $file, Reading $reading): mixed;

    /** @return array<string, mixed> by key of the file; what is empty is left out */
    public function write(Project $project): array;

    /** @return list<Finding> what is said of the section as a whole; what is said of one of its rows the row says */
    public function findings(Project $project): array;
}

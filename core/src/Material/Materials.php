<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\Node;

/** What a project can build with: its own materials, and behind them the catalogue. */
final class Materials
{
    /** @param  array<string, Material>  $own by id, a catalogue row of the same id replaced whole */
    public function __construct(public readonly array $own, public readonly Catalogue $catalogue)
    {
    }

    public function find(string $id): ?Material
    {
        return $this->own[$id] ?? $this->catalogue->find($id);
    }

    /** @throws \Apron\Json\FileRefused where neither the project nor the catalogue has it */
    public function named(Node $node): Material
    {
        return $this->find($node->id()) ?? $node->refuse('the id of a material in “materials” or the catalogue');
    }
}

<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\CoreData;
use Apron\Json\Node;

/** The generic materials that ship with Apron, read when first asked for. */
final class Catalogue
{
    /** @var array<string, Node> */
    private array $rows = [];

    /** @var array<string, Material> */
    private array $read = [];

    public readonly string $version;

    public function __construct(?string $file = null)
    {
        $node = $file === null ? CoreData::read('materials') : Node::parse((string) file_get_contents($file));
        $node = $node->object(['version', 'note', 'materials']);
        $this->version = $node->get('version')->text();
        foreach ($node->get('materials')->items(1) as $row) {
            $this->rows[$row->get('id')->id()] = $row;
        }
    }

    public function find(string $id): ?Material
    {
        return isset($this->rows[$id]) ? ($this->read[$id] ??= MaterialFormat::read($this->rows[$id])) : null;
    }

    /** @return list<Material> in the catalogue's order */
    public function all(): array
    {
        return array_map(
            fn (string $id): Material => $this->find($id) ?? throw new \LogicException,
            array_keys($this->rows),
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** What was used instead, and where: for that place alone. */
final readonly class Substituted
{
    /** a layer of an assembly, or a piece of a detail */
    public const PLACE = '~^(assemblies)/([^/\s]+)/layers/([^/\s]+)$|^(details)/([^/\s]+)/pieces/([^/\s]+)$~D';

    public function __construct(
        /** path of the project file: `assemblies/w1/layers/l2`, `details/o4/pieces/pan` */
        public string $place,
        /** the id of a material */
        public string $material,
    ) {
    }

    /** @return array{list: string, id: string, part: string} the list of the file, the row of it, the layer or piece */
    public function parts(): array
    {
        [$list, $id, , $part] = explode('/', $this->place) + ['', '', '', ''];

        return ['list' => $list, 'id' => $id, 'part' => $part];
    }
}

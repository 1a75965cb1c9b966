<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** The fasteners of one layer of one part. */
final readonly class FastenerRow
{
    /** @param  list<array{float, float, float, int}>  $rows  as they stand: along, lowest, highest, how many */
    public function __construct(
        public string $part,
        public string $assembly,
        public string $layer,
        public int $count,
        /** mm along edges and elsewhere; null where the layer states so many a square metre */
        public ?float $edge,
        public ?float $field,
        /** mm, from the layers and the embedment; null where there is nothing to be embedded in */
        public ?float $length,
        /** whether so long a one is for an engineer to name */
        public bool $isForEngineer,
        public ?string $material,
        public array $rows = [],
    ) {
    }

    /**
     * @param  bool  $drawn  with where they stand
     * @return array<string, mixed>
     */
    public function toArray(bool $drawn): array
    {
        return [
            'part' => $this->part,
            'assembly' => $this->assembly,
            'layer' => $this->layer,
            'count' => $this->count,
            'edge_mm' => $this->edge,
            'field_mm' => $this->field,
            'length_mm' => $this->length,
            'engineer' => $this->isForEngineer,
            'material' => $this->material,
            'rows' => array_map(
                fn (array $row): array => [round($row[0], 1), round($row[1], 1), round($row[2], 1), $row[3]],
                $drawn ? $this->rows : [],
            ),
        ];
    }
}

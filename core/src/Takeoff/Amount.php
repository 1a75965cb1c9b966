<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** How much of one material is drawn, cut and bought. */
final readonly class Amount
{
    /**
     * @param  list<string>  $from  ids of parts, and places of details
     * @param  array<string, float>  $by  gross by part
     * @param  array<string, float|int|string>  $why  how gross follows from net
     */
    public function __construct(
        public string $material,
        public Counted $counted,
        public float $net,
        public float $gross,
        /** what it is bought in */
        public string $unit,
        /** how much of it one of those holds */
        public float $holds,
        public int $count,
        public array $from,
        public array $by,
        public array $why,
    ) {
    }

    public function key(): string
    {
        return sprintf('%s %s %s %.4F', $this->material, $this->counted->value, $this->unit, $this->holds);
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'material' => $this->material,
            'what' => $this->counted->value,
            'unit' => $this->counted->unit(),
            'net' => round($this->net, 4),
            'gross' => round($this->gross, 4),
            'order' => ['unit' => $this->unit, 'holds' => round($this->holds, 4), 'count' => $this->count],
            'from' => $this->from,
            'by' => array_map(fn (string $part, float $gross): array => [
                'part' => $part,
                'gross' => round($gross, 4),
            ], array_map(strval(...), array_keys($this->by)), array_values($this->by)),
            'why' => (object) $this->why,
        ];
    }
}

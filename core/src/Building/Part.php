<?php

declare(strict_types=1);

namespace Apron\Building;

/** One face of what bounds the conditioned space. */
final readonly class Part
{
    public function __construct(
        public string $id,
        public PartKind $kind,
        public Faces $faces,
        /** the id of an assembly; null where none is named */
        public ?string $assembly,
        public string $block,
        /** m² */
        public float $gross,
        public float $net,
        /** the edge that it stands on; null where it is level */
        public ?int $edge = null,
        /** the detail that an opening is made by */
        public ?string $detail = null,
        /** W/(m²K) of an opening, where it is stated */
        public ?float $u = null,
    ) {
    }

    /** The same with an opening taken out of it, m². */
    public function less(float $area): self
    {
        return new self(
            $this->id,
            $this->kind,
            $this->faces,
            $this->assembly,
            $this->block,
            $this->gross,
            $this->net - $area,
            $this->edge,
            $this->detail,
        );
    }

    public function with(float $gross): self
    {
        return new self(
            $this->id,
            $this->kind,
            $this->faces,
            $this->assembly,
            $this->block,
            $gross,
            $gross,
            $this->edge,
        );
    }

    /** Whether the two are one surface, where they lie in one plane. */
    public function isOneWith(self $other): bool
    {
        return $this->kind === $other->kind && $this->faces === $other->faces && $this->assembly === $other->assembly;
    }

    /**
     * What it is called where people read it: `hall side 2 towards porch`, `hall roof`; an opening by the id of its
     * detail.
     */
    public function name(): string
    {
        if ($this->kind === PartKind::Opening) {
            return $this->detail ?? $this->id;
        }
        [$own, $beside] = [...explode('@', $this->id, 2), ''];
        $number = substr((string) strrchr($own, '.'), 1);
        $name = match ($this->kind) {
            PartKind::Wall => "$this->block side $number",
            PartKind::FoundationWall => "$this->block foundation, side $number",
            default => $this->block.' '.$this->kind->value.(is_numeric($number) ? " $number" : ''),
        };
        foreach (explode('@', $beside) as $what) {
            $name .= match (true) {
                $what === '' => '',
                str_starts_with($what, 'stretch-') => ', '.substr($what, strlen('stretch-')),
                default => " towards $what",
            };
        }

        return $name;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name(),
            'kind' => $this->kind->value,
            'faces' => $this->faces->value,
            'assembly' => $this->assembly,
            'gross_m2' => round($this->gross, 4),
            'net_m2' => round($this->net, 4),
        ];
    }
}

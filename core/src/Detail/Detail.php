<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Material\Material;

/** What happens where two parts of the envelope meet: pieces laid on flat facets in an order. */
final readonly class Detail
{
    /**
     * @param  array<string, Facet>  $facets  by name
     * @param  list<Fold>  $folds
     * @param  list<string>  $tolerant  facets whose bare substrate may get wet
     * @param  list<Piece>  $pieces
     * @param  list<Penetration>  $penetrations
     * @param  list<PlacedFastener>  $fasteners
     * @param  list<FramingMember>  $framing
     * @param  list<LeastLap>  $leastLaps
     * @param  list<Step>  $steps
     * @param  list<Gap>  $gaps
     * @param  list<string>  $between
     */
    public function __construct(
        public string $id,
        public string $title,
        public ?OpeningGeometry $opening,
        public array $facets,
        public array $folds,
        public ?string $release,
        public array $tolerant,
        public ?Unit $unit,
        public array $pieces,
        public array $penetrations,
        public array $fasteners,
        public array $framing,
        public array $leastLaps,
        public ?float $panUpturn,
        public array $steps,
        public ?Generated $generated,
        public array $gaps,
        /** ids of the assemblies it stands in or between; none where it stands for itself */
        public array $between = [],
    ) {
    }

    /**
     * The same place with other pieces on it, drawn by hand from here on.
     *
     * @param  list<Piece>  $pieces
     * @param  list<Step>|null  $steps  its own where null
     */
    public function withPieces(array $pieces, ?array $steps = null): self
    {
        return $this->copy($pieces, $steps ?? $this->steps, $this->unit);
    }

    /** With another unit, or one joined otherwise. */
    public function withUnit(Unit $unit): self
    {
        return $this->copy($this->pieces, $this->steps, $unit);
    }

    /** Before its unit is set. */
    public function withoutUnit(): self
    {
        return $this->copy($this->pieces, $this->steps, null);
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Step>  $steps
     */
    private function copy(array $pieces, array $steps, ?Unit $unit): self
    {
        return new self(
            id: $this->id,
            title: $this->title,
            opening: $this->opening,
            facets: $this->facets,
            folds: $this->folds,
            release: $this->release,
            tolerant: $this->tolerant,
            unit: $unit,
            pieces: $pieces,
            penetrations: $this->penetrations,
            fasteners: $this->fasteners,
            framing: $this->framing,
            leastLaps: $this->leastLaps,
            panUpturn: $this->panUpturn,
            steps: $steps,
            generated: null,
            gaps: $this->gaps,
            between: $this->between,
        );
    }

    /** @return array<string, Material> what its pieces are made of, by id */
    public function materials(): array
    {
        $materials = [];
        foreach ($this->pieces as $piece) {
            $materials[$piece->material->id] = $piece->material;
        }
        foreach ($this->fasteners as $fastener) {
            if ($fastener->material !== null) {
                $materials[$fastener->material->id] = $fastener->material;
            }
        }

        return $materials;
    }

    public function piece(string $id): ?Piece
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id === $id) {
                return $piece;
            }
        }

        return null;
    }

    /**
     * The least lap asked of one piece over another, the more specific row winning; null where none speaks of it.
     *
     * @param  list<LeastLap>|null  $laps  another list than its own
     */
    public function leastLap(Piece $outer, Piece $inner, ?array $laps = null): ?LeastLap
    {
        $best = null;
        $rank = 0;
        foreach ($laps ?? $this->leastLaps as $lap) {
            $named = fn (string $name, Piece $piece): int => $name === $piece->id
                ? 2
                : ($name === $piece->kind->value
                    ? 1
                    : 0);
            [$o, $i] = [$named($lap->outer, $outer), $named($lap->inner, $inner)];
            if ($o > 0 && $i > 0 && $o + $i > $rank) {
                [$best, $rank] = [$lap, $o + $i];
            }
        }

        return $best;
    }
}

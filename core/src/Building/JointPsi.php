<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Rules\RuleFigures;

/** What is known of the heat that a joint adds, better than by its class. */
final readonly class JointPsi
{
    public function __construct(
        /** W/(m·K), by lengths in the plane of the air control layer */
        public float $psi,
        /** the section that it was computed in; null where somebody states it */
        public ?string $section = null,
        public bool $isWet = false,
    ) {
    }

    /** `continuous`, `thinned` or `bridged` */
    public function class(): string
    {
        $figures = RuleFigures::of('building');

        return match (true) {
            $this->psi <= $figures->figure('psi_continuous_w_mk') => 'continuous',
            $this->psi <= $figures->figure('psi_thinned_w_mk') => 'thinned',
            default => 'bridged',
        };
    }

    /** What it proves of the heat layer: null where it was only stated, empty where heat goes on, else why not. */
    public function proves(): ?string
    {
        return match (true) {
            $this->section === null => null,
            $this->isWet => "the section $this->section: its inside is wet with the water of the air",
            $this->class() === 'bridged' => "the section $this->section: it loses as much as a bridge",
            default => '',
        };
    }
}

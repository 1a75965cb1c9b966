<?php

declare(strict_types=1);

namespace Apron\Takeoff;

/** What a project settles for how one layer is laid and bought; null leaves it to the data sheet or the usual. */
final readonly class LayerRule
{
    /**
     * @param  array{float, float}|null  $roll  width and length, m
     * @param  array{float, float}|null  $board  mm
     * @param  array{float, float}|null  $lap  level and end, mm
     */
    public function __construct(
        public string $assembly = '',
        public string $layer = '',
        public ?array $roll = null,
        public ?array $board = null,
        public ?array $lap = null,
        /** pieces hang upright instead of lying in courses */
        public bool $upright = false,
        /** the longest piece that hands can hold, mm */
        public ?float $longest = null,
        /** height of the first row of boards, mm */
        public ?float $first = null,
        /** whether upright joints need no member behind them */
        public bool $jointsAnywhere = false,
        /** the rest of a course narrower than its roll is kept for others that are narrow */
        public bool $usesRest = false,
        public ?float $wastePct = null,
        /** how much more a rough face takes than a smooth one */
        public ?float $texture = null,
        /** volume of a pail, or of half a kit, L */
        public ?float $packL = null,
        /** fasteners along edges and elsewhere, mm */
        public ?float $edgeMm = null,
        public ?float $fieldMm = null,
        /** how far from the corners of a side the wind asks for the spacing of edges, mm */
        public ?float $zoneMm = null,
        /** material that tapes its joints */
        public ?string $tape = null,
        /** material of its fasteners, or of its strapping */
        public ?string $of = null,
    ) {
    }
}

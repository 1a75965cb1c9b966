<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Climate\Month;
use Apron\Material\Material;
use Apron\Material\Product;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;

/** Which months a product can be laid in, and whether it bears the sun until it is covered. */
final readonly class Season
{
    private Product $sheet;

    public function __construct(public Material $material)
    {
        $this->sheet = Usual::of($material);
    }

    /** Whether it is stuck, foamed, gunned or poured: what is only fastened goes up in any month. */
    public function isLaid(): bool
    {
        return Usual::sticker($this->material) !== null && $this->sheet->applicationC !== null;
    }

    public function in(Month $month): Weather
    {
        [$low, $high] = $this->sheet->applicationC ?? [-INF, INF];
        $moist = $month->humidity >= RuleFigures::of('checks')->figure('moist_pct');

        return match (true) {
            $month->celsius < min($low, $this->sheet->primedC ?? INF) => Weather::Cold,
            $month->celsius > $high => Weather::Hot,
            $moist && $month->celsius < 0 => Weather::Frost,
            $month->celsius < $low => Weather::Primed,
            $moist && $this->sheet->dampFace !== true => Weather::Damp,
            default => Weather::Fair,
        };
    }

    /** Days in the sun that it bears; null where nobody says. */
    public function sunDays(): ?float
    {
        return $this->sheet->sunDays;
    }

    /** @return array{float, float}|null °C of the face it is laid on */
    public function applicationC(): ?array
    {
        return $this->sheet->applicationC;
    }

    /** Whether the range is its own sheet’s, and not the usual one. */
    public function isStated(): bool
    {
        return $this->material->product?->applicationC !== null;
    }
}

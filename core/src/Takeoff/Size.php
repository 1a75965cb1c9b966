<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Material\Product;
use Apron\Rules\RuleFigures;

/** What a product is bought in, and how it laps; mm. */
final readonly class Size
{
    public function __construct(
        /** of a roll; of a board its long edge */
        public float $length,
        public float $width,
        public float $lapLevel = 0.0,
        public float $lapEnd = 0.0,
    ) {
        if ($length <= 0 || $width <= 0 || $lapLevel < 0 || $lapEnd < 0 || $lapLevel >= $width || $lapEnd >= $length) {
            throw new \InvalidArgumentException(
                "a size above 0 and laps below it, not $length × $width mm with $lapLevel and $lapEnd",
            );
        }
    }

    /** What the project settles for the layer, else the data sheet or the usual of its family, else what is sold. */
    public static function of(LaidAs $as, Product $product, LayerRule $rule): self
    {
        $figures = RuleFigures::of('takeoff');
        $usual = fn (string $table, string $column): float => $figures->cell($table, $as->value, $column) ?? 0.0;
        if ($as->isBoard()) {
            $board = $rule->board ?? $product->boardMm;
            $board ??= [1000 * $usual('sizes', 'width_m'), 1000 * $usual('sizes', 'length_m')];

            return new self(max($board), min($board));
        }
        $roll = $rule->roll ?? $product->rollM ?? [$usual('sizes', 'width_m'), $usual('sizes', 'length_m')];
        $lap = $rule->lap ?? $product->lapMm ?? [$usual('laps_mm', 'level'), $usual('laps_mm', 'end')];

        // A lap as wide as the roll covers nothing: half of it is the most.
        return new self(
            1000 * $roll[1],
            1000 * $roll[0],
            min($lap[0], 500 * $roll[0]),
            min($lap[1], 500 * $roll[1]),
        );
    }

    /** m² */
    public function area(): float
    {
        return ($this->length * $this->width) / 1e6;
    }
}

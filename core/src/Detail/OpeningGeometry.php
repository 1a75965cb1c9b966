<?php

declare(strict_types=1);

namespace Apron\Detail;

/**
 * A rough opening, mm: its five facets, folded at their arrises, seen from outside. Behind thick exterior insulation
 * there is a second plane: the board's outer face and the edges it is cut to round the opening, named as those of the
 * first with a prefix.
 */
final readonly class OpeningGeometry
{
    public function __construct(
        public float $width,
        public float $height,
        public float $depth,
        /** how much of the face round the opening belongs to the detail */
        public float $margin,
        public SillPitch $sillPitch,
        /** fall of the sill over its depth */
        public float $sillFall,
        public float $backDam,
        /** the wind's push as a height of water: Pa / 9.81 */
        public float $headOfWater,
        /** thickness of the board over the face, cut flush with the opening; 0 where there is no second plane */
        public float $outerBoard = 0.0,
    ) {
    }

    /** @return array<string, Facet> by name */
    public function facets(): array
    {
        return $this->plane('', 'face', $this->depth) +
            ($this->outerBoard > 0 ? $this->plane('reveal-', 'outer-face', $this->outerBoard) : []);
    }

    /** @return array<string, Facet> by name */
    private function plane(string $prefix, string $face, float $depth): array
    {
        $extents = [
            $face => new Rect(
                -$this->margin,
                -$this->margin,
                $this->width + $this->margin,
                $this->height + $this->margin,
            ),
            "{$prefix}sill" => new Rect(0, 0, $this->width, $depth),
            "{$prefix}jamb-left" => new Rect(0, 0, $depth, $this->height),
            "{$prefix}jamb-right" => new Rect(0, 0, $depth, $this->height),
            "{$prefix}head" => new Rect(0, 0, $this->width, $depth),
        ];

        return array_combine(
            array_keys($extents),
            array_map(fn (string $name): Facet => new Facet($name, $extents[$name]), array_keys($extents)),
        );
    }

    /** The wall a facet goes in from, as a prefix of the names of its returns; null where it is a return itself. */
    public static function returnsOf(string $facet): ?string
    {
        return match ($facet) {
            'face' => '',
            'outer-face' => 'reveal-',
            default => null,
        };
    }

    /**
     * Which end of a patch on one facet reaches its arris with another: u0, v0, u1 or v1; null where it does not, or
     * there is none.
     */
    public function reaches(string $facet, Rect $rect, string $other): ?string
    {
        if ("$facet $other" === 'outer-face reveal-head' && $rect->v1 === $this->height) {
            // A drip hangs from the arris; what turns into the head from above stands on it.
            return 'v1';
        }
        $arris = $this->arris($facet, $other);

        return $arris !== null && $rect->{$arris[0]} === $arris[1] ? $arris[0] : null;
    }

    /** @return array{string, float}|null which end of one facet lies at its arris with another, and where */
    private function arris(string $facet, string $other): ?array
    {
        [$w, $h] = [$this->width, $this->height];
        [$a, $b] = [self::plain($facet), self::plain($other)];
        if (($a === $facet) === ($b === $other)) {
            return match ("$a $b") {
                'face sill' => ['v1', 0.0],
                'face head' => ['v0', $h],
                'face jamb-left' => ['u1', 0.0],
                'face jamb-right' => ['u0', $w],
                'sill jamb-left', 'head jamb-left', 'jamb-left face', 'jamb-right face' => ['u0', 0.0],
                'sill jamb-right', 'head jamb-right' => ['u1', $w],
                'sill face', 'head face', 'jamb-left sill', 'jamb-right sill' => ['v0', 0.0],
                'jamb-left head', 'jamb-right head' => ['v1', $h],
                default => null,
            };
        }

        // From the returns of the sheathing on into those of the board, and from its face out over the board at the
        // head.
        return match ("$facet $other") {
            'sill reveal-sill', 'head reveal-head' => ['v0', 0.0],
            'reveal-sill sill', 'reveal-head head', 'reveal-head face' => ['v1', $this->outerBoard],
            'jamb-left reveal-jamb-left', 'jamb-right reveal-jamb-right' => ['u0', 0.0],
            'reveal-jamb-left jamb-left', 'reveal-jamb-right jamb-right' => ['u1', $this->outerBoard],
            'face reveal-head' => ['v0', $h],
            default => null,
        };
    }

    private static function plain(string $facet): string
    {
        return $facet === 'outer-face' ? 'face' : (str_starts_with($facet, 'reveal-') ? substr($facet, 7) : $facet);
    }
}

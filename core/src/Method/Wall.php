<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Drafting\Uses;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/**
 * What an opening or a junction takes from the wall it stands in: its water plane, the board outside of that, how deep
 * it is to the room, its framing. Wall lengths in mm.
 */
final readonly class Wall
{
    /** @var array<string, string> what each plane's field is made of, as parameters are called; a bond tells first */
    private const FIELDS = [
        'self-adhered' => 'membrane_material',
        'fastened-sheet' => 'sheet_material',
        'fluid' => 'fluid_material',
        'taped-insulation' => 'board_material',
        'faced-sheathing' => 'board_material',
    ];

    private function __construct(
        public string $id,
        public string $name,
        /** the id of the layer that is to carry water */
        public ?string $planeLayer,
        /** the water plane as the axis has it; null where the wall names none that an opening can be dressed in */
        public ?string $plane,
        public ?Material $field,
        /** outside of the plane; 0 where there is none, or too little for a second plane */
        public float $board,
        public ?Material $boardMaterial,
        /** from the face that the plane lies on to the room */
        public float $depth,
        public ?float $sheathing,
        /** what the plane lies on; null where it stands on framing by itself, or nothing is known */
        public ?Material $substrate,
        public ?float $studSpacing,
        /** what the sides of a hole in it are of: its framing, or masonry right through; null where neither is known */
        public ?Material $reveal,
    ) {
    }

    public static function of(Assembly $assembly): self
    {
        $at = self::waterLayer($assembly);
        $plane = $at === null ? null : self::planeOf($assembly->layers[$at]->material);
        // A board that is the plane belongs to what it lies on.
        $boards = $plane === 'faced-sheathing' || $plane === 'taped-insulation';
        $inside = array_slice($assembly->layers, 0, $at === null ? null : $at + ($boards ? 1 : 0));
        [$board, $material] = $at === null ? [0.0, null] : self::outside($assembly, $at);

        return new self(
            $assembly->id,
            $assembly->name,
            $at === null ? null : $assembly->layers[$at]->id,
            $plane,
            $at === null ? null : $assembly->layers[$at]->material,
            $board,
            $material,
            round(array_sum(array_map(fn (Layer $layer): float => $layer->thicknessMm, $inside)), 1),
            $plane === 'faced-sheathing' ? $assembly->layers[$at]->thicknessMm : null,
            $at === null || $boards ? null : self::under($assembly, $at),
            self::spacing($inside),
            self::reveal($inside),
        );
    }

    /** @param  list<Layer>  $layers  inside of the plane */
    private static function reveal(array $layers): ?Material
    {
        $solid = null;
        foreach (array_reverse($layers) as $layer) {
            if ($layer->framing !== null) {
                return $layer->framing->material;
            }
            // Masonry, concrete or solid timber: thick, and neither wool nor foam.
            $isWall = $layer->thicknessMm >= RuleFigures::of('physics')->figure('solid_masonry_mm');
            $isSolid = $layer->material->holdsWater() && $layer->material->family?->letsAirThrough !== true;
            $solid ??= $isWall && $isSolid ? $layer->material : null;
        }

        return $solid;
    }

    private static function under(Assembly $assembly, int $plane): ?Material
    {
        $layer = $assembly->layers[$plane - 1] ?? null;

        return $layer === null || $layer->airLayer() !== null ? null : $layer->material;
    }

    /** The outermost layer that is to carry water, behind what is ventilated. */
    private static function waterLayer(Assembly $assembly): ?int
    {
        $found = null;
        foreach ($assembly->layers as $i => $layer) {
            $found = in_array(Control::Water, $layer->controls, true) ? $i : $found;
        }

        return $found;
    }

    private static function planeOf(Material $material): ?string
    {
        if ($material->family === null) {
            return null;
        }
        // What has an adhesive of its own is bonded, whatever its face is of.
        $bonded = $material->adhesive !== null;
        foreach (self::FIELDS as $plane => $place) {
            $fits = match ($plane) {
                'self-adhered' => $bonded && Uses::takes($place, $material),
                'taped-insulation' => in_array($material->family->id, Uses::familiesOf('foam'), true),
                default => Uses::takes($place, $material),
            };
            if ($fits) {
                return $plane;
            }
        }

        return null;
    }

    /** @return array{float, Material|null} thickness and outermost material of the insulation outside of the plane */
    private static function outside(Assembly $assembly, int $at): array
    {
        [$thickness, $material] = [0.0, null];
        foreach (array_slice($assembly->layers, $at + 1) as $layer) {
            $family = $layer->material->family?->id;
            if ($family !== null && in_array($family, Uses::familiesOf('foam'), true)) {
                $thickness += $layer->thicknessMm;
                $material = $layer->material;
            }
        }

        // Thinner board is dressed with the plane and not as a second one.
        $least = RuleFigures::of('openings.second-plane')->figure('board_mm');

        return $thickness < $least ? [0.0, null] : [round($thickness, 1), $material];
    }

    /** @param  list<Layer>  $layers */
    private static function spacing(array $layers): ?float
    {
        foreach (array_reverse($layers) as $layer) {
            if ($layer->framing?->spacingMm !== null) {
                return $layer->framing->spacingMm;
            }
        }

        return null;
    }

    /** The name of the parameter that says what the field of the plane is made of. */
    public function fieldParameter(): ?string
    {
        return $this->plane === null ? null : self::FIELDS[$this->plane];
    }

    /** @return array<string, list<string>> answers along the axes that the wall gives; the first that can be built */
    public function answers(): array
    {
        return ($this->plane === null ? [] : ['plane' => [$this->plane]]) + [
            // Round a buck on the face the board is cut to that.
            'outboard' => $this->board > 0 ? ['board', 'board-at-buck'] : ['flush'],
        ];
    }

    /**
     * Sizes, figures and materials that the wall gives.
     *
     * @param  list<string>  $asked  what a method asks
     * @param  string|null  $field  what it calls the field of the plane
     * @return array<string, float|string>
     */
    public function figures(array $asked, ?string $field): array
    {
        $outer = in_array('outer_board_material', $asked, true) ? 'outer_board_material' : 'board_material';
        $given = array_filter(
            [
                'depth_mm' => $this->depth,
                'insulation_mm' => $this->board > 0 ? $this->board : null,
                'sheathing_mm' => $this->sheathing,
                'stud_spacing_mm' => $this->studSpacing,
                $outer => $this->boardMaterial?->id,
            ],
            fn (float|string|null $value): bool => $value !== null,
        );
        if ($field !== null && $this->field !== null) {
            $given[$field] = $this->field->id;
        }

        return array_intersect_key($given, array_flip($asked));
    }

    /** @return array<string, float|string> what an opening was last looked at with, to say later what has changed */
    public function seen(): array
    {
        return array_filter(
            [
                'plane' => $this->plane,
                'material' => $this->field?->id,
                'insulation_mm' => $this->board,
                'board' => $this->boardMaterial?->id,
                'depth_mm' => $this->depth,
                'stud_spacing_mm' => $this->studSpacing,
            ],
            fn (float|string|null $value): bool => $value !== null,
        );
    }
}

<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Assembly;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Material\Role;

/** How a layer comes to the site and is laid: off rolls, in boards, as a fluid, or otherwise. */
enum LaidAs: string
{
    case Sheet = 'sheet';
    case Membrane = 'membrane';
    case Film = 'film';
    case Mat = 'mat';
    case Sheathing = 'sheathing';
    case Foam = 'foam';
    case Wool = 'wool';
    case Batt = 'batt';
    case Fluid = 'fluid';
    case Mortar = 'mortar';
    case Spray = 'spray';
    case Strapping = 'strapping';
    case Cladding = 'cladding';
    case Other = 'other';

    /** A layer of an assembly, by its number; null for air that nothing stands in. */
    public static function of(Assembly $assembly, int $at): ?self
    {
        $layer = $assembly->layers[$at];
        $material = $layer->material;
        if ($layer->airLayer() !== null) {
            return $layer->framing === null ? null : self::Strapping;
        }
        $as = self::ofMaterial($material);
        $isOutside = $assembly->ventilatedAt() !== null && $at > $assembly->ventilatedAt();

        $isStiff = $material->role() === Role::Board || $material->product?->boardMm !== null;

        return match (true) {
            $layer->framing !== null && ! in_array($as, [self::Spray, self::Sheathing], true) => self::Batt,
            // What hangs outside of a vented space is cladding, whatever board it is made of.
            $isOutside && $as === self::Sheathing => self::Cladding,
            $as === self::Wool && ! $isStiff => self::Batt,
            default => $as,
        };
    }

    /** What the data sheet says of it, and else its family. */
    private static function ofMaterial(Material $material): self
    {
        /** @var array<string, self>|null $families */
        static $families = null;
        if ($families === null) {
            $families = [];
            foreach (CoreData::read('laid')->entries() as $kind => $list) {
                foreach (self::tryFrom($kind) === null ? [] : $list->items(1) as $family) {
                    /** @var Node $family */
                    $families[$family->id()] = self::from($kind);
                }
            }
        }
        $usual = $families[$material->family->id ?? ''] ?? self::Other;
        $product = $material->product;
        $isRolled = in_array($usual, [self::Sheet, self::Membrane, self::Film, self::Mat], true);

        $isSpread = $product?->coverageM2L !== null || $product?->solidsPct !== null;

        return match (true) {
            $product?->rollM !== null => $isRolled ? $usual : self::Sheet,
            $product?->boardMm !== null => $usual->isBoard() ? $usual : self::Foam,
            $usual !== self::Mortar && $isSpread => self::Fluid,
            default => $usual,
        };
    }

    public function isRolled(): bool
    {
        return in_array($this, [self::Sheet, self::Membrane, self::Film, self::Mat], true);
    }

    public function isBoard(): bool
    {
        return in_array($this, [self::Sheathing, self::Foam, self::Wool], true);
    }
}

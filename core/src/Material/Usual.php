<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\CoreData;
use Apron\Json\Node;

/** What is usual of laying a product, by what it sticks with and by its family: `core/data/usual.json`. */
final class Usual
{
    private static ?self $standing = null;

    /**
     * @param  array<string, Sticks>  $itself  what sticks so by itself, by family: what is laid wet
     * @param  array<string, Product>  $stickers
     * @param  array<string, Product>  $families
     */
    private function __construct(
        private readonly array $itself,
        private readonly array $stickers,
        private readonly array $families,
    ) {
    }

    private static function standing(): self
    {
        if (self::$standing === null) {
            $data = CoreData::read('usual');
            self::$standing = new self(
                array_map(
                    fn (Node $word): Sticks => Sticks::from($word->id()),
                    $data->get('sticks_itself')->entries(),
                ),
                array_map(ProductFormat::read(...), $data->get('stickers')->entries()),
                array_map(ProductFormat::read(...), $data->get('families')->entries()),
            );
        }

        return self::$standing;
    }

    /** What a material sticks with: its adhesive, or itself where it is laid wet; null where it does not stick. */
    public static function sticker(Material $material): ?Sticks
    {
        return $material->adhesive ?? self::standing()->itself[$material->family->id ?? ''] ?? null;
    }

    public static function ofSticker(Sticks $sticks): Product
    {
        return self::standing()->stickers[$sticks->value];
    }

    /** Its own data sheet, and where that says nothing the usual of what it sticks with, then of its family. */
    public static function of(Material $material): Product
    {
        $own = $material->product ?? new Product;
        $sticks = self::sticker($material);
        $sticker = $sticks === null ? null : self::ofSticker($sticks);
        $family = self::standing()->families[$material->family->id ?? ''] ?? null;

        return $own->else($sticker)->else($family);
    }
}

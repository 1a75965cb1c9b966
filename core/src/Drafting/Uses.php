<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Material;

/** What a place in a detail can be made of, by family, from `core/data/uses.json`: no air layer for a membrane. */
final class Uses
{
    /** @var array<string, list<string>>|null families by place */
    private static ?array $places = null;

    /** @return list<string> families that a material parameter takes */
    public static function families(string $place): array
    {
        return self::places()[$place] ?? throw new \LogicException("no use is said of $place");
    }

    /** Whether a material can be there; one whose family nobody has said is taken as it comes. */
    public static function takes(string $place, Material $material): bool
    {
        return $material->family === null || in_array($material->family->id, self::families($place), true);
    }

    /** @return list<string> families of what is made for a use: `foam`, `fluid` */
    public static function familiesOf(string $use): array
    {
        return array_map(
            fn (Node $word): string => $word->id(),
            CoreData::read('uses')->get('uses')->get($use)->items(1),
        );
    }

    /** @return array<string, list<string>> families by place */
    private static function places(): array
    {
        if (self::$places === null) {
            $data = CoreData::read('uses');
            $words = fn (Node $list): array => array_map(fn (Node $word): string => $word->id(), $list->items(1));
            $uses = array_map($words, $data->get('uses')->entries());
            self::$places = array_map(
                fn (Node $row): array => array_values(
                    array_unique(array_merge(...array_map(fn (string $use): array => $uses[$use], $words($row)))),
                ),
                $data->get('places')->entries(),
            );
        }

        return self::$places;
    }
}

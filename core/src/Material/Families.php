<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\CoreData;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;

/** All families there are. A material of none of them is refused: what it does with water would be silently nothing. */
final class Families
{
    /** @var array<string, Family> */
    private static array $all = [];

    /** @return array<string, Family> by id */
    public static function all(): array
    {
        if (self::$all === []) {
            foreach (CoreData::read('families')->get('families')->items(1) as $row) {
                $family = Family::read($row);
                self::$all[$family->id] = $family;
            }
        }

        return self::$all;
    }

    /** @throws FileRefused */
    public static function named(Node $node): Family
    {
        return self::all()[$node->id()] ?? $node->refuse('a family of core/data/families.json, such as mineral-wool');
    }

    /** Where a property of families is from, such as `reservoir`. */
    public static function source(string $property): Source
    {
        $source = CoreData::read('families')->get('sources')->get($property);

        return Source::of($source->get('kind')->oneOf(SourceKind::class), $source->get('name')->text(400));
    }
}

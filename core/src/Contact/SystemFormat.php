<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Assembly\Control;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;

/** A system in the project file: under `systems`. */
final class SystemFormat
{
    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials): System
    {
        $needed = ['id', 'name', 'by', 'products'];
        $node->object([...$needed, 'plane'], $needed);

        return new System(
            $node->get('id')->id(),
            $node->get('name')->text(),
            $node->get('by')->text(),
            $node->optional('plane')?->oneOf(Control::class),
            array_map(
                fn (Node $product): string => $materials->named($product)->id,
                $node->get('products')->items(1, 200),
            ),
        );
    }

    /** @return array<string, mixed> */
    public static function write(System $system): array
    {
        return Written::without([
            'id' => $system->id,
            'name' => $system->name,
            'by' => $system->by,
            'plane' => $system->plane?->value,
            'products' => $system->products,
        ]);
    }
}
